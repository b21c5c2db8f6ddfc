import { describe, expect, test } from '@jest/globals';
import type { Page, Piece } from '@hamaca/core';
import { DEMO, DEMO_HEADER } from '../../../../core/test/demo.ts';
import { pageRows, pagesOf, ruleWords, shownOn } from './page-rows.ts';

const NONE: ReadonlySet<string> = new Set();
const pages = (...paths: string[]): { pages: readonly Page[] } => ({
  pages: paths.map((path, index) => ({ id: `p${index}`, path, title: path, listed: true, sections: [] })),
});
const words = (site: { pages: readonly Page[] }, toggled = NONE) =>
  pageRows(site, toggled).map((row) =>
    row.kind === 'group' ? `${row.path} (${row.pages.length})` : row.page.path,
  );

describe('the lines of the table', () => {
  test('pages beneath one path stand together, under a line of their own', () => {
    expect(words(pages('/', '/learn/', '/news/', '/learn/walks/'))).toEqual([
      '/',
      '/learn/* (2)',
      '/learn/',
      '/learn/walks/',
      '/news/',
    ]);
  });
  test('a group can be folded, and a large one is until it is opened', () => {
    const site = pages('/a/', '/a/b/');
    expect(words(site, new Set(['/a/*']))).toEqual(['/a/* (2)']);
    const large = pages(...Array.from({ length: 5000 }, (_, index) => `/birds/${index}/`));
    expect(words(large)).toEqual(['/birds/* (5000)']);
    expect(words(large, new Set(['/birds/*']))).toHaveLength(5001);
  });
  test('every page of the inventory is in just one line of its own', () => {
    const found = pageRows(DEMO, NONE).flatMap((row) => (row.kind === 'page' ? [row.page.id] : []));
    expect([...found].sort()).toEqual(DEMO.pages.map(({ id }) => id).sort());
  });
});

test('a line says whether a piece is on all of its pages, on some, or on none', () => {
  const rows = pageRows(DEMO, NONE);
  const learn = rows.find(({ key }) => key === '/learn/*');
  if (!learn) throw new Error('no group');
  const [first] = pagesOf(learn);
  const only = (ids: readonly string[]): Piece => ({
    ...DEMO_HEADER,
    pages: { shown: 'only', pages: ids.map((page) => ({ page })), paths: [] },
  });
  expect(shownOn(DEMO_HEADER, learn)).toBe('all');
  expect(shownOn(only([]), learn)).toBe('none');
  expect(shownOn(only([first?.id ?? '']), learn)).toBe('some');
  expect(ruleWords(DEMO, DEMO_HEADER)).toBe('on all pages');
  expect(ruleWords(DEMO, only([]))).toBe('on no page');
  expect(ruleWords(DEMO, only([first?.id ?? '']))).toBe('on 1 page');
});
