import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Hono } from 'hono';
import { pino } from 'pino';
import { startDatabase, type OwnDatabase } from '../../scripts/lib/database.mjs';
import { createApp } from '../src/app.ts';
import type { Deps } from '../src/deps.ts';
import { TASKS, type Compute, type Emit } from '../src/compute/tasks.ts';
import { readFont } from '../src/fonts.ts';
import { seedDemo } from '../src/seed.ts';
import { openDatabase, type Database } from '../src/store/database.ts';
import { migrateDatabase } from '../src/store/migrate.ts';

/** Milliseconds a database may take to answer in tests: a busy machine is slow, not wrong. */
const PATIENT = 30_000;

/** Does the work at once: threads are for what is built. */
const HERE: Compute = {
  run: (name, input, _signal, emit = () => undefined) =>
    (TASKS[name] as (input: unknown, emit: Emit) => unknown)(input, emit) as never,
  end: async () => Promise.resolve(),
};

/** A database of its own with the demo in it, and what serves from it. */
export interface World {
  readonly own: OwnDatabase;
  readonly database: Database;
  /** One more server on the same database. */
  readonly serve: (changed?: Partial<Deps>) => Promise<Hono>;
  readonly end: () => Promise<void>;
}

export async function startWorld(): Promise<World> {
  const folder = mkdtempSync(join(tmpdir(), 'hamaca-server-'));
  const own = await startDatabase(folder);
  const schemaVersion = await migrateDatabase(own.url);
  const database = openDatabase(own.url, PATIENT);
  await seedDemo(database, new Date());
  let count = 0;
  return {
    own,
    database,
    serve: async (changed = {}) =>
      createApp({
        database,
        schemaVersion,
        origins: new Set(),
        readFont,
        compute: HERE,
        log: pino({ level: 'silent' }),
        now: () => new Date(),
        newId: () => `test-id-${++count}`,
        access: null,
        webRoot: null,
        fetching: { standIns: new Map(), allowed: new Set() },
        ...changed,
      }),
    end: async () => {
      await database.end();
      await own.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** What a server answered, its body read as JSON. */
export interface Answer {
  readonly status: number;
  readonly headers: Headers;
  readonly body: Record<string, unknown>;
}

/** How a server is asked for sites and edits. */
export function asker(app: Hono) {
  const ask = async (path: string, init: RequestInit = {}): Promise<Answer> => {
    const response = await app.request(path, init);
    const text = await response.text();
    return {
      status: response.status,
      headers: response.headers,
      body: text === '' ? {} : (JSON.parse(text) as Record<string, unknown>),
    };
  };
  const post = (body: string, type = 'application/json') =>
    ask('/api/sites', { method: 'POST', headers: { 'content-type': type }, body });
  return {
    ask,
    post,
    /** A new site like the demo; answers its id. */
    create: async () => String((await post(JSON.stringify(rawDemo()))).body['id']),
    patch: (
      id: string,
      revision: number | null,
      operations: unknown,
      headers: Record<string, string> = {},
    ): Promise<Answer> =>
      ask(`/api/sites/${id}`, {
        method: 'PATCH',
        headers: {
          'content-type': 'application/json-patch+json',
          ...(revision === null ? {} : { 'if-match': `"${revision}"` }),
          ...headers,
        },
        body: JSON.stringify(operations),
      }),
  };
}

/** The demo as its file has it. */
export const rawDemo = () =>
  JSON.parse(readFileSync(new URL('../../demo/marisma.hamaca.json', import.meta.url), 'utf8')) as Record<
    string,
    unknown
  >;

/** An edit of the site's name. */
export const rename = (name: string) => [{ op: 'replace', path: '/name', value: name }];
