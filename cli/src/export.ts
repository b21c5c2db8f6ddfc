import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { handOffFiles, parseSiteFile, type HandOffOptions } from '@hamaca/core';
import { loadFontMetrics, readFontFile } from './fonts.ts';
import { readInput } from './input.ts';
import type { Output } from './output.ts';
import { ERRORS } from './words.ts';

/** `hamaca export`: the hand-off of a site file as a folder. Nothing is written unless the whole site can be used. */
export async function runExport(
  file: string,
  folder: string,
  options: HandOffOptions,
  output: Output,
): Promise<number> {
  const text = readInput(file);
  if (!text.ok) return output.refuse(text.error);
  const site = parseSiteFile(text.value);
  if (!site.ok) return output.refuse(ERRORS.notASite(file, site.error));
  const files = handOffFiles(site.value, await loadFontMetrics(), options);
  if (!files) return output.refuse(ERRORS.noHeader(file));
  const missing: string[] = [];
  try {
    for (const entry of files) {
      const content =
        'text' in entry
          ? entry.text
          : 'base64' in entry
            ? Buffer.from(entry.base64, 'base64')
            : readFontFile(entry.font);
      // A typeface that was brought along is kept where it was brought to, not in the site file.
      if (content === null) {
        missing.push(entry.name);
        continue;
      }
      const path = join(folder, entry.name);
      mkdirSync(dirname(path), { recursive: true });
      writeFileSync(path, content);
    }
  } catch (error) {
    return output.refuse(ERRORS.cannotWrite(folder, (error as Error).message));
  }
  output.print(`${files.length - missing.length} files written to ${folder}\n`);
  for (const name of missing) output.print(`${name} is not among them: put the font file there yourself\n`);
  return 0;
}
