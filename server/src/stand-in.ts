import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import { serve, type ServerType } from '@hono/node-server';
import { Hono } from 'hono';
import { ROOT } from './folders.ts';

const FOLDER = fileURLToPath(new URL('demo/website', ROOT));

/** What the stand-in does besides serving its pages: the faults that link checks are tried on. */
const MOVED: Readonly<Record<string, { to: string; status: 301 | 302 }>> = {
  '/hides/': { to: '/visit/trails-and-hides/', status: 301 },
  '/today/': { to: '/birds/sightings/', status: 302 },
  '/round/a/': { to: '/round/b/', status: 301 },
  '/round/b/': { to: '/round/a/', status: 301 },
};

/** The demo's invented website, for imports and link checks without any other. */
export function createStandIn(): Hono {
  const app = new Hono();
  for (const [path, { to, status }] of Object.entries(MOVED))
    app.all(path, (context) => context.redirect(to, status));
  app.all(
    '/asleep/',
    (context) =>
      new Promise<Response>((resolve) => {
        context.req.raw.signal.addEventListener('abort', () => {
          resolve(context.body(null));
        });
      }),
  );
  app.all('/broken/', (context) => context.text('The counter is out of order.', 500));
  app.get(
    '/sitemap-birds.xml.gz',
    async () =>
      new Response(gzipSync(await readFile(join(FOLDER, 'sitemap-birds.xml'))), {
        headers: { 'content-type': 'application/gzip' },
      }),
  );
  app.get('/inside/', (context) => context.redirect('http://127.0.0.1:1/secret', 302));
  app.get('*', async (context) => {
    const { path } = context.req;
    const name = path.endsWith('/') ? `${path}index.html` : path;
    if (name.includes('..')) return context.notFound();
    try {
      const type = name.endsWith('.xml') ? 'application/xml' : 'text/html; charset=utf-8';
      return context.body(await readFile(join(FOLDER, name)), 200, { 'content-type': type });
    } catch {
      // There is no such file: a website answers as this does.
      return context.notFound();
    }
  });
  return app;
}

/** Serves the stand-in on a free port of loopback; answers its address. */
export function startStandIn(): Promise<{ url: string; server: ServerType }> {
  return new Promise((resolve) => {
    const server = serve({ fetch: createStandIn().fetch, hostname: '127.0.0.1', port: 0 }, ({ port }) => {
      resolve({ url: `http://127.0.0.1:${port}`, server });
    });
  });
}
