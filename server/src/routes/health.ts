import { Hono } from 'hono';
import { applyCheckedPatch, compileSite, createPlainSite, loadSite, type JsonPatch } from '@hamaca/core';
import type { Deps } from '../deps.ts';

/** Milliseconds for which what was found out about the work itself is told again. */
const REMEMBERED = 2000;

/** A small site, as a document from outside. */
const SAMPLE = JSON.stringify(
  createPlainSite({ name: 'Health', url: 'https://health.invalid', menu: { items: [] }, pages: [] }),
);

const RENAMED: JsonPatch = [{ op: 'replace', path: '/name', value: 'Renamed' }];

/** Whether a site can be read, edited and compiled: what most requests come down to. */
function works(): boolean {
  try {
    const loaded = loadSite(JSON.parse(SAMPLE));
    const edited = loaded.ok ? applyCheckedPatch(loaded.value, RENAMED) : loaded;
    return edited.ok && compileSite(edited.value.site, { fonts: [] }).stylesheet !== '';
  } catch {
    // Whatever is wrong, the answer is no.
    return false;
  }
}

/** Whether the server can do its work: 200 with the schema's version; 503 while the database is away or the work fails. */
export function healthRoutes(deps: Deps): Hono {
  const routes = new Hono();
  let known: { readonly works: boolean; readonly at: number } | null = null;
  const stillWorks = () => {
    const at = performance.now();
    if (!known || at - known.at > REMEMBERED) known = { works: works(), at };
    return known.works;
  };
  routes.get('/', async (context) => {
    const answers = await deps.database.execute('SELECT id FROM site LIMIT 1').then(
      () => true,
      () => false,
    );
    const isFine = answers && stillWorks();
    const body = {
      status: isFine ? 'ready' : answers ? 'failing' : 'away',
      database: answers ? 'answers' : 'away',
      schemaVersion: deps.schemaVersion,
    };
    return context.json(body, isFine ? 200 : 503, { 'cache-control': 'no-store' });
  });
  return routes;
}
