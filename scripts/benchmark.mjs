/** `npm run benchmark`: sets itself up and measures. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { ownSources } from './lib/build.mjs';
import { ROOT } from './lib/paths.mjs';
import { run } from './lib/run.mjs';
import { setUp } from './lib/set-up.mjs';

/** Sources read files beside them: each keeps its own address in the bundle. */
const keepAddresses = {
  name: 'keep-addresses',
  setup: ({ onLoad }) => {
    onLoad({ filter: /\.ts$/ }, ({ path }) => ({
      contents: readFileSync(path, 'utf8').replaceAll(
        'import.meta.url',
        JSON.stringify(pathToFileURL(path).href),
      ),
      loader: 'ts',
    }));
  },
};

await setUp();
// Built as it ships: what runs the sources as they are adds a call to every function.
await build({
  entryPoints: [join(ROOT, 'benchmarks', 'run.ts')],
  outfile: join(ROOT, '.cache', 'benchmark.mjs'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  plugins: [ownSources, keepAddresses],
});
run(process.execPath, [join(ROOT, '.cache', 'benchmark.mjs')]);
