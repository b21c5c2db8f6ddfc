import { randomBytes } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join, relative } from 'node:path';
import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { passPath } from '../access/pass.ts';
import type { Deps } from '../deps.ts';
import { PROBLEMS } from '../problem.ts';

/** The interface's own pages: nothing from elsewhere, no inline script. Inline styles place the stage's own ruler. */
const PAGE_POLICY =
  "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; frame-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

/**
 * The stage: an opaque origin that may run the output's script and load fonts, and reach nothing else. Scripts that stand in what it
 * shows do not know the word that the stage's own are told. What was brought along with a page is handed to it as blobs.
 */
const framePolicy = (word: string): string =>
  `sandbox allow-scripts; default-src 'none'; script-src 'self' 'nonce-${word}'; style-src 'self' 'unsafe-inline' blob:; font-src 'self' data: blob:; img-src 'self' data: blob:; frame-ancestors 'self'`;

/** The page's note of how addresses begin that the stage reads from. */
const PASS_NAME = 'hamaca-stage-base';

/** Has the browser fetch the site that a page shows while the page's script is still on its way (Preload, section 3). */
function siteAhead(path: string): Record<string, string> {
  const id = /^\/sites\/([\w-]+)(?:\/|$)/.exec(path)?.[1];
  return id === undefined ? {} : { link: `</api/sites/${id}>; rel=preload; as=fetch; crossorigin` };
}

/** The place that a path leads to, by the name of its scripts. */
function placeOf(path: string): string {
  const [, first = '', , place = 'bench'] = path.split('/');
  return first === 'sites' ? place : first === 'new' ? 'new-site' : 'sites';
}

/** Has the browser fetch the scripts of a place along with the page's own (HTML, `modulepreload`). */
const scriptsAhead = (scripts: readonly string[]): string =>
  scripts.map((path) => `<link rel="modulepreload" crossorigin href="${path}">`).join('');

const IMMUTABLE = 'public, max-age=31536000, immutable';

/** The built scripts and styles: each name stands for its content, for ever. */
export function assetRoutes(webRoot: string): Hono {
  const routes = new Hono();
  const root = relative(process.cwd(), webRoot) || '.';
  routes.use('*', async (context, next) => {
    await next();
    if (!context.res.ok) return;
    context.res.headers.set('cache-control', IMMUTABLE);
    context.res.headers.set('access-control-allow-origin', '*');
    context.res.headers.set('cross-origin-resource-policy', 'cross-origin');
  });
  // They may stand behind a pass.
  const rewriteRequestPath = (path: string) => path.slice(path.indexOf('/assets/'));
  routes.use('*', serveStatic({ root, precompressed: true, rewriteRequestPath }));
  routes.get('*', (context) => {
    throw PROBLEMS.noRoute(context.req.path);
  });
  return routes;
}

/** The built interface's pages, always fresh: every path that is nothing else is answered by the one page. */
export function pageRoutes(webRoot: string, { access, now }: Pick<Deps, 'access' | 'now'>): Hono {
  const routes = new Hono();
  const root = relative(process.cwd(), webRoot) || '.';
  const page = async (name: string) => readFile(join(webRoot, name), 'utf8');
  const pass = async () => (access ? passPath(await access.secret(), now()) : '');
  const scriptsOf = async (place: string): Promise<readonly string[]> => {
    const places = JSON.parse(await page('places.json')) as Record<string, readonly string[]>;
    return Object.hasOwn(places, place) ? (places[place] ?? []) : [];
  };
  routes.get('/icon.svg', serveStatic({ root }));
  routes.get('/frame', async (context) => {
    const word = randomBytes(16).toString('base64');
    const html = (await page('frame.html'))
      .replaceAll('"/assets/', `"${await pass()}/assets/`)
      .replaceAll('<script', `<script nonce="${word}"`);
    return context.html(html, 200, {
      'content-security-policy': framePolicy(word),
      'cache-control': 'no-store',
    });
  });
  routes.get('*', async (context) => {
    if (context.req.path.startsWith('/api/')) throw PROBLEMS.noRoute(context.req.path);
    const scripts = await scriptsOf(placeOf(context.req.path));
    const told = `<meta name="${PASS_NAME}" content="${await pass()}" />${scriptsAhead(scripts)}`;
    return context.html((await page('index.html')).replace('</head>', `${told}</head>`), 200, {
      'content-security-policy': PAGE_POLICY,
      'cache-control': 'no-cache',
      ...siteAhead(context.req.path),
    });
  });
  return routes;
}
