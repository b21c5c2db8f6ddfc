import { expect, test } from '@jest/globals';
import { EDITS, editsOf, SITE } from '../../test/every-edit.ts';
import { seeded, whole } from '../../test/random-site.ts';
import { touchesSame } from './conflict.ts';
import { applyPatch, type JsonPatch } from './json-patch.ts';
import { runEdit, type OperationName } from './operations.ts';

const replace = (path: string): JsonPatch => [{ op: 'replace', path, value: 'x' }];

test.each([
  ['two labels', replace('/menus/0/items/1/label'), replace('/menus/0/items/2/label'), false],
  ['one label', replace('/menus/0/items/1/label'), replace('/menus/0/items/1/label'), true],
  ['a label and its link', replace('/menus/0/items/1/label'), replace('/menus/0/items/1'), true],
  [
    'a label and a link put before it',
    replace('/menus/0/items/1/label'),
    [{ op: 'add', path: '/menus/0/items/0', value: {} }] as JsonPatch,
    true,
  ],
  [
    'a label and a link put at the end',
    replace('/menus/0/items/1/label'),
    [{ op: 'add', path: '/menus/0/items/-', value: {} }] as JsonPatch,
    true,
  ],
  ['names that begin alike', replace('/roles/text'), replace('/roles/text-2'), false],
  [
    'a test and what it tests',
    [{ op: 'test', path: '/name', value: 'x' }] as JsonPatch,
    replace('/name'),
    true,
  ],
  [
    'a copy and what it copies',
    [{ op: 'copy', from: '/roles/text', path: '/roles/page' }] as JsonPatch,
    replace('/roles/text'),
    true,
  ],
  [
    'a move and where it came from',
    [{ op: 'move', from: '/menus/0/items/3', path: '/menus/1/items/0' }] as JsonPatch,
    replace('/menus/0/items/4/label'),
    true,
  ],
])('%s', (_what, a, b, expected) => {
  expect(touchesSame(a, b)).toBe(expected);
  expect(touchesSame(b, a)).toBe(expected);
});

test('edits that touch different places come to the same in either order', () => {
  const random = seeded(41);
  const patches = (Object.keys(EDITS) as OperationName[])
    .flatMap((name) => editsOf(name, 12))
    .flatMap((edit) => {
      const ran = runEdit(SITE, edit);
      return ran.ok && ran.value.patch.length > 0 ? [ran.value.patch] : [];
    });
  expect(patches.length).toBeGreaterThan(100);
  let apart = 0;
  for (let count = 0; count < 4000; count++) {
    const a = patches[whole(random, 0, patches.length - 1)] ?? [];
    const b = patches[whole(random, 0, patches.length - 1)] ?? [];
    if (touchesSame(a, b)) continue;
    const one = applyPatch(SITE, [...a, ...b]);
    const other = applyPatch(SITE, [...b, ...a]);
    expect(one.ok && other.ok).toBe(true);
    if (one.ok && other.ok) expect(one.value.document).toEqual(other.value.document);
    apart++;
  }
  expect(apart).toBeGreaterThan(500);
});
