import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { unzipSync } from 'fflate';
import type { Hono } from 'hono';
import { unfoldWoff2 } from '../../fonts/tables.mjs';
import { startWorld, type World } from '../test/world.ts';
import { readFontFile } from './read-font.ts';

const FIGTREE = readFileSync(new URL('../../fonts/dist/figtree.woff2', import.meta.url));
let world: World;
let app: Hono;

beforeAll(async () => {
  world = await startWorld();
  app = await world.serve();
});
afterAll(async () => {
  await world.end();
});

const upload = async (body: Uint8Array) => {
  const response = await app.request('/api/fonts', { method: 'POST', body: Buffer.from(body) });
  return { status: response.status, body: (await response.json()) as Record<string, unknown> };
};

test('a font is checked, named from its tables and measured; the same file again is the same typeface', async () => {
  const first = await upload(FIGTREE);
  expect(first).toMatchObject({
    status: 201,
    body: { name: expect.stringMatching(/^Figtree/), fallback: 'sans', weights: [300, 900] },
  });
  const id = String(first.body['id']);
  expect(id).toMatch(/^own-figtree[a-z-]*-[0-9a-f]{8}$/);
  expect((await upload(FIGTREE)).body['id']).toBe(id);
  const file = await app.request(`/fonts/${id}.woff2`);
  expect([file.headers.get('content-type'), file.headers.get('access-control-allow-origin')]).toEqual([
    'font/woff2',
    '*',
  ]);
  expect(Buffer.from(await file.arrayBuffer())).toEqual(FIGTREE);
  const metrics = (await (await app.request(`/fonts/${id}.metrics.json`)).json()) as {
    family: string;
    tables: { weight: number; advances: object; others?: object[] }[];
  };
  const bundled = JSON.parse(
    readFileSync(new URL('../../fonts/dist/figtree.metrics.json', import.meta.url), 'utf8'),
  ) as typeof metrics;
  expect(metrics.family).toBe(id);
  // The bundled one has letters of further files besides.
  expect(metrics.tables).toEqual(bundled.tables.map(({ others: _others, ...table }) => table));
});

test('TrueType is kept as WOFF2, and measures the same', async () => {
  const read = await readFontFile(Buffer.from(await unfoldWoff2(FIGTREE)));
  if (!read.ok) throw new Error(read.error);
  expect(Buffer.from(read.value.woff2).toString('latin1', 0, 4)).toBe('wOF2');
  expect(read.value.weights).toEqual([300, 900]);
}, 30_000);

test('what is no font is refused with the reason, and nothing is kept', async () => {
  const damaged = Buffer.from(FIGTREE);
  damaged.fill(0, 200, 4000);
  const huge = Buffer.from(FIGTREE);
  huge.writeUInt32BE(0x7fffffff, 16);
  const old = Buffer.from(FIGTREE);
  old.write('wOFF', 0, 'latin1');
  for (const [bytes, reason] of [
    [Buffer.from('<svg onload="alert(1)"></svg>'.repeat(9)), /no font/],
    [Buffer.alloc(0), /no font/],
    [damaged, /damaged|no font|missing|short/],
    [huge, /24 MB/],
    [old, /WOFF2/],
    [Buffer.alloc(5 * 1024 * 1024), /4 MB/],
  ] as const) {
    const { status, body } = await upload(bytes);
    expect([status, String(body['detail'])]).toEqual([422, expect.stringMatching(reason)]);
    expect(String(body['detail'])).toContain('Nothing was changed');
  }
  for (const name of ['own-nothing-00000000.woff2', '..%2f..%2fpackage.json', 'figtree.exe'])
    expect((await app.request(`/fonts/${name}`)).status).toBe(404);
});

test('the hand-off carries a typeface that was brought along, and does without one that never was', async () => {
  const { body: typeface } = await upload(FIGTREE);
  const site = (await (await app.request('/api/sites/marisma')).json()) as {
    typefaces: unknown[];
    typeStyles: { family: string }[];
  };
  const create = async (face: Record<string, unknown>) => {
    const changed = {
      ...site,
      typefaces: [face],
      typeStyles: site.typeStyles.map((style) => ({ ...style, family: face['id'] })),
    };
    const created = await app.request('/api/sites', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(changed),
    });
    const { id } = (await created.json()) as { id: string };
    return unzipSync(
      new Uint8Array(await (await app.request(`/api/sites/${id}/hand-off.zip`)).arrayBuffer()),
    );
  };
  const files = await create(typeface);
  expect(Buffer.from(files[`fonts/${String(typeface['id'])}.woff2`] ?? [])).toEqual(FIGTREE);
  const css = Buffer.from(files['menu.css'] ?? []).toString();
  // Its fallback is scaled to this site's own words, and so named after it.
  expect(css).toMatch(new RegExp(`font-family: hm-marisma-${String(typeface['id'])};\\s+src: local`));
  const stranger = await create({
    id: 'own-stranger-12345678',
    name: 'Stranger',
    fallback: 'serif',
    weights: [400, 400],
  });
  expect(Object.keys(stranger)).not.toContain('fonts/own-stranger-12345678.woff2');
  expect(Object.keys(stranger)).toContain('menu.css');
});
