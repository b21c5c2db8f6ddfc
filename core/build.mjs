/**
 * Writes the output's behaviours out: each script of `src/kinds/behaviours` becomes the minified text of one function,
 * which the compiler joins. Runs after `npm ci` and whenever a script is newer than the text.
 */
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { transformSync } from 'esbuild';
import { minify_sync } from 'terser';

const FOLDER = join(dirname(fileURLToPath(import.meta.url)), 'src/kinds/behaviours');
const TARGET = join(FOLDER, 'built.ts');
const scripts = readdirSync(FOLDER, { withFileTypes: true })
  .filter((entry) => entry.isDirectory() && existsSync(join(FOLDER, entry.name, 'script.ts')))
  .map((entry) => entry.name)
  .sort();

/** The source of the one function a script exports, with or without what stops it again. */
function sourceOf(name, isStoppable) {
  const source = readFileSync(join(FOLDER, name, 'script.ts'), 'utf8');
  const { code } = transformSync(source, {
    loader: 'ts',
    minify: true,
    target: 'es2021',
    format: 'esm',
    define: { STOPPABLE: String(isStoppable) },
  });
  const text = /^const (\w+)=([\s\S]+);export\{\1 as start\};\s*$/.exec(code)?.[2];
  if (text === undefined)
    throw new Error(
      `${name}/script.ts: a behaviour is one exported function named start, with all it needs inside`,
    );
  return text;
}

/** All scripts made small together, so that they call alike what is alike, and pack the better. */
function writtenOut(isStoppable) {
  const mark = 'written_';
  const sources = scripts.map((name) => `${mark}${name}=${sourceOf(name, isStoppable)};`);
  const { code } = minify_sync(sources.join('\n'), {
    ecma: 2020,
    compress: {
      keep_fargs: false,
      passes: 6,
      pure_getters: true,
      unsafe: true,
      unsafe_arrows: true,
      unsafe_comps: true,
      unsafe_methods: true,
    },
  });
  const [, ...pieces] = code.split(new RegExp(`[,;]?${mark}(\\w+)=`));
  return Object.fromEntries(
    scripts.map((name) => [name, pieces[pieces.indexOf(name) + 1].replace(/;$/, '')]),
  );
}

const newest = Math.max(
  statSync(fileURLToPath(import.meta.url)).mtimeMs,
  ...scripts.map((name) => statSync(join(FOLDER, name, 'script.ts')).mtimeMs),
);
if (!existsSync(TARGET) || statSync(TARGET).mtimeMs < newest) {
  const table = (name, isStoppable) => {
    const lines = Object.entries(writtenOut(isStoppable)).map(
      ([one, text]) => `  ${one}: ${JSON.stringify(text)},\n`,
    );
    return `export const ${name} = {\n${lines.join('')}} as const;\n`;
  };
  writeFileSync(
    TARGET,
    `/** Made by core/build.mjs from the scripts beside it. */\n${table('BUILT', false)}\n${table('STOPPABLE', true)}`,
  );
}
