import { readFile } from 'node:fs/promises';
import { TYPEFACES, type FontMetrics } from '@hamaca/core';
import { ROOT } from './folders.ts';

const FOLDER = new URL('fonts/dist/', ROOT);

/** A bundled font file, measures or licence by name. */
export async function readFont(name: string): Promise<Uint8Array> {
  return readFile(new URL(name, FOLDER));
}

/** The measures of all bundled typefaces. */
export async function loadFontMetrics(): Promise<FontMetrics[]> {
  const texts = await Promise.all(TYPEFACES.map(({ id }) => readFont(`${id}.metrics.json`)));
  return texts.map((text) => JSON.parse(Buffer.from(text).toString('utf8')) as FontMetrics);
}
