import { countLetters } from '../text/fallback-metrics.ts';
import type { FontMetrics } from '../text/font-table.ts';
import type { Measurer } from '../text/measure.ts';
import { fallbackMeasurer } from '../text/other-measures.ts';
import { findTypeface, type Typeface } from '../text/typefaces.ts';

/**
 * Measures labels as they are until their typefaces have arrived. `sample` is what of a site's words the faces that stand
 * in are fitted to, `typefaces` are its own ones.
 */
export const beforeTypefaces = (
  measure: Measurer,
  fonts: readonly FontMetrics[],
  typefaces: readonly Typeface[],
  sample: string,
): Measurer =>
  fallbackMeasurer(measure, fonts, (family) => findTypeface(family, typefaces), countLetters(sample));
