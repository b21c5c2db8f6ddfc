import type { FontMetrics, FontTable } from './font-table.ts';
import type { Typeface } from './typefaces.ts';

/** A face every system has, or has a metric-compatible copy of. Widths in thousandths of an em. */
interface SystemFace {
  readonly local: readonly string[];
  readonly unitsPerEm: number;
  readonly widths: Readonly<Record<string, number>>;
}

const LETTERS = ' ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz';

const widthsOf = (list: readonly number[]) =>
  Object.fromEntries([...LETTERS].map((letter, index) => [letter, list[index] ?? 500]));

/** Advance widths of the standard 14 PDF fonts' Helvetica and Times, which Arial and Times New Roman share. */
const SYSTEM_FACES: Readonly<Record<Typeface['fallback'], SystemFace>> = {
  sans: {
    local: ['Arial', 'Liberation Sans', 'Helvetica'],
    unitsPerEm: 1000,
    widths: widthsOf([
      278, 667, 667, 722, 722, 667, 611, 778, 722, 278, 500, 667, 556, 833, 722, 778, 667, 778, 722, 667, 611,
      722, 667, 944, 667, 667, 611, 556, 556, 500, 556, 556, 278, 556, 556, 222, 222, 500, 222, 833, 556, 556,
      556, 556, 333, 500, 278, 556, 500, 722, 500, 500, 500,
    ]),
  },
  serif: {
    local: ['Times New Roman', 'Liberation Serif', 'Times'],
    unitsPerEm: 1000,
    widths: widthsOf([
      250, 722, 667, 667, 722, 611, 556, 722, 722, 333, 389, 722, 611, 889, 722, 722, 556, 722, 667, 556, 611,
      722, 722, 944, 722, 722, 611, 444, 500, 444, 500, 444, 333, 500, 500, 278, 278, 500, 278, 778, 500, 500,
      500, 500, 333, 389, 278, 500, 500, 722, 500, 500, 444,
    ]),
  },
};

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
  const table = metrics.tables.find((entry: FontTable) => entry.weight === weight) ?? metrics.tables[0];
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
