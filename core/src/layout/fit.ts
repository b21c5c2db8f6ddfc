import type { Header, Row } from '../document/pieces/header.ts';
import type { Site } from '../document/site.ts';
import { toPixels } from '../document/values.ts';
import { rowParts } from '../document/walk.ts';
import { foldingPanel } from '../resolve/backdrop.ts';
import { bandEnd, resolve } from '../resolve/resolve.ts';
import type { Measurer } from '../text/measure.ts';
import { partExtent, sumExtents, type Extent } from './part-width.ts';

/** Room below which a row is called tight, in px: what a longer translation or a wider fallback face may take. */
export const TIGHT_ROOM = 24;

function rowLength(site: Site, row: Row, property: 'gap' | 'paddingInline', band: number): number {
  const value = resolve(site, { owner: row.id, slot: 'row', property, level: null, states: [], band })?.value;
  return typeof value === 'number' || typeof value === 'string' ? toPixels(value, 16) : 0;
}

/** The least width in px at which a row stands on one line in a band, its padding included. */
export function rowExtent(site: Site, header: Header, row: Row, band: number, measure: Measurer): Extent {
  const folded = foldingPanel(site, header, band) !== null;
  const shown = rowParts(row).filter((part) => (folded ? part.kind !== 'menu' : part.kind !== 'opener'));
  const inside = sumExtents(shown.map((part) => partExtent(site, part, band, measure)), rowLength(site, row, 'gap', band));
  return { ...inside, width: inside.width + 2 * rowLength(site, row, 'paddingInline', band) };
}

export type Fit = 'fits' | 'tight' | 'breaks';

/** A run of widths (px, both ends included) in which the header fits alike. */
export interface FitSegment {
  readonly from: number;
  readonly to: number;
  readonly fit: Fit;
}

export interface FitLine {
  readonly segments: readonly FitSegment[];
  /** By band, widest first: the least width at which every row stands on one line. */
  readonly needed: readonly Extent[];
  /** The smallest width from which the unfolded header fits with room to spare; null where it never folds. */
  readonly safeBreakpoint: number | null;
  readonly certain: boolean;
}

function widestRow(site: Site, header: Header, band: number, measure: Measurer): Extent {
  const rows = header.rows.map((row) => rowExtent(site, header, row, band, measure));
  const widest = rows.reduce((best, row) => (row.width > best.width ? row : best), { width: 0, certain: true, unmeasured: [] });
  return { width: widest.width, certain: rows.every((row) => row.certain), unmeasured: rows.flatMap((row) => row.unmeasured) };
}

/**
 * How a header fits along the widths `from` to `to` (px): per band the row either fits with room to spare, is tight
 * (less than 24 px left), or breaks on to a second line.
 */
export function fitLine(site: Site, header: Header, range: { from: number; to: number }, measure: Measurer): FitLine {
  const needed = site.bands.map((_, band) => widestRow(site, header, band, measure));
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
  return { segments, needed, safeBreakpoint: safeBreakpoint(site, header, needed), certain: needed.every((extent) => extent.certain) };
}

/** The band just wider than the folded ones decides: its start is the breakpoint. */
function safeBreakpoint(site: Site, header: Header, needed: readonly Extent[]): number | null {
  const fold = site.bands.findIndex((band) => band.id === header.foldBand);
  const unfolded = fold > 0 ? needed[fold - 1] : undefined;
  return unfolded ? Math.ceil(unfolded.width) + TIGHT_ROOM : null;
}

/** The fit at one width, in px. */
export function fitAt(line: FitLine, width: number): Fit {
  return line.segments.find((segment) => width >= segment.from && width <= segment.to)?.fit ?? 'fits';
}
