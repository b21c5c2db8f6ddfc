import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Hono } from 'hono';
import { pino } from 'pino';
import { startWorld, type World } from '../../test/world.ts';
import { insertAccess, replaceAccess } from '../store/access.ts';
import { createAccess } from './access.ts';
import { isKey, makeKey } from './key.ts';
import { holdsPass, passPath } from './pass.ts';
import { ownPath } from './sign-in.ts';

let world: World;
let app: Hono;
let lines: Record<string, unknown>[];
let clock: Date;
const first = makeKey();

beforeAll(async () => {
  world = await startWorld();
  expect(await insertAccess(world.database, first.access, new Date())).toBe(true);
  expect(await insertAccess(world.database, makeKey().access, new Date())).toBe(false);
});
afterAll(async () => {
  await world.end();
});
beforeEach(async () => {
  lines = [];
  clock = new Date('2026-03-01T12:00:00Z');
  const log = pino(
    { level: 'warn' },
    { write: (line: string) => lines.push(JSON.parse(line) as Record<string, unknown>) },
  );
  const now = () => clock;
  const origins = new Set(['https://hamaca.example']);
  app = await world.serve({
    now,
    log,
    origins,
    access: createAccess({ database: world.database, log, now, origins, forwarded: 'x-forwarded-for' }),
  });
});

const HOST = 'hamaca.example';
const enter = (key: string, headers: Record<string, string> = {}, to = '/') =>
  app.request(`https://${HOST}/enter`, {
    method: 'POST',
    headers: { host: HOST, ...headers },
    body: new URLSearchParams({ key, to }),
  });
const cookieOf = (response: Response) => response.headers.get('set-cookie')?.split(';')[0] ?? '';
const ask = (path: string, cookie = '', init: RequestInit = {}) =>
  app.request(path, { ...init, headers: { cookie, ...init.headers } });

test('without a session nothing answers but the page where one is got, and each refusal is written down', async () => {
  const paths = [
    '/api/sites',
    '/api/sites/marisma',
    '/api/sites/marisma/changes',
    '/api/sites/marisma/events',
    '/api/sites/marisma/hand-off.zip',
    '/api/health',
    '/api/icons/names',
    '/fonts/figtree.woff2',
    '/assets/any.js',
    '/frame',
    '/icon.svg',
    '/enter/further',
    '//enter',
    '/ENTER',
    '/pass/0.x/fonts/figtree.woff2',
    '/nothing',
  ];
  for (const path of paths) {
    const response = await ask(path);
    expect([path, response.status]).toEqual([path, 401]);
    expect(await response.text()).not.toMatch(/marisma\b.*revision|wOF2/);
  }
  for (const method of ['POST', 'PATCH', 'PUT', 'DELETE', 'OPTIONS', 'HEAD'])
    expect((await ask('/api/sites', '', { method })).status).toBe(401);
  expect(lines.filter(({ audit }) => audit === 'refused')).toHaveLength(paths.length + 6);
  const page = await ask('/enter');
  expect(page.status).toBe(200);
  expect(page.headers.get('content-security-policy')).toMatch(/^default-src 'none'; script-src 'sha256-/);
});

test('who opens a page is led to where a key is asked for, and back again within Hamaca only', async () => {
  const led = await ask('/sites/marisma?x=1', '', { headers: { accept: 'text/html' } });
  expect([led.status, led.headers.get('location')]).toEqual([303, '/enter?to=%2Fsites%2Fmarisma%3Fx%3D1']);
  expect((await enter(first.key, {}, '/sites/marisma?x=1')).headers.get('location')).toBe(
    '/sites/marisma?x=1',
  );
  for (const to of [
    '//elsewhere.example/',
    'https://elsewhere.example/',
    '/\\elsewhere.example',
    'javascript:x',
  ])
    expect((await enter(first.key, { 'x-forwarded-for': to.slice(0, 9) }, to)).headers.get('location')).toBe(
      '/',
    );
});

test('the key is exchanged for a session that a script cannot read and the web cannot use', async () => {
  const entered = await enter(first.key);
  expect(entered.status).toBe(303);
  expect(entered.headers.get('set-cookie')).toMatch(/HttpOnly/);
  expect(entered.headers.get('set-cookie')).toMatch(/SameSite=Lax/);
  expect(entered.headers.get('set-cookie')).toMatch(/Secure/);
  const cookie = cookieOf(entered);
  expect((await ask('/api/sites', cookie)).status).toBe(200);
  expect((await ask('/api/sites', cookie.replace(/\d(?=\.)/, '9'))).status).toBe(401);
  expect((await ask('/api/sites', 'hamaca=9999999999999')).status).toBe(401);
  expect(lines.map(({ audit }) => audit)).toEqual(['entered', 'refused', 'refused']);
});

test('a session ends after thirty days, and with its key', async () => {
  const cookie = cookieOf(await enter(first.key));
  clock = new Date('2026-03-31T11:59:00Z');
  expect((await ask('/api/sites', cookie)).status).toBe(200);
  clock = new Date('2026-03-31T12:01:00Z');
  expect((await ask('/api/sites', cookie)).status).toBe(401);
  const second = makeKey();
  const fresh = cookieOf(await enter(first.key));
  await replaceAccess(world.database, second.access, clock);
  clock = new Date(clock.getTime() + 3000);
  expect((await ask('/api/sites', fresh)).status).toBe(401);
  expect((await enter(first.key)).status).toBe(401);
  expect((await enter(second.key)).status).toBe(303);
  await replaceAccess(world.database, first.access, clock);
});

test('keys cannot be tried without end, and one address does not keep another out', async () => {
  const from = (address: string) => ({ 'x-forwarded-for': `198.51.100.1, ${address}` });
  for (let count = 0; count < 10; count++) expect((await enter('guess', from('192.0.2.1'))).status).toBe(401);
  const late = await enter('guess', from('192.0.2.1'));
  expect(late.status).toBe(429);
  expect(Number(late.headers.get('retry-after'))).toBeGreaterThan(0);
  expect((await enter(first.key, from('192.0.2.2'))).status).toBe(303);
  // Whoever has the key comes in, also from where others guess.
  expect((await enter(first.key, from('192.0.2.1'))).status).toBe(303);
  expect(lines.filter(({ address }) => address === '192.0.2.1')).toHaveLength(12);
  expect((await enter('x'.repeat(5000), from('192.0.2.3'))).status).toBe(400);
});

test('a page elsewhere cannot exchange a key', async () => {
  const response = await enter(first.key, { origin: 'https://elsewhere.example' });
  expect(response.status).toBe(403);
});

test('no wrong key is the key', () => {
  for (const wrong of [
    '',
    first.key.slice(1),
    `${first.key} `,
    first.key.toUpperCase(),
    first.access.keyHash,
  ])
    expect(isKey(wrong, first.access)).toBe(false);
  expect(isKey(first.key, first.access)).toBe(true);
});

test('a pass leads to fonts, scripts and pages that are tried alone, for a time', async () => {
  const { secret } = first.access;
  const pass = passPath(secret, clock);
  expect(passPath(secret, new Date(clock.getTime() + 3_600_000))).toBe(pass);
  expect((await ask(`${pass}/fonts/figtree.woff2`)).status).toBe(200);
  expect((await ask(`${pass}/fonts/nothing.woff2`)).status).toBe(404);
  expect((await ask('/tried/marisma/visit/')).status).toBe(401);
  expect((await ask(`${pass}/tried/nobody/visit/`)).status).toBe(404);
  for (const path of ['/api/sites', '/fonts/../api/sites', '/', '/sites/marisma'])
    expect((await ask(`${pass}${path}`)).status).toBe(401);
  expect((await ask(`${pass.slice(0, -1)}x/fonts/figtree.woff2`)).status).toBe(401);
  expect(holdsPass(`${pass}/fonts/a.woff2`, secret, new Date(clock.getTime() + 3 * 86_400_000))).toBe(false);
  expect(holdsPass(`${pass}/fonts/a.woff2`, makeKey().access.secret, clock)).toBe(false);
});

test('however many addresses wrong keys come from, the right one is let in', async () => {
  const guesses = Array.from({ length: 300 }, (_, index) =>
    enter('guess', { 'x-forwarded-for': `198.51.100.${index % 250}` }),
  );
  const statuses = new Set((await Promise.all(guesses)).map(({ status }) => status));
  expect([...statuses]).toEqual([401]);
  expect((await enter(first.key, { 'x-forwarded-for': '203.0.113.9' })).status).toBe(303);
});

test('whatever comes after signing in leads nowhere else', () => {
  const here = 'https://hamaca.example';
  const piece = fc.constantFrom(
    '/',
    '\\',
    '.',
    '..',
    '%2e',
    '%2f',
    '//',
    '\t',
    '\n',
    'x',
    'other.example',
    '@',
    ':',
    '?',
    '#',
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 8 }), (pieces) => {
      const to = ownPath(`/${pieces.join('')}`);
      expect(new URL(to, here).origin).toBe(here);
    }),
    { numRuns: 3000 },
  );
  for (const to of [
    '/.//other.example',
    '/x/..//other.example',
    '//other.example',
    '/\\other.example',
    'https://other.example',
  ])
    expect([to, new URL(ownPath(to), here).host]).toEqual([to, 'hamaca.example']);
  expect(ownPath('/sites/marisma/bench?at=1')).toBe('/sites/marisma/bench?at=1');
});

test('a pass is written down nowhere', async () => {
  const pass = passPath(first.access.secret, clock);
  for (const path of [`${pass}/fonts/none.woff2`, `${pass}/nothing`, '/pass/123.abc/fonts/x', '/pass/token'])
    await ask(path);
  const written = JSON.stringify(lines);
  expect(written).toContain('/pass/…');
  expect(written).not.toMatch(/\/pass\/[\w.-]/);
});
