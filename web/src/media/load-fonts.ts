import {
  createMeasurer,
  familiesOf,
  findStack,
  type FontMetrics,
  type Measurer,
  type Site,
} from '@hamaca/core';
import { fetchOnce } from './fetch-once.ts';

/** The measures of the typefaces a site uses, with a measurer made of them. */
export interface Fonts {
  readonly metrics: readonly FontMetrics[];
  readonly measure: Measurer;
}

const metricsOf = fetchOnce(async (id): Promise<FontMetrics> => {
  const response = await fetch(`/fonts/${id}.metrics.json`);
  if (!response.ok) throw new Error(`The measures of ${id} are missing.`);
  return (await response.json()) as FontMetrics;
});

/** Fonts that are there with all their measures, by their families. */
const known = new Map<string, Fonts>();

/** Fonts by the list of their families, with a measurer made of their measures. */
export async function loadFonts(families: string): Promise<Fonts> {
  const metrics = await Promise.all(
    families
      .split(' ')
      .filter((id) => findStack(id) === null)
      // What cannot be measured is told by the fit, which counts it as unknown.
      .map(async (id) => metricsOf(id).catch(() => null)),
  );
  const found = metrics.filter((entry) => entry !== null);
  const fonts = known.get(families) ?? { metrics: found, measure: createMeasurer(found) };
  if (found.length === metrics.length) known.set(families, fonts);
  return fonts;
}

/** The families of a site as one list, by which its fonts are known. */
export const familyList = (site: Site) => familiesOf(site).sort().join(' ');

/** The fonts of a list of families where all of them are there already. */
export const knownFonts = (families: string): Fonts | null => known.get(families) ?? null;
