/**
 * Makes what Hamaca needs of the bundled typefaces: measuring tables (`dist/*.metrics.json`), the font files and their
 * licences. Runs after `npm ci`; does nothing where the result is newer than its sources.
 */
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { measureFace, unfoldWoff2 } from './tables.mjs';

const here = dirname(fileURLToPath(import.meta.url));
const dist = join(here, 'dist');
const require = createRequire(import.meta.url);
const catalogue = join(here, '../core/src/text/typefaces.ts');
const sources = [fileURLToPath(import.meta.url), join(here, 'tables.mjs'), catalogue];

function isFresh() {
  const target = join(dist, 'done');
  return (
    existsSync(target) && sources.every((source) => statSync(source).mtimeMs <= statSync(target).mtimeMs)
  );
}

async function build() {
  const started = new Date();
  const { tsImport } = await import('tsx/esm/api');
  const { faceFile, TYPEFACES } = await tsImport(catalogue, import.meta.url);
  mkdirSync(dist, { recursive: true });
  for (const typeface of TYPEFACES) {
    const folder = dirname(require.resolve(`${typeface.package}/package.json`));
    const file = (subset) => join(folder, 'files', `${typeface.id}-${subset}-wght-normal.woff2`);
    const read = async (subset) => unfoldWoff2(readFileSync(file(subset)));
    const subsets = [];
    for (const subset of typeface.subsets) subsets.push(await read(subset));
    const metrics = await measureFace(await read('latin'), typeface.id, typeface.weights, subsets);
    writeFileSync(join(dist, `${typeface.id}.metrics.json`), JSON.stringify(metrics));
    copyFileSync(file('latin'), join(dist, `${typeface.id}.woff2`));
    for (const subset of typeface.subsets)
      copyFileSync(file(subset), join(dist, `${faceFile(typeface.id, subset)}.woff2`));
    copyFileSync(join(folder, 'LICENSE'), join(dist, `${typeface.id}-LICENSE.txt`));
  }
  writeFileSync(join(dist, 'done'), '');
  // A source that was changed meanwhile is newer than what was made of it.
  utimesSync(join(dist, 'done'), started, started);
}

if (!isFresh()) await build();
