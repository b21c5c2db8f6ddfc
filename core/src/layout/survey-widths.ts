import type { Site } from '../kinds/site.ts';
import { bandEnd } from '../resolve/resolve.ts';
import { narrowestIn } from './extents.ts';

/** The widest page that is looked at, in px. */
const WIDEST = 1600;

/** The widths in px at which the output is looked at: both ends of every band, the widest last. */
export function surveyWidths(site: Site): readonly number[] {
  const ends = [...site.bands.keys()].flatMap((band) => {
    const narrowest = narrowestIn(site, band);
    return [narrowest, Math.max(narrowest, Math.min(bandEnd(site, band) ?? WIDEST, WIDEST))];
  });
  return [...new Set(ends)].toSorted((a, b) => a - b);
}
