import type { Site } from '../kinds/site.ts';

/** A site as its file: readable JSON with a final line break; the same site gives the same text. */
export function printSiteFile(site: Site): string {
  return `${JSON.stringify(site, null, 2)}\n`;
}
