import { describe, expect, test } from '@jest/globals';
import { findIcons } from './icon-library.ts';

describe('the icons a search finds', () => {
  const names = [
    'brand-map',
    'map-pin',
    'map',
    'road-map',
    'clock',
    'brand-clockify',
    'alarm',
    'heart-handshake',
  ];
  test('the plain name leads, then what begins with it, then compounds, brands last', () => {
    expect(findIcons(names, 'map', 10)).toEqual(['map', 'map-pin', 'road-map', 'brand-map']);
    expect(findIcons(names, ' Clock ', 10)[0]).toBe('clock');
  });
  test('other words for it find it too, no more than asked for', () => {
    expect(findIcons(names, 'volunteer', 10)).toEqual(['heart-handshake']);
    expect(findIcons(names, 'map', 2)).toEqual(['map', 'map-pin']);
    expect(findIcons(names, '', 3)).toEqual(['brand-map', 'map-pin', 'map']);
    expect(findIcons(names, 'zeppelin', 10)).toEqual([]);
  });
});
