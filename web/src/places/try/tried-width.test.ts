import { expect, test } from '@jest/globals';
import { fitInto, pathWithin, readWidth } from './tried-width.ts';

test.each([
  ['390', 390],
  [' 1024 px ', 1024],
  ['100', null],
  ['99999', null],
  ['wide', null],
  ['', null],
])('a width typed as “%s” is %s', (text, width) => {
  expect(readWidth(text)).toBe(width);
});

test('a page is as wide as was asked, drawn smaller in a narrower window', () => {
  expect(fitInto(390, { width: 1000, height: 700 })).toEqual({ width: 390, height: 700, scale: 1 });
  expect(fitInto(1280, { width: 640, height: 400 })).toEqual({ width: 1280, height: 800, scale: 0.5 });
  expect(fitInto(null, { width: 640, height: 400 })).toEqual({ width: 640, height: 400, scale: 1 });
});

test('the path within the site is told from the address, with or without a pass', () => {
  expect(pathWithin('/tried/marisma/visit/', 'marisma')).toBe('/visit/');
  expect(pathWithin('/pass/1.x/tried/marisma/', 'marisma')).toBe('/');
  expect(pathWithin('/tried/orilla/', 'marisma')).toBeNull();
});
