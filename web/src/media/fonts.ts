import {
  createMeasurer,
  familiesOf,
  findStack,
  type FontMetrics,
  type Measurer,
  type Site,
} from '@hamaca/core';
import useSWRImmutable from 'swr/immutable';

/** The measures of the typefaces a site uses, with a measurer made of them. */
export interface Fonts {
  readonly metrics: readonly FontMetrics[];
  readonly measure: Measurer;
}

/** Measures that were loaded once stay. */
const loaded = new Map<string, Promise<FontMetrics>>();

async function fetchMetrics(id: string): Promise<FontMetrics> {
  const response = await fetch(`/fonts/${id}.metrics.json`);
  if (!response.ok) throw new Error(`The measures of ${id} are missing.`);
  return (await response.json()) as FontMetrics;
}

function metricsOf(id: string): Promise<FontMetrics> {
  const known = loaded.get(id) ?? fetchMetrics(id);
  loaded.set(id, known);
  known.catch(() => {
    // The next who needs them tries again.
    loaded.delete(id);
  });
  return known;
}

/** Fonts that are there with all their measures, by their families. */
const known = new Map<string, Fonts>();

async function loadFonts(families: string): Promise<Fonts> {
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

const familyList = (site: Site) => familiesOf(site).sort().join(' ');

/** Begins to load the fonts of a site before anything that is drawn asks for them. */
export const loadFontsOf = (site: Site): void => {
  void loadFonts(familyList(site));
};

/** The fonts a site uses once they are loaded; null before. While one more is on its way, those before serve. */
export function useFonts(site: Site | null): Fonts | null {
  const families = site ? familyList(site) : null;
  const { data } = useSWRImmutable(families, loadFonts, { keepPreviousData: true });
  return data ?? (families === null ? null : (known.get(families) ?? null));
}
