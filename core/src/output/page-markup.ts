import { pieceKind } from '../kinds/catalogue.ts';
import type { PiecePlace } from '../kinds/kind.ts';
import { withPanels } from '../kinds/page-rules.ts';
import type { Piece, Site } from '../kinds/site.ts';

/** The markup of the pieces of one page by where it goes: before what the page says, beside it, behind it. */
export interface PageMarkup {
  readonly before: string;
  readonly beside: string;
  readonly after: string;
}

/** What goes where; among what comes last, what stands in the page goes before what lies over it. */
const GOES: Readonly<Record<keyof PageMarkup, readonly PiecePlace[]>> = {
  before: ['start'],
  beside: ['beside'],
  after: ['end', 'window', 'over'],
};

/** Pieces in the order in which a page has them. */
export const inPageOrder = (pieces: readonly Piece[]): Piece[] =>
  Object.values(GOES).flatMap((places) => standingAt(places, pieces));

const standingAt = (places: readonly PiecePlace[], pieces: readonly Piece[]): Piece[] =>
  places.flatMap((place) => pieces.filter((piece) => pieceKind(piece).stands === place));

/** The pieces that stand in the same place of a page as another one, before and behind it; null where there is none. */
export function pageNeighbours(
  site: Site,
  piece: Piece,
): { readonly before: Piece | null; readonly behind: Piece | null } {
  const { stands } = pieceKind(piece);
  const same = site.pieces.filter((other) => pieceKind(other).stands === stands);
  const place = same.findIndex((other) => other.id === piece.id);
  return { before: same[place - 1] ?? null, behind: same[place + 1] ?? null };
}

/** Where a piece's markup goes in a page, in words. */
export const GOES_WHERE: Readonly<Record<PiecePlace, string>> = {
  start: 'as the first thing in the page’s body',
  beside: 'in the page’s side column, beside what it says',
  end: 'as the last thing in the page’s body',
  window: 'at the end of the page’s body',
  over: 'at the end of the page’s body',
};

/** Puts the markup of some pieces, and of every panel they can open, where it goes in a page. */
export function pageMarkup(
  site: Site,
  markup: ReadonlyMap<string, string>,
  pieces: readonly Piece[],
): PageMarkup {
  const all = withPanels(site, pieces);
  const goes = (where: keyof PageMarkup) =>
    standingAt(GOES[where], all)
      .map(({ id }) => markup.get(id) ?? '')
      .join('');
  return { before: goes('before'), beside: goes('beside'), after: goes('after') };
}

/** How a page lays its side column beside what it says: as wide as that asks for, above it where there is no room. */
export const SIDE_BY_SIDE = 'display: flex; flex-wrap: wrap; align-items: flex-start';
/** And how what it says takes the rest. */
export const BESIDE_COLUMN = 'flex: 1 1 320px; min-width: 0';
