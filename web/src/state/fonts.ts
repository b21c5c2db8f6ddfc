import { createMeasurer, TYPEFACES, type FontMetrics, type Measurer } from '@hamaca/core';
import useSWRImmutable from 'swr/immutable';

/** The measures of the bundled typefaces, with a measurer made of them. */
export interface Fonts {
  readonly metrics: readonly FontMetrics[];
  readonly measure: Measurer;
}

async function loadFonts(): Promise<Fonts> {
  const metrics = await Promise.all(TYPEFACES.map(async ({ id }) => {
    const response = await fetch(`/fonts/${id}.metrics.json`);
    if (!response.ok) throw new Error(`The measures of ${id} are missing.`);
    return (await response.json()) as FontMetrics;
  }));
  return { metrics, measure: createMeasurer(metrics) };
}

/** The fonts once they are loaded; null before. */
export function useFonts(): Fonts | null {
  return useSWRImmutable('fonts', loadFonts).data ?? null;
}
