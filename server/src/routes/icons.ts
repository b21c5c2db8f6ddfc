import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { Hono } from 'hono';
import { PROBLEMS } from '../problem.ts';

/** The library's drawings by name, each what stands inside its 24 by 24 root. */
type Library = ReadonlyMap<string, string>;

let loading: Promise<Library> | null = null;

async function readLibrary(): Promise<Library> {
  const path = createRequire(import.meta.url).resolve('@iconify-json/tabler/icons.json');
  const { icons } = JSON.parse(await readFile(path, 'utf8')) as { icons: Record<string, { body: string }> };
  return new Map(Object.entries(icons).map(([name, { body }]) => [name, body]));
}

/** The icon library, read once when it is first asked for. */
export function loadIconLibrary(): Promise<Library> {
  loading ??= readLibrary().catch((error: unknown) => {
    loading = null;
    throw error;
  });
  return loading;
}

/** Most drawings given at once. */
const MOST = 200;

/** The bundled icon library: all names, and single drawings, so that nobody has to fetch it whole. */
export function iconRoutes(): Hono {
  const routes = new Hono();
  routes.get('/names', async (context) =>
    context.json([...(await loadIconLibrary()).keys()], 200, { 'cache-control': 'public, max-age=86400' }),
  );
  routes.get('/drawings', async (context) => {
    const names = (context.req.query('names') ?? '').split(',').filter((name) => name !== '');
    if (names.length > MOST) throw PROBLEMS.tooManyIcons(MOST);
    const library = await loadIconLibrary();
    const drawings = names.flatMap((name) => {
      const body = library.get(name);
      return body === undefined ? [] : [[name, body] as const];
    });
    return context.json(Object.fromEntries(drawings), 200, { 'cache-control': 'public, max-age=86400' });
  });
  return routes;
}
