/**
 * Writes the output's behaviours out: each script of `src/kinds/behaviours` becomes the text of one function, once minified, which the
 * compiler joins, and once as it is read. Runs after `npm ci` and whenever a script is newer than the texts.
 */
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { transformSync } from 'esbuild';
import prettier from 'prettier';
import { minify_sync } from 'terser';
import ts from 'typescript';

const FOLDER = join(dirname(fileURLToPath(import.meta.url)), 'src/kinds/behaviours');
const TARGET = join(FOLDER, 'built.ts');
const READABLE = join(FOLDER, 'built-readable.ts');
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

/** Takes out what stops a script again, and parameters that it does not use. */
const withoutStopping = (context) => (source) => {
  const { factory } = context;
  const isUnused = ({ name }) => ts.isIdentifier(name) && /^(?:undo$|_)/.test(name.text);
  const visit = (node) => {
    if (ts.isIfStatement(node) && node.expression.getText(source) === 'STOPPABLE') return undefined;
    const visited = ts.visitEachChild(node, visit, context);
    if (!ts.isArrowFunction(visited) || !visited.parameters.some(isUnused)) return visited;
    const used = visited.parameters.findLastIndex((parameter) => !isUnused(parameter)) + 1;
    return factory.updateArrowFunction(
      visited,
      visited.modifiers,
      visited.typeParameters,
      visited.parameters.slice(0, used),
      visited.type,
      visited.equalsGreaterThanToken,
      visited.body,
    );
  };
  return ts.visitNode(source, visit);
};

/** A script as it is read: without types and without what stops it again, with its comments. */
async function readable(name) {
  const source = readFileSync(join(FOLDER, name, 'script.ts'), 'utf8').replace(/^ *\/\/ eslint-.*\n/gm, '');
  const { outputText } = ts.transpileModule(source, {
    compilerOptions: { target: ts.ScriptTarget.ES2021, module: ts.ModuleKind.ESNext },
    transformers: { before: [withoutStopping] },
  });
  if (!outputText.includes('export const start = ')) throw new Error(`${name}/script.ts exports no start`);
  const plain = withoutTools(outputText.replace('export const start = ', `const ${name} = `));
  const text = await prettier.format(plain, { parser: 'babel', singleQuote: true, printWidth: 100 });
  return text.trim();
}

/** What a script is handed as tools, written out: names with the usual prefix, and listeners that stay. */
function withoutTools(script) {
  return script
    .replace(/-\$\{at\('(\w+)'\)\.slice\(4\)\}/g, '--hm-$1')
    .replace(/\$\{at\('(\w+)'\)\}/g, 'data-hm-$1')
    .replace(/(?<![.\w])at\('(\w+)'\)/g, "'data-hm-$1'")
    .replace(/(?<![.\w])at\((\w+)\)/g, '`data-hm-${$1}`')
    .replace(/`[^`]*`/g, (text) => (/['$]/.test(text) ? text : `'${text.slice(1, -1)}'`))
    .replace(/(?<![.\w])on\((\w+), /g, '$1.addEventListener(')
    .replace(/= \(_?root, _?at(?:, _?on)?/, '= (root');
}

const newest = Math.max(
  statSync(fileURLToPath(import.meta.url)).mtimeMs,
  ...scripts.map((name) => statSync(join(FOLDER, name, 'script.ts')).mtimeMs),
);
const isOld = (target) => !existsSync(target) || statSync(target).mtimeMs < newest;
if (isOld(TARGET) || isOld(READABLE)) {
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
  const texts = [];
  for (const name of scripts)
    if (name !== 'join') texts.push(`  ${name}: ${JSON.stringify(await readable(name))},\n`);
  writeFileSync(
    READABLE,
    `/** Made by core/build.mjs from the scripts beside it. */\nexport const READABLE = {\n${texts.join('')}} as const;\n`,
  );
}
