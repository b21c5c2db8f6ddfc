import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Hono } from 'hono';
import type { RowDataPacket } from 'mysql2/promise';
import { unzipSync } from 'fflate';
import { FORMAT_VERSION } from '@hamaca/core';
import { asker, rawDemo, rename, startWorld, type Answer, type World } from '../test/world.ts';
import { readConfig } from './config.ts';
import { seedDemo } from './seed.ts';
import { startStandIn } from './stand-in.ts';
import { isDatabaseAway, type Database } from './store/database.ts';
import { migrateDatabase } from './store/migrate.ts';
import { insertSite } from './store/sites.ts';

let world: World;
let database: Database;
let app: Hono;
let standIn: Awaited<ReturnType<typeof startStandIn>>;
let ask: ReturnType<typeof asker>['ask'];
let post: ReturnType<typeof asker>['post'];
let create: ReturnType<typeof asker>['create'];
let patch: ReturnType<typeof asker>['patch'];

beforeAll(async () => {
  world = await startWorld();
  ({ database } = world);
  standIn = await startStandIn();
  app = await world.serve({
    fetching: { standIns: new Map([['marisma.example', standIn.url]]), allowed: new Set() },
  });
  ({ ask, post, create, patch } = asker(app));
});
afterAll(async () => {
  standIn.server.close();
  await world.end();
});

describe('sites', () => {
  test('a new database holds the demos, and is seeded once', async () => {
    await seedDemo(database, new Date());
    expect((await ask('/api/sites')).body['sites']).toMatchObject([
      { id: 'marisma', name: 'Marisma Laguna Reserve', revision: 1 },
      { id: 'orilla', name: 'Cuarteto Orilla', revision: 1 },
    ]);
    const site = await ask('/api/sites/marisma');
    expect(site.body).toEqual(rawDemo());
    expect(site.headers.get('etag')).toBe('"1"');
    const known = async (tag: string) =>
      (await ask('/api/sites/marisma', { headers: { 'if-none-match': tag } })).status;
    for (const tag of ['"1"', 'W/"1"', '"0", "1"', '"0",W/"1" , "2"', '*'])
      expect(await known(tag)).toBe(304);
    for (const tag of ['"2"', '1', '"11"', 'W/"2", "3"']) expect(await known(tag)).toBe(200);
  });
  test('are created, deleted and brought back', async () => {
    const created = await post(JSON.stringify(rawDemo()));
    expect(created.status).toBe(201);
    const path = created.headers.get('location') ?? '';
    expect((await ask(path)).status).toBe(200);
    expect((await ask(path, { method: 'DELETE' })).status).toBe(204);
    expect((await ask(path)).status).toBe(404);
    expect((await ask(`${path}/changes`)).status).toBe(404);
    expect((await ask(path, { method: 'DELETE' })).status).toBe(404);
    expect((await ask(`${path}/restore`, { method: 'POST' })).status).toBe(204);
    expect((await ask(path)).status).toBe(200);
  });
});

describe('edits', () => {
  test('are applied to the revision they name, logged with their inverse, and raise it by one', async () => {
    const id = await create();
    expect(
      await patch(id, 1, rename('One'), { 'edit-label': 'Site%20name', 'edit-client': 'tab' }),
    ).toMatchObject({ status: 200, body: { revision: 2 } });
    expect((await ask(`/api/sites/${id}`)).body['name']).toBe('One');
    expect((await ask(`/api/sites/${id}/changes`)).body['changes']).toMatchObject([
      {
        revision: 2,
        kind: 'edit',
        label: 'Site name',
        clientId: 'tab',
        patch: rename('One'),
        inverse: rename('Marisma Laguna Reserve'),
      },
    ]);
    expect((await ask(`/api/sites/${id}/changes?after=2`)).body['changes']).toEqual([]);
  });
  test('on a stale revision are refused and say where the site is', async () => {
    const id = await create();
    await patch(id, 1, rename('One'));
    expect(await patch(id, 1, rename('Two'))).toMatchObject({ status: 412, body: { revision: 2 } });
    expect((await ask(`/api/sites/${id}`)).body['name']).toBe('One');
  });
  test('sent twice under one id count once', async () => {
    const id = await create();
    const again = () => patch(id, 1, rename('Once'), { 'edit-id': 'abcdefgh' });
    expect([await again(), await again()]).toMatchObject([
      { status: 200, body: { revision: 2 } },
      { status: 200, body: { revision: 2 } },
    ]);
  });
  test('an id used for another edit is not taken for the first', async () => {
    const id = await create();
    await patch(id, 1, rename('First'), { 'edit-id': 'abcdefgh' });
    expect(await patch(id, 2, rename('Second'), { 'edit-id': 'abcdefgh' })).toMatchObject({ status: 422 });
    expect((await ask(`/api/sites/${id}`)).body['name']).toBe('First');
  });
  test('links as deep as a site may have are kept', async () => {
    const id = await create();
    const nest = (depth: number): unknown[] =>
      depth === 0
        ? []
        : [
            {
              id: `deep-${depth}`,
              label: `Level ${depth}`,
              target: { kind: 'none' },
              children: nest(depth - 1),
            },
          ];
    const menu = { id: 'deep', name: 'Deep', items: nest(32) };
    expect(await patch(id, 1, [{ op: 'add', path: '/menus/-', value: menu }])).toMatchObject({ status: 200 });
    expect(await patch(id, 2, [{ op: 'remove', path: '/menus/2' }])).toMatchObject({ status: 200 });
  });
  test('half a character is refused with its path, in a site as in an edit', async () => {
    const id = await create();
    const half = JSON.stringify({ ...rawDemo(), name: 'Half \ud83d' });
    expect(await post(half)).toMatchObject({ status: 422, body: { problems: [{ path: '/name' }] } });
    expect(await patch(id, 1, rename('Half \udc00'))).toMatchObject({
      status: 422,
      body: { problems: [{ path: '/0/value' }] },
    });
  });
  test('of many at once: each lands on its own revision or is refused, none is lost', async () => {
    const id = await create();
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, index) => patch(id, 1, rename(`Name ${index}`))),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([
      200,
      ...Array.from({ length: 11 }, () => 412),
    ]);
    expect(((await ask(`/api/sites/${id}/changes`)).body['changes'] as unknown[]).length).toBe(1);
  });
  test('many that are refused leave the connections as they are, and nothing half done', async () => {
    const id = await create();
    for (let count = 0; count < 40; count++)
      expect((await patch(id, 1, rename('x'.repeat(501)))).status).toBe(422);
    expect((await patch(id, 1, rename('After'))).body).toEqual({ revision: 2 });
    const [rows] = await database.execute<RowDataPacket[]>("SHOW STATUS LIKE 'Connections'");
    expect(Number(rows[0]?.['Value'])).toBeLessThan(60);
  });
  test('that would spoil the document are refused with path, found and allowed; nothing changes', async () => {
    const id = await create();
    const refused = await patch(id, 1, [
      ...rename('Half'),
      { op: 'replace', path: '/palette/0/value', value: 'reddish' },
    ]);
    expect(refused).toMatchObject({
      status: 422,
      body: {
        problems: [
          {
            path: '/palette/0/value',
            found: '"reddish"',
            allowed: expect.stringContaining('CSS colour') as unknown,
          },
        ],
      },
    });
    expect(refused.headers.get('content-type')).toBe('application/problem+json');
    expect((await ask(`/api/sites/${id}`)).body['name']).toBe('Marisma Laguna Reserve');
    expect((await ask(`/api/sites/${id}/changes`)).body['changes']).toEqual([]);
  });
});

describe('wrong requests', () => {
  test.each<[string, () => Promise<Answer>, number]>([
    ['no revision', () => patch('marisma', null, rename('x')), 428],
    [
      'a broken revision',
      () =>
        ask('/api/sites/marisma', {
          method: 'PATCH',
          headers: { 'content-type': 'application/json-patch+json', 'if-match': 'x' },
          body: '[]',
        }),
      400,
    ],
    [
      'another type',
      () =>
        ask('/api/sites/marisma', {
          method: 'PATCH',
          headers: { 'content-type': 'text/plain', 'if-match': '"1"' },
          body: '[]',
        }),
      415,
    ],
    [
      'no JSON',
      () =>
        ask('/api/sites/marisma', {
          method: 'PATCH',
          headers: { 'content-type': 'application/json-patch+json', 'if-match': '"1"' },
          body: '[',
        }),
      400,
    ],
    ['no patch', () => patch('marisma', 1, { op: 'add' }), 400],
    ['a site that is gone', () => patch('nowhere', 1, rename('x')), 404],
    ['a wrong kind', () => patch('marisma', 1, rename('x'), { 'edit-kind': 'wish' }), 400],
    ['a wrong label', () => patch('marisma', 1, rename('x'), { 'edit-label': '%' }), 400],
    ['a wrong id', () => patch('marisma', 1, rename('x'), { 'edit-id': '!' }), 400],
    ['a site that is none', () => post('{}'), 422],
    ['a site as text', () => post('{}', 'text/plain'), 415],
    ['an unknown path', () => ask('/api/nothing'), 404],
    ['a broken after', () => ask('/api/sites/marisma/changes?after=x'), 400],
    [
      'a page elsewhere',
      () => ask('/api/sites/marisma', { method: 'DELETE', headers: { 'sec-fetch-site': 'cross-site' } }),
      403,
    ],
    ['a font that is none', () => ask('/fonts/..%2f..%2fpackage.json'), 404],
    ['33 MB', () => post(' '.repeat(33 * 1024 * 1024)), 413],
  ])('%s', async (_name, request, status) => {
    const answer = await request();
    expect(answer.status).toBe(status);
    expect(answer.headers.get('content-type')).toBe('application/problem+json');
    expect(answer.body).toMatchObject({
      status,
      title: expect.any(String) as unknown,
      detail: expect.any(String) as unknown,
    });
  });
});

describe('the rest', () => {
  test('health tells the database and the schema', async () => {
    expect(await ask('/api/health')).toMatchObject({
      status: 200,
      body: { status: 'ready', schemaVersion: 8 },
    });
  });
  test('the zip’s names begin with what it is told, or it is refused', async () => {
    const zip = await app.request('/api/sites/marisma/hand-off.zip?prefix=reed-');
    const files = unzipSync(new Uint8Array(await zip.arrayBuffer()));
    const markup = Buffer.from(files['menu.html'] ?? []).toString();
    expect([markup.includes('class="reed-'), markup.includes('hm-')]).toEqual([true, false]);
    const flat = await app.request('/api/sites/marisma/hand-off.zip?rules=flat');
    const sheet = unzipSync(new Uint8Array(await flat.arrayBuffer()))['menu.css'] ?? [];
    expect(Buffer.from(sheet).toString()).toMatch(/^\.hm-marisma:not\(#hm\) \.hm-main-link/m);
    for (const query of ['prefix=Reed', 'pictures=/pictures', 'pictures=javascript:/', 'rules=tall'])
      expect((await app.request(`/api/sites/marisma/hand-off.zip?${query}`)).status).toBe(400);
    expect((await app.request('/api/sites/marisma/hand-off.zip?pictures=/pictures/')).status).toBe(200);
  });
  test('the zip holds the hand-off and is the same each time', async () => {
    const zip = async () =>
      new Uint8Array(await (await app.request('/api/sites/marisma/hand-off.zip')).arrayBuffer());
    const first = await zip();
    expect(Object.keys(unzipSync(first))).toContain('menu.css');
    expect(await zip()).toEqual(first);
  });
  test('every page can be tried, with its pieces and links that lead on, and reaches nothing else', async () => {
    const learn = await app.request('/tried/marisma/learn/');
    expect(learn.status).toBe(200);
    const policy = learn.headers.get('content-security-policy') ?? '';
    expect(policy).toContain('sandbox allow-scripts');
    expect(policy).not.toMatch(/allow-same-origin|connect-src|\*/);
    const html = await learn.text();
    expect(html).toContain('<h1>Learn</h1>');
    expect(html).toContain('href="/tried/marisma/learn/school-days/"');
    expect(html).not.toMatch(/href="\/(?!tried\/)/);
    expect(html).toContain('class="hm-marisma hm-learn-sidebar"');
    expect(await (await app.request('/tried/marisma/news/')).text()).not.toContain('-sidebar"');
    const unknown = await app.request('/tried/marisma/no%3Cb%3Esuch/');
    expect(unknown.status).toBe(404);
    expect(await unknown.text()).toContain('/no&lt;b&gt;such/');
    expect((await app.request('/tried/nobody/')).status).toBe(404);
  });
  test('fonts may be loaded by the stage', async () => {
    const response = await app.request('/fonts/figtree.woff2');
    expect(response.headers.get('access-control-allow-origin')).toBe('*');
    expect(response.headers.get('content-type')).toBe('font/woff2');
  });
  test('events tell each new revision', async () => {
    const id = await create();
    const response = await app.request(`/api/sites/${id}/events`);
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
    let seen = '';
    const until = async (text: string) => {
      while (!seen.includes(text)) seen += (await reader?.read())?.value ?? '';
    };
    await until('data: 1');
    await patch(id, 1, rename('Seen'));
    await until('data: 2');
    await reader?.cancel();
    expect(seen).toContain('event: revision');
  });
  test('migrating again changes nothing', async () => {
    expect(await migrateDatabase(world.own.url)).toBe(8);
  });
  test('errors that mean the database is away are told from others', () => {
    expect(
      [
        { code: 'ECONNREFUSED' },
        { code: 'PROTOCOL_CONNECTION_LOST' },
        new Error("Can't add new command when connection is in closed state"),
      ].every(isDatabaseAway),
    ).toBe(true);
    expect([{ code: 'ER_DUP_ENTRY' }, new Error('x'), {}].some(isDatabaseAway)).toBe(false);
  });
});

test.each([
  [{}, false],
  [{ HAMACA_HOST: 'localhost' }, false],
  [{ HAMACA_HOST: '::1', HAMACA_ORIGIN: 'http://localhost:8080' }, false],
  [{ HAMACA_HOST: '0.0.0.0' }, true],
  [{ HAMACA_HOST: '192.0.2.4' }, true],
  [{ HAMACA_ORIGIN: 'https://hamaca.example' }, true],
  [{ HAMACA_ORIGIN: 'http://localhost:8080, https://hamaca.example' }, true],
])('%j asks for a key: %s', (settings, expected) => {
  expect(readConfig({ HAMACA_DATABASE_URL: 'mysql://a@b/c', ...settings }).asksForKey).toBe(expected);
});

test('the environment is checked', () => {
  expect(readConfig({ HAMACA_DATABASE_URL: 'mysql://a@b/c' })).toEqual({
    asksForKey: false,
    databaseLimit: 3000,
    forwarded: null,
    port: 4310,
    host: '127.0.0.1',
    origins: [],
    databaseUrl: 'mysql://a@b/c',
    logLevel: 'warn',
    fetchHosts: [],
    standIn: true,
  });
  expect(
    readConfig({
      HAMACA_DATABASE_URL: 'mysql://a@b/c',
      HAMACA_FETCH_HOSTS: 'staging.local, 10.0.0.5:8080',
      HAMACA_STAND_IN: 'off',
      HAMACA_ORIGIN: 'https://hamaca.example, http://design.example:8080',
    }),
  ).toMatchObject({
    fetchHosts: ['staging.local', '10.0.0.5:8080'],
    standIn: false,
    origins: ['https://hamaca.example', 'http://design.example:8080'],
  });
  for (const wrong of [
    {},
    { HAMACA_DATABASE_URL: 'x' },
    { HAMACA_DATABASE_URL: 'mysql://x', HAMACA_PORT: 'many' },
    { HAMACA_DATABASE_URL: 'mysql://x', HAMACA_ORIGIN: 'hamaca.example' },
    { HAMACA_DATABASE_URL: 'mysql://x', HAMACA_ORIGIN: 'https://hamaca.example/path' },
  ])
    expect(() => readConfig(wrong)).toThrow();
});

describe('fetching', () => {
  const send = (path: string, body: unknown, headers: Record<string, string> = {}) =>
    app.request(`/api/fetched/${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...headers },
      body: JSON.stringify(body),
    });
  test('a page comes as bytes that no browser shows', async () => {
    const response = await send('page', { url: 'https://marisma.example/hides/' });
    expect(response.headers.get('content-type')).toBe('application/octet-stream');
    expect(response.headers.get('fetched-url')).toBe('https://marisma.example/visit/trails-and-hides/');
    expect(await response.text()).toContain('reed-hide');
  });
  test.each([
    ['http://127.0.0.1:1/', 'private address'],
    ['https://marisma.example/gone/', 'answers with 404'],
    ['nonsense', 'no address'],
  ])('%s is told as a problem', async (url, detail) => {
    const response = await send('page', { url });
    expect(response.status).toBe(422);
    expect(((await response.json()) as { detail: string }).detail).toContain(detail);
  });
  test('a whole page is kept file by file, each once by its content, and given back as bytes', async () => {
    const response = await send('whole-page', { url: 'https://marisma.example/visit/getting-here/' });
    const lines = (await response.text()).trim().split('\n');
    const done = JSON.parse(lines.at(-1) ?? '{}') as {
      kind: string;
      origin: string;
      path: string;
      files: { path: string; file: string }[];
    };
    expect(done).toMatchObject({
      kind: 'done',
      origin: 'https://marisma.example',
      path: 'visit/getting-here/index.html',
    });
    const page = done.files.find(({ path }) => path === done.path);
    const file = await app.request(`/api/page-files/${page?.file ?? ''}`);
    expect([file.status, file.headers.get('content-type'), file.headers.get('content-disposition')]).toEqual([
      200,
      'application/octet-stream',
      'attachment',
    ]);
    const bytes = await file.arrayBuffer();
    expect(new TextDecoder().decode(bytes)).toContain('id="by-train"');
    const again = await app.request('/api/page-files', { method: 'POST', body: bytes });
    expect([again.status, await again.json()]).toEqual([201, { file: page?.file }]);
    const refused = await send('whole-page', { url: 'http://127.0.0.1:1/' });
    expect(JSON.parse(await refused.text())).toMatchObject({ kind: 'refused' });
  });
  test('a file that is too large, or that nobody brought, is refused', async () => {
    const large = await app.request('/api/page-files', {
      method: 'POST',
      body: new Uint8Array(8 * 1024 * 1024 + 1),
    });
    expect(large.status).toBe(413);
    expect((await app.request(`/api/page-files/${'0'.repeat(64)}`)).status).toBe(404);
    expect((await app.request('/api/page-files/../secrets')).status).toBe(404);
  });
  test('links are answered one a line', async () => {
    const response = await send('links', {
      urls: ['https://marisma.example/news/', 'https://marisma.example/gone/'],
    });
    const lines = (await response.text())
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { status: number });
    expect(lines.map((line) => line.status).sort()).toEqual([200, 404]);
  });
  test.each([
    [{}],
    [{ urls: [] }],
    [{ urls: Array.from({ length: 1001 }, () => 'https://x.example') }],
    [{ urls: [5] }],
  ])('%j is refused', async (body) => {
    expect((await send('links', body)).status).toBe(400);
  });
  test('other pages cannot make it fetch', async () => {
    expect(
      (await send('page', { url: 'https://marisma.example/' }, { 'sec-fetch-site': 'cross-site' })).status,
    ).toBe(403);
  });
});

test('a site of an older format is given in today’s', async () => {
  const old = JSON.parse(
    readFileSync(new URL('../../core/test/old/version-1.hamaca.json', import.meta.url), 'utf8'),
  ) as object;
  await insertSite(database, { id: 'old-site', name: 'Old', document: JSON.stringify(old) }, new Date());
  const { body } = await ask('/api/sites/old-site');
  expect([body['formatVersion'], body['icons']]).toEqual([FORMAT_VERSION, []]);
  expect((await patch('old-site', 1, rename('Newer'))).status).toBe(200);
});

describe('whatever is asked for', () => {
  test.each(['%F0%9F%AA%B6', '%00', "'", 'x'.repeat(65), 'a%20b', '..%2f..'])(
    'a site of the id %s is told to be nowhere',
    async (id) => {
      for (const path of [
        `/api/sites/${id}`,
        `/api/sites/${id}/changes`,
        `/api/sites/${id}/events`,
        `/api/sites/${id}/hand-off.zip`,
      ])
        expect([path, (await ask(path)).status]).toEqual([path, 404]);
      expect((await ask(`/api/sites/${id}`, { method: 'DELETE' })).status).toBe(404);
      expect((await ask(`/api/sites/${id}/restore`, { method: 'POST' })).status).toBe(404);
      expect((await patch(id, 1, rename('x'))).status).toBe(404);
    },
  );
  test('more icons than are given at once are too many', async () => {
    const names = (count: number) => Array.from({ length: count }, () => 'anchor').join(',');
    expect((await ask(`/api/icons/drawings?names=${names(200)}`)).status).toBe(200);
    expect((await ask(`/api/icons/drawings?names=${names(201)}`)).status).toBe(413);
  });
  test('an edit of more operations than one may have is refused before it is looked at', async () => {
    const id = await create();
    const operations = Array.from({ length: 20_001 }, () => ({ op: 'test', path: '/name', value: 'x' }));
    expect(await patch(id, 1, operations)).toMatchObject({ status: 413 });
    expect((await ask(`/api/sites/${id}`)).headers.get('etag')).toBe('"1"');
  });
  test('health says so when the work itself fails', async () => {
    expect((await ask('/api/health')).body).toMatchObject({ status: 'ready', database: 'answers' });
    const failing = await world.serve();
    Object.defineProperty(Object.prototype, 'gap', { value: '', enumerable: true, configurable: true });
    try {
      expect(await asker(failing).ask('/api/health')).toMatchObject({
        status: 503,
        body: { status: 'failing' },
      });
    } finally {
      Reflect.deleteProperty(Object.prototype, 'gap');
    }
  });
});
