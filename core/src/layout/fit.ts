import type { Extent } from '../kinds/extent.ts';
import { pieceKind } from '../kinds/catalogue.ts';
import { foldsBelow, isShownIn } from '../kinds/folds.ts';
import type { Piece, Site } from '../kinds/site.ts';
import { sectionsOf, standingPieces } from '../kinds/placed.ts';
import { bandEnd } from '../resolve/resolve.ts';
import type { Measurer } from '../text/measure.ts';
import { NARROWEST, sectionExtent } from './extents.ts';

/** Room below which a row is called tight, in px: what a longer translation or a wider fallback face may take. */
export const TIGHT_ROOM = 24;

export type Fit = 'fits' | 'tight' | 'breaks';

/** A run of widths (px, both ends included) in which a piece fits alike. */
export interface FitSegment {
  readonly from: number;
  readonly to: number;
  readonly fit: Fit;
}

export interface FitLine {
  readonly segments: readonly FitSegment[];
  /** By band, widest first: the least width at which every row stands on one line. */
  readonly needed: readonly Extent[];
  /** The smallest width from which the unfolded piece fits with room to spare; null where it never does. */
  readonly safeBreakpoint: number | null;
  readonly certain: boolean;
}

/** How one row stands in one band: widths in px, `needed` the least page width at which it stands on one line. */
export interface RowFit {
  readonly piece: string;
  readonly row: string;
  readonly band: string;
  /** The band's widths, both included; `to` is null for the widest. */
  readonly from: number;
  readonly to: number | null;
  /** Infinity where it never stands on one line. */
  readonly needed: number;
  readonly certain: boolean;
}

/** The least width of a row's band that is judged, in px. */
export const firstJudged = ({ from }: RowFit) => Math.max(from, NARROWEST);

/** Whether a row has less than some px to spare somewhere in its band; bands of windows too narrow to be judged do not count. */
const lacks = (fit: RowFit, spare: number): boolean =>
  (fit.to ?? Infinity) >= NARROWEST && Math.ceil(fit.needed) + spare > firstJudged(fit);

/** Whether a row breaks somewhere in its band. */
export const rowBreaks = (fit: RowFit): boolean => lacks(fit, 0);

/** Whether a row breaks or is tight somewhere in its band. */
export const rowIsTight = (fit: RowFit): boolean => lacks(fit, TIGHT_ROOM);

/** How every row of the pieces that stand in pages fits in every band it is shown in. */
export function rowFits(site: Site, measure: Measurer): RowFit[] {
  // What stands at the end of pages may take as many lines as it needs.
  const pieces = standingPieces(site).filter((piece) => pieceKind(piece).stands === 'start');
  return sectionsOf(site).flatMap((placed) => {
    const { piece, section } = placed;
    if (!pieces.includes(piece)) return [];
    return site.bands.flatMap((entry, band): RowFit[] => {
      if (!isShownIn(section, site, band) || !isShownIn(piece, site, band)) return [];
      const extent = sectionExtent(site, placed, band, measure);
      if (!extent) return [];
      const at = { from: entry.min, to: bandEnd(site, band), needed: extent.width, certain: extent.certain };
      return [{ piece: piece.id, row: section.id, band: entry.id, ...at }];
    });
  });
}

/** The least width of the row of a piece that needs the most, in one band. */
export function widestRow(site: Site, piece: Piece, band: number, measure: Measurer): Extent {
  const rows = sectionsOf(site).flatMap((placed) => {
    const extent =
      placed.piece.id === piece.id && pieceKind(piece).stands === 'start'
        ? sectionExtent(site, placed, band, measure)
        : null;
    return extent ? [extent] : [];
  });
  return {
    width: Math.max(0, ...rows.map((row) => row.width)),
    certain: rows.every((row) => row.certain),
    unmeasured: rows.flatMap((row) => row.unmeasured),
  };
}

/**
 * How a piece fits along the widths `from` to `to` (px): per band its rows either fit with room to spare, are tight
 * (less than 24 px left), or break on to a second line. Of several measurers, such as that of a typeface and that of what
 * stands in for it, the one that needs the most counts.
 */
export function fitLine(
  site: Site,
  piece: Piece,
  range: { from: number; to: number },
  ...measures: readonly Measurer[]
): FitLine {
  const needed = site.bands.map((_, band) =>
    measures
      .map((measure) => widestRow(site, piece, band, measure))
      .reduce((widest, extent) => (extent.width > widest.width ? extent : widest)),
  );
  const segments: FitSegment[] = [];
  const push = (from: number, to: number, fit: Fit) => {
    const clipped = { from: Math.max(from, range.from), to: Math.min(to, range.to), fit };
    if (clipped.from > clipped.to) return;
    const last = segments.at(-1);
    if (last?.fit === fit) segments[segments.length - 1] = { ...last, to: clipped.to };
    else segments.push(clipped);
  };
  for (let band = site.bands.length - 1; band >= 0; band--) {
    const least = Math.ceil(needed[band]?.width ?? 0);
    const start = site.bands[band]?.min ?? 0;
    const end = bandEnd(site, band) ?? Infinity;
    push(start, Math.min(end, least - 1), 'breaks');
    push(Math.max(start, least), Math.min(end, least + TIGHT_ROOM - 1), 'tight');
    push(Math.max(start, least + TIGHT_ROOM), end, 'fits');
  }
  return {
    segments,
    needed,
    safeBreakpoint: safeBreakpoint(site, piece, needed),
    certain: needed.every((extent) => extent.certain),
  };
}

/** The band just wider than the folded ones decides: its start is the breakpoint. Where nothing folds it is the widest. */
function safeBreakpoint(site: Site, piece: Piece, needed: readonly Extent[]): number | null {
  const below = foldsBelow(site, piece);
  const unfolded = below === null ? 0 : site.bands.findIndex((band) => band.min === below);
  const width = needed[unfolded]?.width ?? Infinity;
  return width === Infinity ? null : Math.ceil(width) + TIGHT_ROOM;
}

/** The fit at one width, in px. */
export function fitAt(line: FitLine, width: number): Fit {
  return line.segments.find((segment) => width >= segment.from && width <= segment.to)?.fit ?? 'fits';
}
