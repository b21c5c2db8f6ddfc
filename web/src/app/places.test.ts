import { expect, test } from '@jest/globals';
import { PLACES, readAddress } from './places.ts';

test.each([
  ['/', null, 'sites'],
  ['/new', null, 'new'],
  ['/sites/marisma', 'marisma', 'bench'],
  ['/sites/marisma/', 'marisma', 'bench'],
  ['/sites/marisma/links', 'marisma', 'links'],
  ['/sites/marisma/try/visit/hides', 'marisma', 'try'],
  ['/sites/marisma/pages', 'marisma', 'pages'],
  ['/sites/marisma/bench/panel-2', 'marisma', 'bench'],
  ['/sites/marisma/hand-off', 'marisma', 'hand-off'],
  ['/sites/marisma/toString', 'marisma', 'bench'],
  ['/sites/', null, 'sites'],
  ['/elsewhere', null, 'sites'],
])('%s leads to site %s at %s', (path, site, place) => {
  expect(readAddress(path)).toEqual({ site, place });
  expect(Object.hasOwn(PLACES, place)).toBe(true);
});
test('an address that cannot be decoded is no site', () => {
  expect(readAddress('/sites/%zz/bench')).toEqual({ site: null, place: 'sites' });
});
