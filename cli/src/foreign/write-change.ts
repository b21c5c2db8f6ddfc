import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { PageChange } from '@hamaca/core';
import { textOf, type BroughtPage } from './brought-page.ts';

/** The bytes of a changed text, in the way its file was read; a new file is UTF-8. */
function bytesLike(original: Uint8Array | null, text: string): Uint8Array {
  const wasUtf8 = original === null || Buffer.from(textOf(original), 'utf8').equals(original);
  return Buffer.from(text, wasUtf8 ? 'utf8' : 'latin1');
}

/** Writes the whole page as it would be into a folder, under the same paths, and what changes as `report.json`. */
export function writeChange(
  page: BroughtPage,
  used: readonly string[],
  { files, changed, sideEffects }: PageChange,
  folder: string,
): void {
  const paths = new Set([...page.paths(), ...used, ...files.keys()]);
  for (const path of paths) {
    const text = files.get(path);
    const original = page.bytes(path);
    const bytes = text === undefined ? original : bytesLike(original, text);
    if (bytes === null) continue;
    const target = join(folder, path);
    mkdirSync(dirname(target), { recursive: true });
    writeFileSync(target, bytes);
  }
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, 'report.json'), `${JSON.stringify({ changed, sideEffects }, null, 2)}\n`);
}
