import { existsSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { run, say } from './run.mjs';

const STAMP = join(ROOT, 'web', 'dist', '.built');

function newest(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  const inside = readdirSync(path).filter((name) => !['dist', 'node_modules'].includes(name));
  return Math.max(stat.mtimeMs, ...inside.map((name) => newest(join(path, name))));
}

/** Builds the interface where a source is newer than the last build. */
export function ensureBuilt() {
  const sources = ['web', 'core/src', 'package-lock.json'].map((path) => newest(join(ROOT, path)));
  if (existsSync(STAMP) && statSync(STAMP).mtimeMs >= Math.max(...sources)) return;
  say('building the interface…');
  run('npx', ['--no-install', 'vite', 'build', 'web', '--logLevel', 'warn'], { stdio: ['ignore', 2, 2] });
  writeFileSync(STAMP, '');
}
