import { fallbackMetrics } from './fallback-metrics.ts';
import type { FontMetrics } from './font-table.ts';
import type { Measurer } from './measure.ts';
import { SYSTEM_FACES } from './system-faces.ts';
import type { Typeface } from './typefaces.ts';

/*
 * Widths of labels as they are at other times than when all is well: before their typeface has arrived, and in
 * another language.
 */

/** What a character that a system face has no width for may take, in thousandths of an em. */
const UNKNOWN = 560;

/** A letter without its accents, which take no room. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '');

/**
 * A measurer of labels in the system faces that stand in until typefaces have arrived, scaled as the stylesheet scales
 * them on the letters of `sample`. Families without such a face are measured as before.
 */
export function fallbackMeasurer(
  measure: Measurer,
  fonts: readonly FontMetrics[],
  typefaceOf: (family: string) => Typeface | null,
  sample: ReadonlyMap<string, number>,
): Measurer {
  const scales = new Map<string, { widths: Readonly<Record<string, number>>; scale: number } | null>();
  const scaleOf = (family: string) => {
    const typeface = typefaceOf(family);
    const metrics = fonts.find((entry) => entry.family === family);
    if (!typeface || !metrics) return null;
    const { widths, unitsPerEm } = SYSTEM_FACES[typeface.fallback];
    const { sizeAdjust } = fallbackMetrics(typeface, metrics, 400, sample);
    return { widths, scale: sizeAdjust / 100 / unitsPerEm };
  };
  return (text, style) => {
    if (!scales.has(style.family)) scales.set(style.family, scaleOf(style.family));
    const face = scales.get(style.family);
    if (!face) return measure(text, style);
    const letters = [...plain(text.replace(/\s+/g, ' ').trim())];
    const units = letters.reduce((sum, letter) => sum + (face.widths[letter] ?? UNKNOWN), 0);
    return {
      width: units * face.scale * style.size + style.tracking * letters.length,
      certain: letters.every((letter) => face.widths[letter] !== undefined),
    };
  };
}

/** A measurer of labels that are longer by a share, as those of another language may be. */
export const longerBy =
  (measure: Measurer, share: number): Measurer =>
  (text, style) => {
    const { width, certain } = measure(text, style);
    return { width: width * (1 + share), certain };
  };
