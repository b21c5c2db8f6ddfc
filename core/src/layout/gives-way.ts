import { foldOf } from '../kinds/folds.ts';
import { findSection, placedParts, type PlacedPart } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import { belowBand } from '../model/bands.ts';
import type { Measurer } from '../text/measure.ts';
import { sectionExtent } from './extents.ts';

/** Room to spare beneath which a part gives way, in px: rows are told to within one. */
const SPARE = 1;

/** The width in px below which one part leaves its row, those before it staying as long as it does; 0 where it never has to. */
function leavesBelow(
  site: Site,
  placed: PlacedPart,
  staying: ReadonlySet<string>,
  measure: Measurer,
): number {
  const fold = foldOf(site, placed.part.id);
  const section = findSection(site, placed.region.section);
  if (!fold || !section) return 0;
  const widths = site.bands.flatMap(({ min }, band) => {
    const extent = band < fold.band ? null : sectionExtent(site, section, band, measure, staying);
    const needed = extent ? Math.ceil(extent.width) + SPARE : 0;
    return needed > min ? [Math.min(belowBand(site, band), needed)] : [];
  });
  return Math.max(0, ...widths);
}

/**
 * For every part that leaves only where its row has no room: the width in px below which it is away, 0 where it never has
 * to be. Of several in a row the last one leaves first.
 */
export function givingWay(site: Site, measure: Measurer): ReadonlyMap<string, number> {
  const found = new Map<string, number>();
  const staying = new Map<string, Set<string>>();
  for (const placed of placedParts(site)) {
    const { part, region } = placed;
    if (foldOf(site, part.id)?.tight !== true) continue;
    const before = staying.get(region.section.id) ?? new Set<string>();
    before.add(part.id);
    staying.set(region.section.id, before);
    found.set(part.id, leavesBelow(site, placed, before, measure));
  }
  return found;
}
