import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sameJson } from '../base/json.ts';
import {
  applyPatch,
  getAt,
  guardPatch,
  readPatch,
  type JsonPatch,
  type PatchOperation,
} from './json-patch.ts';

const apply = (document: unknown, patch: JsonPatch) => {
  const applied = applyPatch(document, patch);
  if (!applied.ok) throw new Error(applied.error[0]?.message);
  return applied.value;
};

describe('JSON Patch (examples of RFC 6902, appendix A)', () => {
  test.each<[string, unknown, JsonPatch, unknown]>([
    [
      'A.1 adding an object member',
      { foo: 'bar' },
      [{ op: 'add', path: '/baz', value: 'qux' }],
      { baz: 'qux', foo: 'bar' },
    ],
    [
      'A.2 adding an array element',
      { foo: ['bar', 'baz'] },
      [{ op: 'add', path: '/foo/1', value: 'qux' }],
      { foo: ['bar', 'qux', 'baz'] },
    ],
    [
      'A.3 removing an object member',
      { baz: 'qux', foo: 'bar' },
      [{ op: 'remove', path: '/baz' }],
      { foo: 'bar' },
    ],
    [
      'A.4 removing an array element',
      { foo: ['bar', 'qux', 'baz'] },
      [{ op: 'remove', path: '/foo/1' }],
      { foo: ['bar', 'baz'] },
    ],
    [
      'A.5 replacing a value',
      { baz: 'qux', foo: 'bar' },
      [{ op: 'replace', path: '/baz', value: 'boo' }],
      { baz: 'boo', foo: 'bar' },
    ],
    [
      'A.6 moving a value',
      { foo: { bar: 'baz', waldo: 'fred' }, qux: { corge: 'grault' } },
      [{ op: 'move', from: '/foo/waldo', path: '/qux/thud' }],
      { foo: { bar: 'baz' }, qux: { corge: 'grault', thud: 'fred' } },
    ],
    [
      'A.7 moving an array element',
      { foo: ['all', 'grass', 'cows', 'eat'] },
      [{ op: 'move', from: '/foo/1', path: '/foo/3' }],
      { foo: ['all', 'cows', 'eat', 'grass'] },
    ],
    [
      'A.10 adding a nested object',
      { foo: 'bar' },
      [{ op: 'add', path: '/child', value: { grandchild: {} } }],
      { foo: 'bar', child: { grandchild: {} } },
    ],
    [
      'A.14 escape ordering',
      { '/': 9, '~1': 10 },
      [{ op: 'test', path: '/~01', value: 10 }],
      { '/': 9, '~1': 10 },
    ],
    [
      'A.16 adding an array value',
      { foo: ['bar'] },
      [{ op: 'add', path: '/foo/-', value: ['abc', 'def'] }],
      { foo: ['bar', ['abc', 'def']] },
    ],
    ['copying', { a: { b: 1 } }, [{ op: 'copy', from: '/a', path: '/c' }], { a: { b: 1 }, c: { b: 1 } }],
  ])('%s', (_name, before, patch, after) => {
    const { document, inverse } = apply(before, patch);
    expect(document).toEqual(after);
    expect(apply(document, inverse).document).toEqual(before);
  });
  test.each<[string, JsonPatch]>([
    ['adding to nothing', [{ op: 'add', path: '/baz/bat', value: 'qux' }]],
    ['a failing test', [{ op: 'test', path: '/foo', value: 'x' }]],
    ['removing what is not there', [{ op: 'remove', path: '/x' }]],
    ['an index past the end', [{ op: 'add', path: '/list/9', value: 1 }]],
    ['an index with a leading zero', [{ op: 'replace', path: '/list/00', value: 1 }]],
    ['moving into itself', [{ op: 'move', from: '/list', path: '/list/0' }]],
    ['the whole document', [{ op: 'remove', path: '' }]],
    ['a broken pointer', [{ op: 'add', path: 'x', value: 1 }]],
    ['the prototype', [{ op: 'add', path: '/__proto__/x', value: 1 }]],
  ])('%s is refused and changes nothing', (_name, patch) => {
    const before = { foo: 'bar', list: [1] };
    expect(applyPatch(before, [{ op: 'add', path: '/early', value: 1 }, ...patch]).ok).toBe(false);
    expect(before).toEqual({ foo: 'bar', list: [1] });
  });
});

test('any run of operations is undone by its inverse, and unchanged parts keep their identity', () => {
  const path = fc.constantFrom('/a', '/a/0', '/a/1', '/a/-', '/b', '/b/c', '/b/d', '/e');
  const value = fc.jsonValue({ maxDepth: 1 });
  const operation: fc.Arbitrary<PatchOperation> = fc.oneof(
    fc.record({ op: fc.constantFrom('add', 'replace'), path, value }) as fc.Arbitrary<PatchOperation>,
    fc.record({ op: fc.constant('remove'), path }) as fc.Arbitrary<PatchOperation>,
    fc.record({ op: fc.constantFrom('move', 'copy'), from: path, path }) as fc.Arbitrary<PatchOperation>,
  );
  fc.assert(
    fc.property(fc.array(operation, { maxLength: 6 }), (patch) => {
      const before = { a: [1, 2, 3], b: { c: [4], d: 5 }, e: { kept: true } };
      const kept = before.e;
      const applied = applyPatch<unknown>(before, patch);
      if (!applied.ok) return;
      expect(sameJson(apply(applied.value.document, applied.value.inverse).document, before)).toBe(true);
      if (
        patch.every(
          (entry) => !entry.path.startsWith('/e') && !('from' in entry && entry.from.startsWith('/e')),
        )
      )
        expect((applied.value.document as typeof before).e).toBe(kept);
    }),
    { numRuns: 400 },
  );
});

describe('patches that grow', () => {
  test('copies of copies are refused before they fill the memory', () => {
    const patch = Array.from({ length: 40 }, (_, index) => ({
      op: 'copy' as const,
      from: '',
      path: `/c${index}`,
    }));
    const applied = applyPatch({ a: [1, 2, 3] }, patch);
    expect(applied.ok || applied.error[0]?.message).toMatch(/copies more than \d+ values/);
  });
  test('many operations are taken back in their order', () => {
    const patch = Array.from({ length: 500 }, (_, index) => ({
      op: 'add' as const,
      path: '/list/-',
      value: index,
    }));
    const applied = applyPatch({ list: [] as number[] }, patch);
    if (!applied.ok) throw new Error(applied.error[0]?.message);
    expect(applied.value.document.list).toHaveLength(500);
    const back = applyPatch(applied.value.document, applied.value.inverse);
    expect(back.ok && back.value.document).toEqual({ list: [] });
  });
});

describe('guarded patches', () => {
  const document = {
    items: [
      { id: 'visit', label: 'Visit' },
      { id: 'birds', label: 'Birds' },
    ],
  };
  const patch: JsonPatch = [{ op: 'replace', path: '/items/1/label', value: 'Our birds' }];
  test('still apply to the same entries', () => {
    expect(apply(document, guardPatch(document, patch)).document).toEqual({
      items: [document.items[0], { id: 'birds', label: 'Our birds' }],
    });
  });
  test('refuse when the entry has moved or changed since', () => {
    const moved = { items: [document.items[1], document.items[0]] };
    expect(applyPatch(moved, guardPatch(document, patch)).ok).toBe(false);
    const renamed = apply(document, [{ op: 'replace', path: '/items/1/label', value: 'Fowl' }]).document;
    expect(applyPatch(renamed, guardPatch(document, patch)).ok).toBe(false);
  });
});

test('patches from outside are read strictly', () => {
  expect(readPatch([{ op: 'add', path: '/a', value: null }]).ok).toBe(true);
  for (const bad of [
    {},
    'x',
    [5],
    [{ op: 'eval', path: '/a' }],
    [{ op: 'add', path: '/a' }],
    [{ op: 'add', path: 5, value: 1 }],
    [{ op: 'move', path: '/a' }],
    [{ op: 'toString', path: '' }],
  ])
    expect(readPatch(bad).ok).toBe(false);
});

test('a pointer’s value, or where it ends', () => {
  expect(getAt({ a: [{ b: 1 }] }, '/a/0/b')).toEqual({ ok: true, value: 1 });
  expect(getAt({ a: [] }, '/a/0/b')).toMatchObject({ ok: false, error: [{ path: '/a/0' }] });
});
