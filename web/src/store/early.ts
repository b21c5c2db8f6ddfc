import { fetchSite } from './api.ts';

type Fetched = ReturnType<typeof fetchSite>;

let early: { readonly id: string; readonly fetched: Fetched } | null = null;

/** Begins to fetch a site while the interface is still on its way. */
export function fetchEarly(id: string): Fetched {
  const fetched = fetchSite(id);
  early = { id, fetched };
  return fetched;
}

/** The site as it was fetched early, once; else it is fetched now. */
export function takeSite(id: string): Fetched {
  const taken = early?.id === id ? early.fetched : fetchSite(id);
  early = null;
  return taken;
}
