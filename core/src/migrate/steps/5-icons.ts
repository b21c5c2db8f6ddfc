import { isRecord, own } from '../../base/json.ts';
import type { Migration } from '../migration.ts';
import { changeParts, eachOf, withValue } from '../parts.ts';

type Raw = Record<string, unknown>;

/** What icons of texts measured in shares of their type, in px. */
const SHARES = { size: 1.2, gap: 0.4 } as const;
const USUAL_SIZE = 14;

/** The size a text says at rest at all widths, in px. */
function textSize(look: unknown): number {
  let at: unknown = look;
  for (const key of ['text', 'all', 'rest', 'all', 'size']) at = isRecord(at) ? at[key] : undefined;
  return typeof at === 'number' ? at : USUAL_SIZE;
}

/** Icons of texts have a look of their own, which keeps the size and distance they had. */
function changeText(part: Raw): Raw {
  const entries = Array.isArray(part['entries']) ? (part['entries'] as unknown[]) : [];
  if (!entries.some((entry) => isRecord(entry) && typeof entry['icon'] === 'string')) return part;
  const size = textSize(part['look']);
  const values = { size: Math.round(size * SHARES.size), iconGap: Math.round(size * SHARES.gap) };
  const look = isRecord(part['look']) ? part['look'] : {};
  return { ...part, look: { ...look, 'text-icon': { all: { rest: { all: values } } } } };
}

const SIDES: Readonly<Record<string, string>> = { start: 'at the start', end: 'at the end' };

/** The side a panel comes from is said by its look; it closes as it always did. */
function changePanel(panel: Raw): Raw {
  const { side, ...rest } = panel;
  const stands = own(SIDES, String(side));
  const before = isRecord(panel['look']) ? panel['look'] : {};
  const look =
    stands === undefined ? before : withValue(before, ['panel', 'all', 'rest', 'all', 'stands'], stands);
  return {
    ...rest,
    closeAs: 'drawing',
    closeIcon: null,
    closeWord: 'Close',
    byScrim: true,
    byEscape: true,
    byLink: true,
    byScroll: false,
    bySwipe: false,
    holdsPage: true,
    openedBy: '',
    look,
  };
}

/** What becomes of a bar while the page scrolls is said by its look. */
function changeHeader({ stays, ...header }: Raw): Raw {
  const look = isRecord(header['look']) ? header['look'] : {};
  return stays === true
    ? { ...header, look: withValue(look, ['bar', 'all', 'rest', 'all', 'sticks'], 'stays on top') }
    : header;
}

function changePart(part: Raw): Raw {
  switch (part['kind']) {
    case 'menu':
      return { ...part, signIcon: null, deeperSignIcon: null, inPanels: 'several', moreWord: 'More' };
    case 'opener':
      return { ...part, icon: null, drawing: 'lines', turns: 'none', labelShown: false };
    case 'text':
      return changeText(part);
    default:
      return part;
  }
}

function changePiece(piece: Raw): Raw {
  switch (piece['kind']) {
    case 'panel':
      return changePanel(piece);
    case 'header':
      return changeHeader(piece);
    default:
      return piece;
  }
}

/** Signs and openers may be icons of the designer's own, icons of texts have a look, and panels stand and close as told. */
export const ICONS_STEP: Migration = {
  from: 5,
  migrate: (document) => ({
    ...document,
    pieces: eachOf(changeParts(document['pieces'], changePart), changePiece),
  }),
};
