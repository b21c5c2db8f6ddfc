import { Hono } from 'hono';
import type { FontMetrics } from '@hamaca/core';
import type { Deps } from '../deps.ts';
import { PROBLEMS } from '../problem.ts';
import { siteIdOf } from '../site-id.ts';
import { selectFont } from '../store/fonts.ts';
import { selectSite } from '../store/sites.ts';

/** An origin of its own that runs the output's script, loads fonts and pictures, and reaches nothing of Hamaca. */
const POLICY =
  "sandbox allow-scripts; default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; font-src 'self'; img-src 'self' data: https:; form-action 'none'; base-uri 'none'; frame-ancestors 'self'";

/** The typefaces that were brought along for a site: their measures, and their files by name. */
export async function ownFontsOf(
  { database, compute }: Pick<Deps, 'database' | 'compute'>,
  document: string,
  signal: AbortSignal,
): Promise<{ metrics: FontMetrics[]; files: Map<string, Uint8Array> }> {
  const ids = await compute.run('typefaces', document, signal);
  const found = await Promise.all(ids.map(async (id) => selectFont(database, id)));
  const fonts = found.filter((font) => font !== null);
  return {
    metrics: fonts.map(({ metrics }) => JSON.parse(metrics) as FontMetrics),
    files: new Map(fonts.map(({ id, woff2 }) => [`${id}.woff2`, woff2])),
  };
}

/** The pages of a site with their pieces, each at its own path, so that links, hashes and history work. */
export function triedRoutes(deps: Deps): Hono {
  const routes = new Hono();
  routes.get('/:id/*', async (context) => {
    const id = siteIdOf(context);
    const stored = await selectSite(deps.database, id);
    if (!stored) throw PROBLEMS.noSite(id);
    const { pathname } = new URL(context.req.url);
    const [, beginning = '', rest = ''] = /^(.*?)\/tried\/[\w-]+(\/.*)$/.exec(pathname) ?? [];
    const own = await ownFontsOf(deps, stored.document, context.req.raw.signal);
    const page = await deps.compute.run(
      'tried-page',
      {
        document: stored.document,
        ownFonts: own.metrics,
        path: decodeURI(rest),
        base: `${beginning}/tried/${id}`,
        fontBase: `${beginning}/fonts/`,
      },
      context.req.raw.signal,
    );
    return context.html(page.html, page.isKnown ? 200 : 404, {
      'content-security-policy': POLICY,
      'cache-control': 'no-store',
    });
  });
  return routes;
}
