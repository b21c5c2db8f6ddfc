import { memoise } from '../base/memo.ts';
import { belowBand } from '../model/bands.ts';
import { partKind } from './catalogue.ts';
import type { Folds } from './kind.ts';
import type { Part, Piece, Site } from './site.ts';
import { findPlaced, opensOver, placedParts, type Owner, type PlacedPart } from './placed.ts';

/** How a part leaves its place. */
export interface Fold {
  /** Index of the widest band in which it is away. */
  readonly band: number;
  /** The width in px below which it is; Infinity where it is away at every width. */
  readonly below: number;
  /** The berth it arrives at, with the panel that has it; null where it is left out. */
  readonly to: PlacedPart | null;
  /** Whether it is away only where its row has no room for it: then `below` is the most it can come to. */
  readonly tight: boolean;
}

function readFold(site: Site, folds: Folds | undefined): Fold | null {
  const band = folds ? site.bands.findIndex((entry) => entry.id === folds.from) : -1;
  if (!folds || band === -1) return null;
  const to = folds.berth === null ? null : findPlaced(site, folds.berth);
  return { band, below: belowBand(site, band), to, tight: folds.tight === true };
}

/** How a piece leaves its place as a whole; null where it stays at every width. */
export const pieceFoldOf = (site: Site, piece: Piece): Fold | null => readFold(site, piece.folds);

/** How every part that folds does so, by its id. */
const foldsBySite = memoise((site: Site): ReadonlyMap<string, Fold> => {
  const folds = new Map<string, Fold>();
  for (const { part, piece } of placedParts(site)) {
    if (opensOver(piece)) continue;
    const fold = readFold(site, part.folds ?? piece.folds);
    if (fold) folds.set(part.id, fold);
  }
  return folds;
});

/** How a part leaves its place, by itself or with its piece; null where it stays at every width. */
export function foldOf(site: Site, part: string): Fold | null {
  return foldsBySite(site).get(part) ?? null;
}

/** The place in a panel where a part stands in a band; null while it stands in its own. */
export function berthIn(site: Site, part: string, band: number): PlacedPart | null {
  const fold = foldOf(site, part);
  return fold?.to && band >= fold.band ? fold.to : null;
}

/** Whether a part may be away in a band, or stand there where its row has room. */
export function givesWayIn(site: Site, part: string, band: number): boolean {
  const fold = foldOf(site, part);
  return fold?.tight === true && band >= fold.band;
}

/** The parts that arrive at a berth, in document order. */
export function arrivingAt(site: Site, berth: string): readonly Part[] {
  return placedParts(site).flatMap(({ part }) =>
    foldOf(site, part.id)?.to?.part.id === berth ? [part] : [],
  );
}

/** The width in px below which something of a piece folds into a panel; null where nothing does. */
export function neededBelow(
  site: Site,
  piece: Piece,
  panel: string,
  read: (part: string) => Fold | null = (part) => foldOf(site, part),
): number | null {
  const widths = placedParts(site).flatMap((placed) => {
    const fold = placed.piece.id === piece.id ? read(placed.part.id) : null;
    return fold?.to?.piece.id === panel ? [fold.below] : [];
  });
  return widths.length === 0 ? null : Math.max(...widths);
}

/** The width in px below which anything of a piece leaves its place; null where nothing does. */
export function foldsBelow(site: Site, piece: Piece): number | null {
  const widths = placedParts(site).flatMap((placed) => {
    const fold = placed.piece.id === piece.id ? foldOf(site, placed.part.id) : null;
    return fold ? [fold.below] : [];
  });
  return widths.length === 0 ? null : Math.max(...widths);
}

/** Whether something is shown in a band at all: without a list of bands it is in every one. */
export const isShownIn = (
  { bands }: { readonly bands?: readonly string[] },
  site: Pick<Site, 'bands'>,
  band: number,
): boolean => bands?.includes(site.bands[band]?.id ?? '') !== false;

/** Whether a piece stands on the page in a band: shown there, and not gone into a panel. */
export function isOnPageIn(site: Site, piece: Piece, band: number): boolean {
  const fold = pieceFoldOf(site, piece);
  return isShownIn(piece, site, band) && (fold === null || band < fold.band);
}

/** Whether what carries a look is shown in a band, as far as it and its piece say so themselves. */
export const isOwnerShownIn = ({ piece, thing }: Owner, site: Pick<Site, 'bands'>, band: number): boolean =>
  isShownIn(piece, site, band) && isShownIn(thing, site, band);

/** The width in px below which what folds asks for a part; null where nothing does, undefined where it needs no asking. */
export const shownBelow = (site: Site, { part, piece }: PlacedPart): number | null | undefined =>
  partKind(part).shownBelow?.(part as never, (panel) => neededBelow(site, piece, panel));

/** Whether a part stands in its own place in a band, at some width at least: shown there, not folded away, and needed. */
export function standsIn(site: Site, placed: PlacedPart, band: number): boolean {
  const { part, piece } = placed;
  if (!isShownIn(part, site, band) || !isShownIn(piece, site, band)) return false;
  const fold = foldOf(site, part.id);
  if (fold && !fold.tight && band >= fold.band) return false;
  const below = shownBelow(site, placed);
  return below === undefined || (below !== null && (site.bands[band]?.min ?? 0) < below);
}
