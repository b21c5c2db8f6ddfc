import { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { LIMITS } from '@hamaca/core';
import type { Deps } from '../deps.ts';
import { PROBLEMS } from '../problem.ts';
import { insertPageFile, selectPageFile } from '../store/page-files.ts';

/** Files of pages that exist already: kept and given back as bytes alone, and never as pages of ours. */
export function pageFileRoutes(deps: Deps): Hono {
  const routes = new Hono();
  routes.post(
    '/',
    bodyLimit({
      maxSize: LIMITS.pageFile,
      onError: () => {
        throw PROBLEMS.badPageFile(`it is larger than ${LIMITS.pageFile / 1024 / 1024} MB`);
      },
    }),
    async (context) => {
      const bytes = new Uint8Array(await context.req.raw.arrayBuffer());
      const file = await insertPageFile(deps.database, bytes, deps.now());
      return context.json({ file }, 201, { location: `/api/page-files/${file}` });
    },
  );
  routes.get('/:file{[0-9a-f]{64}}', async (context) => {
    const bytes = await selectPageFile(deps.database, context.req.param('file'));
    if (!bytes) throw PROBLEMS.noRoute(context.req.path);
    return context.body(Buffer.from(bytes), 200, {
      'content-type': 'application/octet-stream',
      'content-disposition': 'attachment',
      // A name stands for its content, for ever.
      'cache-control': 'private, max-age=31536000, immutable',
    });
  });
  return routes;
}
