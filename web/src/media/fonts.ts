import type { Site } from '@hamaca/core';
import useSWRImmutable from 'swr/immutable';
import { familyList, knownFonts, loadFonts, type Fonts } from './load-fonts.ts';

/** Begins to load the fonts of a site before anything that is drawn asks for them. */
export const loadFontsOf = (site: Site): void => {
  void loadFonts(familyList(site));
};

/** The fonts a site uses once they are loaded; null before. While one more is on its way, those before serve. */
export function useFonts(site: Site | null): Fonts | null {
  const families = site ? familyList(site) : null;
  const { data } = useSWRImmutable(families, loadFonts, { keepPreviousData: true });
  return data ?? (families === null ? null : knownFonts(families));
}
