import { beforeTypefaces, sampleOf, wordsOf, type Measurer, type Site } from '@hamaca/core';
import type { Fonts } from './load-fonts.ts';

/** The measurers a site's rows must have room by: that of its typefaces, and that of what stands in until they have arrived. */
export function measurersOf(
  site: Site,
  { measure, metrics }: Fonts,
): readonly [own: Measurer, before: Measurer] {
  const sample = sampleOf(wordsOf(site, site.pieces));
  return [measure, beforeTypefaces(measure, metrics, site.typefaces, sample)];
}
