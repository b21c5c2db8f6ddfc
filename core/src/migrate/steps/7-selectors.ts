import { isRecord } from '../../base/json.ts';
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

/** Panels are opened by selectors alone. */
export const SELECTORS_STEP: Migration = {
  from: 7,
  migrate: (document) => ({
    ...document,
    pieces: eachOf(document['pieces'], (piece) =>
      isRecord(piece) && piece['kind'] === 'panel' ? changePanel(piece) : piece,
    ),
  }),
};
