import type { FontMetrics, FontTable } from './font-table.ts';
import { SYSTEM_FACES } from './system-faces.ts';
import type { Typeface } from './typefaces.ts';

/** The descriptors of an adjusted fallback face (CSS Fonts 5, `size-adjust` and the metric overrides). */
export interface FallbackMetrics {
  readonly local: readonly string[];
  /** All in percent. */
  readonly sizeAdjust: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
}

/** How often each letter occurs in a text: a sample to fit fallback faces to. */
export function countLetters(text: string): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const letter of text) counts.set(letter, (counts.get(letter) ?? 0) + 1);
  return counts;
}

const percent = (ratio: number) => Math.round(ratio * 10_000) / 100;

/**
 * How a system face must be scaled to take the same room as a bundled one, judged on the letters of `sample`
 * (the site's own labels, counted), so that nothing moves when the font arrives.
 */
export function fallbackMetrics(
  typeface: Typeface,
  metrics: FontMetrics,
  weight: number,
  sample: ReadonlyMap<string, number>,
): FallbackMetrics {
  const face = SYSTEM_FACES[typeface.fallback];
  const far = (table: FontTable) => Math.abs(table.weight - weight);
  const table = metrics.tables.reduce<FontTable | undefined>(
    (nearest, entry) => (nearest && far(nearest) <= far(entry) ? nearest : entry),
    undefined,
  );
  let own = 0;
  let system = 0;
  for (const [letter, count] of sample) {
    const width = face.widths[letter];
    const advance = table?.advances[letter];
    if (width === undefined || advance === undefined) continue;
    own += (count * advance) / metrics.unitsPerEm;
    system += (count * width) / face.unitsPerEm;
  }
  const adjust = system > 0 ? own / system : 1;
  const vertical = (units: number) => percent(units / metrics.unitsPerEm / adjust);
  return {
    local: face.local,
    sizeAdjust: percent(adjust),
    ascent: vertical(metrics.ascent),
    descent: vertical(metrics.descent),
    lineGap: vertical(metrics.lineGap),
  };
}
