import { fetchSite } from './api.ts';
import { claimTab } from './pending.ts';

type Fetched = ReturnType<typeof fetchSite>;

let early: { readonly id: string; readonly fetched: Fetched } | null = null;
let claimed: Promise<string> | null = null;

/** Begins to fetch a site, and to claim the tab that it is worked on in, while the interface is still on its way. */
export function fetchEarly(id: string): Fetched {
  const fetched = fetchSite(id);
  early = { id, fetched };
  claimed = claimTab();
  return fetched;
}

/** The tab as it was claimed early, once; else it is claimed now. */
export function takeTab(): Promise<string> {
  const taken = claimed ?? claimTab();
  claimed = null;
  return taken;
}

/** The site as it was fetched early, once; else it is fetched now. */
export function takeSite(id: string): Fetched {
  const taken = early?.id === id ? early.fetched : fetchSite(id);
  early = null;
  return taken;
}
