/**
 * Makes what Hamaca needs of the bundled typefaces: measuring tables (`dist/*.metrics.json`), the font files and their
 * licences. Runs after `npm ci`; does nothing where the result is newer than its sources.
 */
import { copyFileSync, existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
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
  const { tsImport } = await import('tsx/esm/api');
  const { TYPEFACES } = await tsImport(catalogue, import.meta.url);
  mkdirSync(dist, { recursive: true });
  for (const typeface of TYPEFACES) {
    const folder = dirname(require.resolve(`${typeface.package}/package.json`));
    const file = join(folder, 'files', typeface.file);
    const metrics = await measureFace(await unfoldWoff2(readFileSync(file)), typeface.id, typeface.weights);
    writeFileSync(join(dist, `${typeface.id}.metrics.json`), JSON.stringify(metrics));
    copyFileSync(file, join(dist, `${typeface.id}.woff2`));
    copyFileSync(join(folder, 'LICENSE'), join(dist, `${typeface.id}-LICENSE.txt`));
  }
  writeFileSync(join(dist, 'done'), '');
}

if (!isFresh()) await build();
