import { ZONES, type Header, type Row, type Zone } from '../kinds/pieces/header.ts';
import type { Site } from '../model/site.ts';
import { isLength, toPixels } from '../values/length.ts';
import { foldingPanel } from '../resolve/backdrop.ts';
import { bandEnd, resolve } from '../resolve/resolve.ts';
import type { Measurer } from '../text/measure.ts';
import { partExtent, sumExtents, widthOf, type Extent } from './part-width.ts';
import type { Part } from '../kinds/part.ts';

/** Room below which a row is called tight, in px: what a longer translation or a wider fallback face may take. */
export const TIGHT_ROOM = 24;

function rowLength(site: Site, row: Row, property: 'gap' | 'paddingInline', band: number): number {
  const value = resolve(site, { owner: row.id, slot: 'row', property, level: null, states: [], band })?.value;
  return isLength(value) ? toPixels(value, { fontSize: 16, width: widthOf(site, band) }) : 0;
}

/** The parts of a zone that show in a band. */
function shownParts(site: Site, header: Header, row: Row, zone: Zone, band: number): Part[] {
  const folded = foldingPanel(site, header, band) !== null;
  const id = site.bands[band]?.id ?? '';
  return row.zones[zone].filter(
    (part) => (folded ? part.kind !== 'menu' : part.kind !== 'opener') && part.bands?.includes(id) !== false,
  );
}

const NOTHING: Extent = { width: 0, certain: true, unmeasured: [] };

/** Two sides that are as wide as the wider one. */
function evenSides(start: Extent, end: Extent): Extent {
  const width = 2 * Math.max(start.width, end.width);
  return {
    width,
    certain: start.certain && end.certain,
    unmeasured: [...start.unmeasured, ...end.unmeasured],
  };
}

/** What a row holds, without its padding. */
function contentExtent(site: Site, header: Header, row: Row, band: number, measure: Measurer): Extent {
  const gap = rowLength(site, row, 'gap', band);
  const extent = (parts: readonly Part[]) =>
    sumExtents(
      parts.map((part) => partExtent(site, part, band, measure)),
      gap,
    );
  const shown = Object.fromEntries(
    ZONES.map((zone) => [zone, shownParts(site, header, row, zone, band)]),
  ) as Record<Zone, Part[]>;
  if (row.arrangement === 'around') return aroundExtent(shown, extent, gap);
  if (row.arrangement === 'centre')
    return sumExtents([evenSides(extent(shown.start), extent(shown.end)), extent(shown.middle)], 0, 2 * gap);
  // Empty columns keep their gap: a menu that folds away leaves it.
  const columns = ZONES.filter((zone) => row.zones[zone].length > 0).length;
  return sumExtents(
    ZONES.map((zone) => extent(shown[zone])),
    0,
    gap * Math.max(0, columns - 1),
  );
}

/** Links in halves at both sides of the logo: each side has to hold a half and what else stands there. */
function aroundExtent(
  shown: Readonly<Record<Zone, readonly Part[]>>,
  extent: (parts: readonly Part[]) => Extent,
  gap: number,
): Extent {
  const all = ZONES.flatMap((zone) => shown[zone]);
  const logo = all.find((part) => part.kind === 'logo');
  const menu = shown.middle.find((part) => part.kind === 'menu');
  const beside = (zone: Zone) => extent(shown[zone].filter((part) => part !== logo && part !== menu));
  const half = menu ? extent([menu]) : NOTHING;
  // The halves are about alike; the wider one may have a link more.
  const side = (other: Extent) =>
    sumExtents([{ ...half, width: half.width * 0.6 }, other], menu && other.width > 0 ? gap : 0);
  return sumExtents(
    [evenSides(side(beside('start')), side(beside('end'))), logo ? extent([logo]) : NOTHING],
    0,
    2 * gap,
  );
}

/** The least width in px at which a row stands on one line in a band, its padding included. */
export function rowExtent(site: Site, header: Header, row: Row, band: number, measure: Measurer): Extent {
  if (row.bands?.includes(site.bands[band]?.id ?? '') === false) return NOTHING;
  const inside = contentExtent(site, header, row, band, measure);
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
  const widest = rows.reduce((best, row) => (row.width > best.width ? row : best), {
    width: 0,
    certain: true,
    unmeasured: [],
  });
  return {
    width: widest.width,
    certain: rows.every((row) => row.certain),
    unmeasured: rows.flatMap((row) => row.unmeasured),
  };
}

/**
 * How a header fits along the widths `from` to `to` (px): per band the row either fits with room to spare, is tight
 * (less than 24 px left), or breaks on to a second line.
 */
export function fitLine(
  site: Site,
  header: Header,
  range: { from: number; to: number },
  measure: Measurer,
): FitLine {
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
  return {
    segments,
    needed,
    safeBreakpoint: safeBreakpoint(site, header, needed),
    certain: needed.every((extent) => extent.certain),
  };
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
