import { readFile } from 'node:fs/promises';
import { parseSiteFile } from '@hamaca/core';
import { ROOT } from './folders.ts';
import type { Database } from './store/database.ts';
import { hasSites, insertSite } from './store/sites.ts';

/** The demo sites a new database starts with, by id. */
const DEMOS = { marisma: 'demo/marisma.hamaca.json', orilla: 'demo/orilla.hamaca.json' } as const;

/** Fills an empty database with the demos; one that ever held a site is left alone. */
export async function seedDemo(database: Database, now: Date): Promise<void> {
  if (await hasSites(database)) return;
  for (const [id, path] of Object.entries(DEMOS)) {
    const site = parseSiteFile(await readFile(new URL(path, ROOT), 'utf8'));
    if (!site.ok) throw new Error(`The demo ${id} does not load: ${site.error[0]?.message ?? ''}`);
    await insertSite(database, { id, name: site.value.name, document: JSON.stringify(site.value) }, now);
  }
}
