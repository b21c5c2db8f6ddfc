import { Hono } from 'hono';
import {
  PICTURES_AT,
  PICTURES_AT_ALLOWED,
  PREFIX,
  PREFIX_ALLOWED,
  slugify,
  zipFiles,
  type HandOffOptions,
} from '@hamaca/core';
import type { Deps } from '../deps.ts';
import { PROBLEMS } from '../problem.ts';
import { loadStored } from '../stored-site.ts';
import { selectSite } from '../store/sites.ts';
import { fontFile } from './fonts.ts';
import { ownFontsOf } from './tried.ts';

/** What is asked of a hand-off: what all names begin with, and where pages find the pictures as files. */
function readOptions({ prefix, pictures }: Readonly<Record<string, string>>): HandOffOptions {
  if (prefix !== undefined && !PREFIX.test(prefix)) throw PROBLEMS.badHeader('prefix', PREFIX_ALLOWED);
  if (pictures !== undefined && !PICTURES_AT.test(pictures))
    throw PROBLEMS.badHeader('pictures', PICTURES_AT_ALLOWED);
  return { ...(prefix === undefined ? {} : { prefix }), ...(pictures === undefined ? {} : { pictures }) };
}

/** The hand-off as one zip: the same files as the command line writes. */
export function handOffRoutes(deps: Deps): Hono {
  const routes = new Hono();
  routes.get('/:id/hand-off.zip', async (context) => {
    const id = context.req.param('id');
    const options = readOptions(context.req.query());
    const stored = await selectSite(deps.database, id);
    if (!stored) throw PROBLEMS.noSite(id);
    const { document } = stored;
    const site = loadStored(document);
    const ownFonts = await ownFontsOf(deps, document);
    const files = await deps.compute.run('hand-off', { document, ownFonts, options }, context.req.raw.signal);
    if (!files) throw PROBLEMS.noHeader();
    const contents = new Map<string, Uint8Array>();
    for (const file of files) {
      const bytes =
        'text' in file
          ? new TextEncoder().encode(file.text)
          : 'base64' in file
            ? Buffer.from(file.base64, 'base64')
            : await fontFile(deps, file.font);
      // A site file from another Hamaca may name a typeface that was never brought here: its fallback serves.
      if (bytes) contents.set(file.name, bytes);
    }
    return context.body(Buffer.from(zipFiles(contents)), 200, {
      'content-type': 'application/zip',
      'cache-control': 'no-store',
      'content-disposition': `attachment; filename="${slugify(site.name, 'site')}-menu.zip"`,
    });
  });
  return routes;
}
