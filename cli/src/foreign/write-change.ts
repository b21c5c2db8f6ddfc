import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { bytesOfText, isElsewhere, pathOnDisk, type PageChange } from '@hamaca/core';
import type { BroughtPage } from './brought-page.ts';

/** Writes the whole page as it would be into a folder, under the same paths, and the report as `report.json`. */
export function writeChange(
  page: BroughtPage,
  used: readonly string[],
  { files }: PageChange,
  report: string,
  folder: string,
): void {
  const paths = new Set([...page.paths(), ...used, ...files.keys()]);
  for (const path of paths) {
    const text = files.get(path);
    // The page goes on naming those of other hosts by their addresses.
    if (text === undefined && isElsewhere(path)) continue;
    const original = page.bytes(path);
    const bytes = text === undefined ? original : bytesOfText(text, original);
    if (bytes === null) continue;
    const target = join(folder, pathOnDisk(path));
    mkdirSync(dirname(target), { recursive: true });
    writeFileSync(target, bytes);
  }
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, 'report.json'), report);
}
