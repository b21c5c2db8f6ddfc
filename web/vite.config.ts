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

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [react(), tailwindcss(), packAssets()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: { input: { index: page('index.html'), frame: page('frame.html') } },
  },
});
