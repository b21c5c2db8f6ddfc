import type { Finding, runSightChecks, Sight, Site } from '@hamaca/core';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';

/** What a browser drew of a site, as it was when all of it had been looked at. */
export interface Surveyed {
  readonly site: Site;
  readonly sights: readonly Sight[];
  /** How many states of its pages were looked at. */
  readonly states: number;
  /** Judges what was seen: it comes along with it, as nobody else needs the checks on the page. */
  readonly judge: typeof runSightChecks;
}

const surveyed = createStore<{ readonly last: Surveyed | null }>(() => ({ last: null }));

/** Keeps what was seen: whoever asks for the findings of that site is told of it as well. */
export const keepSurvey = (last: Surveyed): void => {
  surveyed.setState({ last });
};

/** What was seen of a site; null where it has not been looked at as it is now. */
export const useSurveyed = (site: Site | null | undefined): Surveyed | null =>
  useStore(surveyed, ({ last }) => (last && last.site === site ? last : null));

/** Findings together with what was seen in the output, where somebody has looked. */
export function useWithSights(
  site: Site | null | undefined,
  findings: readonly Finding[] | null,
): readonly Finding[] | null {
  const seen = useSurveyed(site);
  return useMemo(
    () => (seen && findings ? [...findings, ...seen.judge(seen.site, seen.sights, findings)] : findings),
    [seen, findings],
  );
}
