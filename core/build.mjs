/**
 * Writes the output's behaviours out: each script of `src/kinds/behaviours` becomes the minified text of one function,
 * which the compiler joins. Runs after `npm ci` and whenever a script is newer than the text.
 */
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { transformSync } from 'esbuild';

const FOLDER = join(dirname(fileURLToPath(import.meta.url)), 'src/kinds/behaviours');
const TARGET = join(FOLDER, 'built.ts');
const scripts = readdirSync(FOLDER, { withFileTypes: true })
  .filter((entry) => entry.isDirectory() && existsSync(join(FOLDER, entry.name, 'script.ts')))
  .map((entry) => entry.name)
  .sort();

/** The source of the one function a script exports. */
function writtenOut(name) {
  const source = readFileSync(join(FOLDER, name, 'script.ts'), 'utf8');
  const { code } = transformSync(source, { loader: 'ts', minify: true, target: 'es2021', format: 'esm' });
  const text = /^const (\w+)=([\s\S]+);export\{\1 as start\};\s*$/.exec(code)?.[2];
  if (text === undefined)
    throw new Error(
      `${name}/script.ts: a behaviour is one exported function named start, with all it needs inside`,
    );
  return text;
}

const newest = Math.max(
  statSync(fileURLToPath(import.meta.url)).mtimeMs,
  ...scripts.map((name) => statSync(join(FOLDER, name, 'script.ts')).mtimeMs),
);
if (!existsSync(TARGET) || statSync(TARGET).mtimeMs < newest) {
  const lines = scripts.map((name) => `  ${name}: ${JSON.stringify(writtenOut(name))},\n`).join('');
  writeFileSync(
    TARGET,
    `/** Made by core/build.mjs from the scripts beside it. */\nexport const BUILT = {\n${lines}} as const;\n`,
  );
}
