import { later, type Later } from '../ui/later.tsx';

/** Every place, loaded when it is first needed; those of a site stand behind its address by these names. */
export const PLACES = {
  sites: later(async () => (await import('../places/sites/sites-place.tsx')).SitesPlace),
  new: later(async () => (await import('../places/new-site/new-site-place.tsx')).NewSitePlace),
  links: later(async () => (await import('../places/links/links-place.tsx')).LinksPlace),
  pages: later(async () => (await import('../places/pages/pages-place.tsx')).PagesPlace),
  bench: later(async () => (await import('../places/bench/bench-place.tsx')).BenchPlace),
  palette: later(async () => (await import('../places/palette/palette-place.tsx')).PalettePlace),
  checks: later(async () => (await import('../places/checks/checks-place.tsx')).ChecksPlace),
  try: later(async () => (await import('../places/try/try-place.tsx')).TryPlace),
  'hand-off': later(async () => (await import('../places/hand-off/hand-off-place.tsx')).HandOffPlace),
} satisfies Record<string, Later<object>>;

export type PlaceId = keyof typeof PLACES;

const isPlace = (name: string): name is PlaceId => Object.hasOwn(PLACES, name);

/** The site and the place that an address leads to. */
export function readAddress(pathname: string): { readonly site: string | null; readonly place: PlaceId } {
  const [, first, site, place = 'bench'] = pathname.split('/');
  if (first === 'new') return { site: null, place: 'new' };
  // Ids are letters, digits and hyphens; what is none is no site.
  if (first !== 'sites' || site === undefined || !/^[\w-]+$/.test(site))
    return { site: null, place: 'sites' };
  return { site, place: isPlace(place) ? place : 'bench' };
}
