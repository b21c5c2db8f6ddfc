import { describe, expect, test } from '@jest/globals';
import { countingIds, slugify, uniqueName } from './ids.ts';
import { jsonDepth, sameJson } from './json.ts';
import { parsePointer, toPointer } from './json-pointer.ts';
import { describeValue } from './result.ts';
import { cutText, findHalfCharacter } from './well-formed.ts';

describe('ids', () => {
  test('slugs are readable and never empty', () => {
    expect(slugify('Trails & hides', 'x')).toBe('trails-hides');
    expect(slugify('Ñandú · Åland', 'x')).toBe('nandu-aland');
    expect(slugify('鳥', 'page')).toBe('page');
    expect(slugify('2 birds', 'x')).toBe('birds');
  });
  test('counting ids skip what is taken', () => {
    const next = countingIds('link', new Set(['link1', 'link3']));
    expect([next(), next(), next()]).toEqual(['link2', 'link4', 'link5']);
  });
  test('a taken name gets a number', () => {
    expect(uniqueName('reed', new Set(['reed', 'reed-2']))).toBe('reed-3');
  });
});

describe('JSON', () => {
  test('equality ignores the order of keys', () => {
    expect(sameJson({ a: 1, b: [2] }, { b: [2], a: 1 })).toBe(true);
    expect(sameJson({ a: undefined }, {})).toBe(false);
    expect(sameJson([1, 2], [2, 1])).toBe(false);
  });
  test('depth is counted without recursion and given up past the limit', () => {
    let deep: unknown = 0;
    for (let level = 0; level < 100_000; level++) deep = [deep];
    expect(jsonDepth(deep, 50)).toBe(51);
    expect(jsonDepth({ a: [{}] }, 50)).toBe(3);
  });
});

test('JSON Pointers escape and read back (RFC 6901, section 5)', () => {
  expect(toPointer(['a/b', 'm~n', 0])).toBe('/a~1b/m~0n/0');
  expect(parsePointer('/a~1b/m~0n/0')).toEqual(['a/b', 'm~n', '0']);
  expect(parsePointer('')).toEqual([]);
  expect(parsePointer('no')).toBeNull();
  expect(parsePointer('/~2')).toBeNull();
});

test('values are described shortly', () => {
  expect(describeValue('x'.repeat(100))).toHaveLength(58);
  expect(describeValue(undefined)).toBe('nothing');
});

describe('half characters', () => {
  test('are never left by a cut', () => {
    expect(cutText('a\u{1f41f}b', 2)).toBe('a');
    expect(cutText('a\u{1f41f}b', 3)).toBe('a\u{1f41f}');
    expect(cutText('\ud83dx', 9)).toBe('\ufffdx');
    expect(cutText('short', 9)).toBe('short');
  });
  test('are found wherever they stand, in values and in names', () => {
    expect(findHalfCharacter({ a: [1, { b: 'x\ud800' }] })).toBe('/a/1/b');
    expect(findHalfCharacter({ a: { 'k\udc00': 1 } })).toBe('/a');
    expect(findHalfCharacter('\udc00')).toBe('');
    expect(findHalfCharacter({ a: ['\u{1f41f}', 'ñ', null, true] })).toBeNull();
    let deep: unknown = '\ud800';
    for (let level = 0; level < 20_000; level++) deep = [deep];
    expect(findHalfCharacter(deep)?.startsWith('/0/0/0')).toBe(true);
  });
});
