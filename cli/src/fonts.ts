import { existsSync, readFileSync } from 'node:fs';
import { TYPEFACES, type FontMetrics } from '@hamaca/core';

/** The folder with the bundled fonts' files and measures. */
const FOLDER = new URL('../../fonts/dist/', import.meta.url);

/** Makes the measures where `npm ci` ran without its scripts. */
async function prepare(): Promise<void> {
  if (!existsSync(new URL('done', FOLDER)))
    await import(new URL('../../fonts/build.mjs', import.meta.url).href);
}

/** The measures of all bundled typefaces. */
export async function loadFontMetrics(): Promise<FontMetrics[]> {
  await prepare();
  return TYPEFACES.map(
    ({ id }) => JSON.parse(readFileSync(new URL(`${id}.metrics.json`, FOLDER), 'utf8')) as FontMetrics,
  );
}

/** A bundled font file or licence by name; null for a typeface that was brought along. */
export function readFontFile(name: string): Uint8Array | null {
  const path = new URL(name, FOLDER);
  return existsSync(path) ? readFileSync(path) : null;
}
