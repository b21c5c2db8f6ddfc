import { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import type { Deps } from '../deps.ts';
import { BUNDLED_FILES } from '../fonts.ts';
import { PROBLEMS } from '../problem.ts';
import { MOST_FONT_BYTES } from '../read-font.ts';
import { insertFont, selectFont } from '../store/fonts.ts';

const CONTENT_TYPES: Readonly<Record<string, string>> = {
  woff2: 'font/woff2',
  json: 'application/json',
  txt: 'text/plain; charset=utf-8',
};

/** A file of a typeface: bundled, or brought along; null where there is none. */
export async function fontFile(deps: Deps, name: string): Promise<Uint8Array | null> {
  if (BUNDLED_FILES.has(name)) return deps.readFont(name);
  const [, id, kind] = /^([a-z0-9-]{1,64})\.(woff2|metrics\.json)$/.exec(name) ?? [];
  const font = id === undefined ? null : await selectFont(deps.database, id);
  if (!font) return null;
  return kind === 'woff2' ? font.woff2 : new TextEncoder().encode(font.metrics);
}

/** Fonts for the interface and the stage; the stage's origin is opaque, so they are open to all. */
export function fontRoutes(deps: Deps): Hono {
  const routes = new Hono();
  routes.get('/:name', async (context) => {
    const name = context.req.param('name');
    const bytes = await fontFile(deps, name);
    if (!bytes) throw PROBLEMS.noRoute(context.req.path);
    return context.body(Buffer.from(bytes), 200, {
      'content-type': CONTENT_TYPES[name.split('.').at(-1) ?? ''] ?? 'application/octet-stream',
      'cache-control': 'public, max-age=86400',
      'access-control-allow-origin': '*',
      'cross-origin-resource-policy': 'cross-origin',
    });
  });
  return routes;
}

/** Typefaces that are brought along: checked, named and measured, then kept by their content. */
export function uploadRoutes(deps: Deps): Hono {
  const routes = new Hono();
  routes.post(
    '/',
    bodyLimit({
      maxSize: MOST_FONT_BYTES,
      onError: () => {
        throw PROBLEMS.badFont('it is larger than 4 MB');
      },
    }),
    async (context) => {
      const { raw } = context.req;
      const bytes = new Uint8Array(await raw.arrayBuffer());
      const read = await deps.compute.run('read-font', bytes, raw.signal);
      if (!read.ok) throw PROBLEMS.badFont(read.error);
      await insertFont(deps.database, read.value, deps.now());
      const { id, name, fallback, weights } = read.value;
      return context.json({ id, name, fallback, weights }, 201, { location: `/fonts/${id}.woff2` });
    },
  );
  return routes;
}
