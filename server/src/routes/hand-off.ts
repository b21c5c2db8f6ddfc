import { Hono } from 'hono';
import { handOffFiles, slugify, zipFiles } from '@hamaca/core';
import type { Deps } from '../deps.ts';
import { PROBLEMS } from '../problem.ts';
import { loadStored } from '../stored-site.ts';
import { selectSite } from '../store/sites.ts';

/** The hand-off as one zip: the same files as the command line writes. */
export function handOffRoutes(deps: Deps): Hono {
  const routes = new Hono();
  routes.get('/:id/hand-off.zip', async (context) => {
    const id = context.req.param('id');
    const stored = await selectSite(deps.database, id);
    if (!stored) throw PROBLEMS.noSite(id);
    const site = loadStored(stored.document);
    const files = handOffFiles(site, deps.fonts);
    if (!files) throw PROBLEMS.noHeader();
    const contents = new Map<string, Uint8Array>();
    for (const file of files) contents.set(file.name, 'text' in file ? new TextEncoder().encode(file.text) : await deps.readFont(file.font));
    return context.body(Buffer.from(zipFiles(contents)), 200, {
      'content-type': 'application/zip', 'cache-control': 'no-store',
      'content-disposition': `attachment; filename="${slugify(site.name, 'site')}-menu.zip"`,
    });
  });
  return routes;
}
