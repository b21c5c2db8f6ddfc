import type { Site } from '../kinds/site.ts';
import type { FetchedLink, World } from './check.ts';

export const NOTHING_FETCHED: ReadonlyMap<string, FetchedLink> = new Map();

function ownHost(site: Site): World['own'] {
  const match = /^(https?):\/\/([^/?#]+)/i.exec(site.url);
  return {
    host: (match?.[2] ?? '').toLowerCase().replace(/^www\./, ''),
    secure: match?.[1]?.toLowerCase() === 'https',
  };
}

/** What every check of a site is told. */
export const worldOf = (site: Site, fetched: World['fetched']): World => ({
  site,
  fetched,
  own: ownHost(site),
  hasListedPages: site.pages.some((page) => page.listed),
});
