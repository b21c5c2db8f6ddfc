import { readFile } from 'node:fs/promises';
import { faceFile, TYPEFACES, type FontMetrics } from '@hamaca/core';
import { ROOT } from './folders.ts';

const FOLDER = new URL('fonts/dist/', ROOT);

/** The files of all bundled typefaces, their measures and licences. */
export const BUNDLED_FILES: ReadonlySet<string> = new Set(
  TYPEFACES.flatMap(({ id, subsets }) => [
    ...[null, ...subsets].map((subset) => `${faceFile(id, subset)}.woff2`),
    `${id}.metrics.json`,
    `${id}-LICENSE.txt`,
  ]),
);

/** A bundled font file, measures or licence by name. */
export async function readFont(name: string): Promise<Uint8Array> {
  return readFile(new URL(name, FOLDER));
}

/** The measures of all bundled typefaces. */
export async function loadFontMetrics(): Promise<FontMetrics[]> {
  const texts = await Promise.all(TYPEFACES.map(({ id }) => readFont(`${id}.metrics.json`)));
  return texts.map((text) => JSON.parse(Buffer.from(text).toString('utf8')) as FontMetrics);
}
