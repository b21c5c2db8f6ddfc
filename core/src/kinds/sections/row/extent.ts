import { sumExtents, type Extent, type SectionExtents } from '../../extent.ts';
import type { Part } from '../../site.ts';
import { ZONES, type Row, type Zone } from './shape.ts';

const NOTHING: Extent = { width: 0, certain: true, unmeasured: [] };

/** Two sides that are as wide as the wider one. */
function evenSides(start: Extent, end: Extent): Extent {
  return {
    width: 2 * Math.max(start.width, end.width),
    certain: start.certain && end.certain,
    unmeasured: [...start.unmeasured, ...end.unmeasured],
  };
}

type Shown = Readonly<Record<Zone, readonly Part[]>>;
type Measure = (parts: readonly Part[]) => Extent;

/** Links in halves at both sides of the logo: each side has to hold a half and what else stands there. */
function aroundExtent(shown: Shown, extent: Measure, gap: number): Extent {
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

/** What a row holds, without its padding. */
function contentExtent(row: Row, shown: Shown, extent: Measure, gap: number): Extent {
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

/** The least width in px at which a row stands on one line, its padding included. */
export function rowExtent(row: Row, at: SectionExtents): Extent {
  const own = at.slot('row');
  const gap = own.pixels('gap');
  const shown = Object.fromEntries(
    at.regions.map((region) => [region.name, at.shown(region)]),
  ) as unknown as Shown;
  const extent: Measure = (parts) => sumExtents(parts.map(at.part), gap);
  const inside = contentExtent(row, shown, extent, gap);
  return { ...inside, width: inside.width + 2 * own.pixels('paddingInline') };
}
