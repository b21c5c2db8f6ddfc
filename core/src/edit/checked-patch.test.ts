import { describe, expect, test } from '@jest/globals';
import { EDITS, editsOf, SITE } from '../../test/every-edit.ts';
import { seeded, whole } from '../../test/random-site.ts';
import { loadSite } from '../load/load-site.ts';
import { LIMITS } from '../values/limits.ts';
import { applyCheckedPatch } from './checked-patch.ts';
import { applyPatch, type JsonPatch } from './json-patch.ts';
import { runEdit, type OperationName } from './operations.ts';

/** What a document says that nobody has looked at before. */
const afresh = (document: unknown) => loadSite(structuredClone(document));

/** The pointers of everything in a document. */
function pointersIn(node: unknown, path = ''): string[] {
  if (typeof node !== 'object' || node === null) return [path];
  return [
    path,
    ...Object.entries(node).flatMap(([key, value]) =>
      pointersIn(value, `${path}/${key.replaceAll('~', '~0').replaceAll('/', '~1')}`),
    ),
  ];
}

describe('what was checked before is not looked at again', () => {
  test.each(Object.keys(EDITS) as OperationName[])('after %s', (name) => {
    let site = SITE;
    for (const edit of editsOf(name, 20)) {
      const ran = runEdit(site, edit);
      if (!ran.ok) continue;
      const checked = applyCheckedPatch(site, ran.value.patch);
      expect(checked.ok).toBe(true);
      if (!checked.ok) continue;
      expect(checked.value.site).toEqual(ran.value.site);
      site = checked.value.site;
    }
    expect(afresh(site).ok).toBe(true);
  });

  test('and finds the same wrong in a spoilt document as one that looks at everything', () => {
    const random = seeded(7);
    const pointers = pointersIn(SITE).slice(1);
    const wrong = [
      '',
      null,
      1e9,
      -1,
      {},
      [],
      'a b',
      'javascript:x',
      { swatch: 'gone' },
      'wide',
      SITE.palette[0]?.id,
    ];
    let site = SITE;
    let refused = 0;
    for (let count = 0; count < 500; count++) {
      const path = pointers[whole(random, 0, pointers.length - 1)] ?? '';
      const patch: JsonPatch =
        whole(random, 0, 3) === 0
          ? [{ op: 'remove', path }]
          : [{ op: 'replace', path, value: wrong[whole(random, 0, wrong.length - 1)] }];
      const applied = applyPatch(site, patch);
      const checked = applyCheckedPatch(site, patch);
      if (!applied.ok) {
        expect(checked.ok).toBe(false);
        continue;
      }
      const expected = afresh(applied.value.document);
      expect(checked.ok).toBe(expected.ok);
      if (!checked.ok && !expected.ok) {
        expect(checked.error).toEqual(expected.error);
        refused++;
      } else if (checked.ok) site = checked.value.site;
    }
    expect(refused).toBeGreaterThan(100);
  });
});

test.each([
  ['a value', [{ op: 'replace', path: '/name', value: nested(LIMITS.json) }]],
  [
    'copies into themselves',
    Array.from({ length: 12 }, () => ({
      op: 'copy',
      from: '/menus/0/items/0',
      path: `/menus/0/items/0/children/0`,
    })),
  ],
] as [string, JsonPatch][])('nothing comes to lie deeper than a document may be: %s', (_what, patch) => {
  const checked = applyCheckedPatch(SITE, patch);
  expect(checked.ok).toBe(false);
  if (!checked.ok) expect(checked.error[0]?.code).toMatch(/too-deep|schema|patch|duplicate-id/);
});

function nested(depth: number): unknown {
  let value: unknown = 'x';
  for (let level = 0; level < depth; level++) value = [value];
  return value;
}
