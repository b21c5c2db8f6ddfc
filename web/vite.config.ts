import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { defineConfig, type Plugin } from 'vite';

const page = (name: string) => fileURLToPath(new URL(name, import.meta.url));

/** Writes every asset packed as well, so that the server need not pack them for each visitor. */
function packAssets(): Plugin {
  return {
    name: 'pack-assets',
    apply: 'build',
    writeBundle: ({ dir = '' }) => {
      const folder = join(dir, 'assets');
      for (const name of readdirSync(folder).filter((file) => /\.(?:js|css|json)$/.test(file))) {
        const asset = readFileSync(join(folder, name));
        writeFileSync(join(folder, `${name}.br`), brotliCompressSync(asset));
        writeFileSync(join(folder, `${name}.gz`), gzipSync(asset, { level: 9 }));
      }
    },
  };
}

/**
 * Writes which scripts each place needs besides the page's own, so that the server can have the browser fetch them while
 * the page's own are still on their way: `places.json`, lists of paths by the names of the places' folders.
 */
function listPlaces(): Plugin {
  return {
    name: 'list-places',
    apply: 'build',
    generateBundle(_options, bundle) {
      const chunks = Object.values(bundle).filter((output) => output.type === 'chunk');
      const byName = new Map(chunks.map((chunk) => [chunk.fileName, chunk]));
      const needed = (name: string, found = new Set<string>()): Set<string> => {
        if (!found.has(name)) {
          found.add(name);
          for (const other of byName.get(name)?.imports ?? []) needed(other, found);
        }
        return found;
      };
      const entry = chunks.find((chunk) => chunk.isEntry && chunk.name === 'index');
      const own = needed(entry?.fileName ?? '');
      const places = chunks.flatMap(({ fileName, facadeModuleId }) => {
        const place = /\/places\/([\w-]+)\/\1-place\.tsx$/.exec(facadeModuleId ?? '')?.[1];
        const scripts = [...needed(fileName)].filter((name) => !own.has(name));
        return place === undefined ? [] : [[place, scripts.map((name) => `/${name}`)] as const];
      });
      this.emitFile({
        type: 'asset',
        fileName: 'places.json',
        source: JSON.stringify(Object.fromEntries(places)),
      });
    },
  };
}

/**
 * What every place needs stands in few scripts, as each costs the browser a request of its own; everything else is cut by
 * who needs it.
 */
const TOGETHER = [
  {
    name: 'libraries',
    test: /node_modules[\\/](?:react|react-dom|react-router|scheduler|swr|zustand|culori|saxes|xmlchars|@csstools)[\\/]/,
  },
  {
    name: 'controls',
    test: /node_modules[\\/](?:@radix-ui|@floating-ui|react-remove-scroll|react-style-singleton|aria-hidden|use-callback-ref|use-sidecar|get-nonce)/,
  },
  {
    name: 'core',
    test: /core[\\/]src[\\/](?:base|colour|drawings|kinds|links|model|print|resolve|text|values)[\\/](?!.*schema\.ts|integrity\.ts)/,
  },
  { name: 'output', test: /core[\\/]src[\\/](?:layout|output)[\\/]/ },
];

/** Scripts that run as a whole once a site is opened. */
const RUN_AT_ONCE: ReadonlySet<string> = new Set(['core', 'output', 'bench-place']);

/** Has a browser that knows it compile all functions of a script while that is still arriving, beside the page's own work. */
const COMPILE_ALL = '//# allFunctionsCalledOnLoad';

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [react(), tailwindcss(), listPlaces(), packAssets()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      input: { index: page('index.html'), frame: page('frame.html') },
      output: {
        codeSplitting: { groups: TOGETHER },
        postBanner: ({ name }) => (RUN_AT_ONCE.has(name) ? COMPILE_ALL : ''),
      },
    },
  },
});
