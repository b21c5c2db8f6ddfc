import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { neededSubsets, SUBSETS, type Subset } from './subsets.ts';
import { faceFile, TYPEFACES } from './typefaces.ts';

const require = createRequire(import.meta.url);
const ALL = Object.keys(SUBSETS) as Subset[];

/** Every code point of a list of ranges. */
const codesOf = (ranges: string) =>
  new Set(
    ranges.split(',').flatMap((range) => {
      const [from = 0, to = from] = range
        .replace('U+', '')
        .split('-')
        .map((code) => parseInt(code, 16));
      return Array.from({ length: to - from + 1 }, (_, index) => from + index);
    }),
  );

describe.each(TYPEFACES)('$name', ({ package: name, id, subsets }) => {
  const ranges = JSON.parse(readFileSync(require.resolve(`${name}/unicode.json`), 'utf8')) as Record<
    string,
    string
  >;
  test('has a file for each of its subsets, which holds all of the subset’s range', () => {
    for (const subset of subsets) {
      const cut = codesOf(ranges[subset] ?? '');
      expect([...codesOf(SUBSETS[subset])].filter((code) => !cut.has(code))).toEqual([]);
      expect(require.resolve(`${name}/files/${id}-${subset}-wght-normal.woff2`)).toContain(subset);
      expect(faceFile(id, subset)).toBe(`${id}-${subset}`);
    }
  });
  test('names all subsets of ours that its package has', () => {
    expect(ALL.filter((subset) => subset in ranges).sort()).toEqual([...subsets].sort());
  });
});

describe('words need', () => {
  test.each([
    ['Visit, “Café” – 10 €…', []],
    ['Návštěva', ['latin-ext']],
    ['İletişim', ['latin-ext']],
    ['Liên hệ', ['vietnamese']],
    ['Ώρες', ['greek']],
    ['Школа', ['cyrillic']],
    ['בית', ['hebrew']],
    ['Škola, Школа', ['latin-ext', 'cyrillic']],
    ['鳥', []],
    ['', []],
  ])('%s: %j', (words, wanted) => {
    expect(neededSubsets(words, ALL)).toEqual(wanted);
  });
  test('only what the typeface has', () => {
    expect(neededSubsets('Школа, Škola', ['latin-ext'])).toEqual(['latin-ext']);
    expect(neededSubsets('Школа', [])).toEqual([]);
  });
});
