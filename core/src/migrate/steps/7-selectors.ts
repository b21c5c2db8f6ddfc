import type { Migration } from '../migration.ts';
import { eachOf } from '../parts.ts';

type Raw = Record<string, unknown>;

/** A name as a class, an id or an element has it. */
const NAME = String.raw`[A-Za-z_][\w-]*`;
/** One element that is named by a class or an id, or a control by an attribute's value. */
const NAMED = String.raw`(?:${NAME})?(?:[.#]${NAME}|\[[a-z-]+="[^"\]]*"\])+`;
/** Such elements, alone or within others of any sort. */
const SELECTOR = String.raw`(?:(?:${NAMED}|${NAME})[\s>]+)*${NAMED}\s*`;
const SELECTORS = new RegExp(String.raw`^\s*${SELECTOR}(?:,\s*${SELECTOR})*$`);

/** The script threw at what is no selector, and took every click for what meant nearly all of the page: neither is kept. */
function changePanel(panel: Raw): Raw {
  const { openedBy } = panel;
  return typeof openedBy === 'string' && SELECTORS.test(openedBy) ? panel : { ...panel, openedBy: '' };
}

/** A logo that links are split around stood in the middle of the page, as far as it did. */
const changeRow = (section: Raw): Raw =>
  section['kind'] === 'column' ? section : { ...section, middleOf: 'page' };

function changePiece(piece: Raw): Raw {
  switch (piece['kind']) {
    case 'panel':
      return changePanel(piece);
    case 'header':
      return { ...piece, rows: eachOf(piece['rows'], changeRow) };
    case 'footer':
      return { ...piece, sections: eachOf(piece['sections'], changeRow) };
    default:
      return piece;
  }
}

/** Panels are opened by selectors alone; rows say what their logo stands in the middle of. */
export const SELECTORS_STEP: Migration = {
  from: 7,
  migrate: (document) => ({ ...document, pieces: eachOf(document['pieces'], changePiece) }),
};
