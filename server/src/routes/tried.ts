import { Hono } from 'hono';
import type { FontMetrics } from '@hamaca/core';
import type { Deps } from '../deps.ts';
import { PROBLEMS } from '../problem.ts';
import { loadStored } from '../stored-site.ts';
import { selectFont } from '../store/fonts.ts';
import { selectSite } from '../store/sites.ts';

/** An origin of its own that runs the output's script, loads fonts and pictures, and reaches nothing of Hamaca. */
const POLICY =
  "sandbox allow-scripts; default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; font-src 'self'; img-src 'self' data: https:; form-action 'none'; base-uri 'none'; frame-ancestors 'self'";

/** The measures of the typefaces that were brought along for a site. */
export async function ownFontsOf(
  { database }: Pick<Deps, 'database'>,
  document: string,
): Promise<FontMetrics[]> {
  const faces = loadStored(document).typefaces;
  const fonts = await Promise.all(faces.map(async ({ id }) => selectFont(database, id)));
  return fonts.flatMap((font) => (font ? [JSON.parse(font.metrics) as FontMetrics] : []));
}

/** The pages of a site with their pieces, each at its own path, so that links, hashes and history work. */
export function triedRoutes(deps: Deps): Hono {
  const routes = new Hono();
  routes.get('/:id/*', async (context) => {
    const id = context.req.param('id');
    const stored = await selectSite(deps.database, id);
    if (!stored) throw PROBLEMS.noSite(id);
    const { pathname } = new URL(context.req.url);
    const [, beginning = '', rest = ''] = /^(.*?)\/tried\/[\w-]+(\/.*)$/.exec(pathname) ?? [];
    const page = await deps.compute.run(
      'tried-page',
      {
        document: stored.document,
        ownFonts: await ownFontsOf(deps, stored.document),
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
