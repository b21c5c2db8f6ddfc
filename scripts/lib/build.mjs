import { existsSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';
import { run, say } from './run.mjs';

function newest(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  const inside = readdirSync(path).filter((name) => !['dist', 'node_modules'].includes(name));
  return Math.max(stat.mtimeMs, ...inside.map((name) => newest(join(path, name))));
}

/** Builds something into `folder` where a source is newer than the last build. */
async function ensure(what, folder, sources, build) {
  const stamp = join(ROOT, folder, '.built');
  const changed = Math.max(...[...sources, 'package-lock.json'].map((path) => newest(join(ROOT, path))));
  if (existsSync(stamp) && statSync(stamp).mtimeMs >= changed) return;
  say(`building the ${what}…`);
  await build();
  writeFileSync(stamp, '');
}

/** The plugin that keeps packages as they were published; our workspaces are part of the bundle. */
export const ownSources = {
  name: 'own-sources',
  setup: ({ onResolve }) => {
    onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
      kind === 'entry-point' || path.startsWith('@hamaca/') ? undefined : { external: true },
    );
  },
};

async function buildServer() {
  const { build } = await import('esbuild');
  await build({
    entryPoints: ['main', 'new-key', 'compute/thread'].map((name) => join(ROOT, `server/src/${name}.ts`)),
    entryNames: '[name]',
    outdir: join(ROOT, 'server/dist'),
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    sourcemap: true,
    logLevel: 'warning',
    plugins: [ownSources],
  });
}

const buildInterface = () =>
  run('npx', ['--no-install', 'vite', 'build', 'web', '--logLevel', 'warn'], { stdio: ['ignore', 2, 2] });

/** Builds interface and server where their sources changed. */
export async function ensureBuilt() {
  await ensure('interface', 'web/dist', ['web', 'core/src'], buildInterface);
  await ensure('server', 'server/dist', ['server/src', 'fetching/src', 'core/src', 'fonts'], buildServer);
}
