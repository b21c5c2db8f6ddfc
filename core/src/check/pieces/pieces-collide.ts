import { pieceKind } from '../../kinds/catalogue.ts';
import { isOnPageIn } from '../../kinds/folds.ts';
import type { Keeping, LookReader } from '../../kinds/kind.ts';
import { pageSets } from '../../kinds/page-rules.ts';
import { standingPieces } from '../../kinds/placed.ts';
import type { Piece, Site } from '../../kinds/site.ts';
import { bandEnd } from '../../resolve/resolve.ts';
import type { Cell } from '../../model/look.ts';
import type { PieceCheck } from '../check.ts';
import { cellIn, pixelsIn, valueIn } from '../screens/values.ts';

/** Two pieces that get in each other's way in a band. */
export interface Collision {
  readonly piece: Piece;
  readonly other: Piece;
  /** Index of the widest band in which they do. */
  readonly band: number;
  /** What happens, in a sentence without its end. */
  readonly what: string;
  /** The cell that says so; null where no look does. */
  readonly cell: Cell | null;
}

const readerOf = (site: Site): LookReader => ({
  value: (owner, slot, property, band) => valueIn(site, { owner, slot }, property, band),
  pixels: (owner, slot, property, band) => pixelsIn(site, { owner, slot }, property, band),
});

/** Whether two pieces ever stand on one page. */
const shareAPage = (site: Site, piece: Piece, other: Piece): boolean =>
  pageSets(site).some(({ pieces }) => pieces.includes(piece) && pieces.includes(other));

/** What two pieces that keep something of the window do to each other; null where they do nothing. */
function between(own: Keeping, other: Keeping, names: readonly [string, string]): string | null {
  const [name, otherName] = names;
  if (own.at === 'column')
    return other.at === 'top' && own.height < other.height
      ? `${otherName} stays on top, ${Math.round(other.height)} px high, and covers the head of ${name}, which stays from ${Math.round(own.height)} px on`
      : null;
  if (own.at === other.at && own.at !== 'top')
    return own.at === 'bottom'
      ? `${name} and ${otherName} both keep the window’s bottom`
      : `${name} and ${otherName} both stand ${own.at} of the window`;
  if (other.at === 'top' && own.at.startsWith('at the top') && own.height < other.height)
    return `${name} stands over ${otherName}, which stays on top, ${Math.round(other.height)} px high`;
  if (other.at === 'bottom' && own.at.startsWith('at the bottom') && own.height < other.height)
    return `${name} stands over ${otherName}, which is ${Math.round(other.height)} px high at the bottom`;
  return null;
}

function collisionIn(site: Site, piece: Piece, other: Piece, band: number): Omit<Collision, 'band'> | null {
  const kinds = [pieceKind(piece), pieceKind(other)] as const;
  if (kinds[0].stands === 'start' && kinds[1].stands === 'start')
    return {
      piece,
      other,
      cell: null,
      what: `${piece.name} and ${other.name} stand on the same page, one above the other`,
    };
  const read = readerOf(site);
  const keeping = kinds[0].keeps?.(piece as never, read, band) ?? null;
  const others = kinds[1].keeps?.(other as never, read, band) ?? null;
  const what = keeping && others ? between(keeping, others, [piece.name, other.name]) : null;
  if (!keeping || what === null) return null;
  const cell = cellIn(site, { owner: piece.id, slot: kinds[0].rootSlot }, keeping.by, band);
  return { piece, other, what, cell };
}

/** Everything that gets in a piece's way: pieces of its pages, each once, in the widest band in which it does. */
export function collisionsOf(site: Site, piece: Piece): readonly Collision[] {
  const all = standingPieces(site);
  return all.flatMap((other): Collision[] => {
    if (other.id === piece.id || !shareAPage(site, piece, other)) return [];
    // What is the same for both is told of the later one alone.
    const isLater = all.indexOf(other) < all.findIndex(({ id }) => id === piece.id);
    for (const band of site.bands.keys()) {
      if (!isOnPageIn(site, piece, band) || !isOnPageIn(site, other, band)) continue;
      const found = collisionIn(site, piece, other, band);
      const isMutual = found !== null && collisionIn(site, other, piece, band) !== null;
      if (found && (isLater || !isMutual)) return [{ ...found, band }];
    }
    return [];
  });
}

/** The widths of a band, in words. */
function widthsOf(site: Site, band: number): string {
  const from = site.bands[band]?.min ?? 0;
  const to = bandEnd(site, band);
  if (site.bands.length === 1) return 'at every width';
  return to === null ? `from ${from} px on` : from === 0 ? `up to ${to} px` : `from ${from} to ${to} px`;
}

/** A piece that covers another one, or is covered. */
export const piecesCollide: PieceCheck = {
  of: 'piece',
  id: 'pieces-collide',
  label: 'Two pieces in one place',
  why: 'One covers the other, or both say the same to who has the page read out.',
  check: (piece, { site }) => {
    const [first, ...more] = collisionsOf(site, piece);
    if (!first) return null;
    const others =
      more.length === 0 ? '' : ` The same with ${more.map(({ other }) => other.name).join(', ')}.`;
    return {
      outcome: 'look',
      reason: `${first.what}, ${widthsOf(site, first.band)}.${others}`,
      evidence: `${piece.name} · ${first.other.name}`,
      at: {
        piece: piece.id,
        ...(first.cell ? { cell: first.cell } : {}),
        ...(first.band > 0 ? { width: Math.max(320, Math.min(390, bandEnd(site, first.band) ?? 390)) } : {}),
      },
    };
  },
};
