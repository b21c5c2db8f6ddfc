import { randomUUID } from 'node:crypto';
import type { APIResponse, Page } from '@playwright/test';
import { FORMAT_VERSION } from '@hamaca/core';
import { copyDemo, expect, PLAIN, savedSite, test } from '../support/app.ts';

/** Names that every object answers to. */
const INHERITED = ['__proto__', 'constructor', 'prototype'] as const;

const create = (page: Page, text: string): Promise<APIResponse> =>
  page.request.post('/api/sites', { data: text, headers: { 'content-type': 'application/json' } });

async function patch(page: Page, id: string, operations: readonly object[]): Promise<APIResponse> {
  const { etag } = (await page.request.get(`/api/sites/${id}`)).headers();
  return page.request.patch(`/api/sites/${id}`, {
    data: JSON.stringify(operations),
    headers: {
      'content-type': 'application/json-patch+json',
      'if-match': etag ?? '',
      'edit-id': randomUUID(),
      'edit-client': 'attack',
      'edit-kind': 'edit',
      'edit-label': 'Attack',
    },
  });
}

/** Every version that documents have had, today's the last. */
const VERSIONS = Array.from({ length: FORMAT_VERSION }, (_, index) => index + 1);

/** The house stands: it is well, creates, edits and hands off. */
async function stands(page: Page): Promise<void> {
  expect((await page.request.get('/api/health')).status()).toBe(200);
  const id = await copyDemo(page);
  expect((await patch(page, id, [{ op: 'replace', path: '/name', value: 'Orilla' }])).status()).toBe(200);
  expect((await page.request.get(`/api/sites/${id}/hand-off.zip`)).status()).toBe(200);
}

test('documents and edits under names that every object has are refused, in every format, and stop nothing', async ({
  page,
}) => {
  const demo = JSON.stringify(PLAIN);
  for (const name of INHERITED)
    for (const version of VERSIONS) {
      const hidden = demo
        .replace(/"formatVersion":\d+/, `"formatVersion":${version}`)
        .replace('"look":{', `"look":{"${name}":{"constructor":{"prototype":{"x":1}}},`);
      expect((await create(page, hidden)).status()).toBe(422);
      expect((await create(page, `{"${name}":{"x":1},${demo.slice(1)}`)).status()).toBe(422);
    }
  const id = await copyDemo(page);
  const before = await savedSite(page, id);
  for (const name of INHERITED) {
    const path = `/pieces/0/look/${name}`;
    expect((await patch(page, id, [{ op: 'add', path, value: { x: 1 } }])).status()).toBe(422);
    const value = JSON.parse(`{"${name}":{"x":1}}`) as object;
    expect((await patch(page, id, [{ op: 'add', path: '/pieces/0/look/bar', value }])).status()).toBe(422);
  }
  for (const version of [...VERSIONS.slice(0, -1), FORMAT_VERSION + 1, 'x'])
    expect(
      (await patch(page, id, [{ op: 'replace', path: '/formatVersion', value: version }])).status(),
    ).toBe(422);
  expect(await savedSite(page, id)).toEqual(before);
  await stands(page);
});

test('what is too much, or no site, is told as that', async ({ page }) => {
  const id = await copyDemo(page);
  const many = Array.from({ length: 100_000 }, () => ({ op: 'test', path: '/name', value: 'x' }));
  expect((await patch(page, id, many)).status()).toBe(413);
  const names = Array.from({ length: 201 }, (_, index) => `icon-${index}`).join(',');
  expect((await page.request.get(`/api/icons/drawings?names=${names}`)).status()).toBe(413);
  for (const none of ['🦩', '..', '%00', "'; drop table sites; --", 'x'.repeat(300)])
    expect((await page.request.get(`/api/sites/${encodeURIComponent(none)}`)).status()).toBe(404);
  await stands(page);
});

test('own HTML and selectors that would hide the page from the script are refused', async ({ page }) => {
  const id = await copyDemo(page);
  const site = await savedSite(page, id);
  const index = site.pieces.findIndex(({ kind }) => kind === 'panel');
  for (const selector of ['((', ':has(', '*', 'html', 'body', ':root', 'html *', ':not(.x)', 'a,*'])
    expect([
      selector,
      (
        await patch(page, id, [{ op: 'replace', path: `/pieces/${index}/openedBy`, value: selector }])
      ).status(),
    ]).toEqual([selector, 422]);
  await stands(page);
});
