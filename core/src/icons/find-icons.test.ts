import { describe, expect, test } from '@jest/globals';
import { createRequire } from 'node:module';
import { findIcons, iconForLabel, inStyle, WORDS } from './find-icons.ts';

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

describe('with the whole library', () => {
  const require = createRequire(import.meta.url);
  const { icons } = require('@iconify-json/tabler/icons.json') as { icons: Record<string, unknown> };
  const names = Object.keys(icons);

  test('every word that is known finds something, with one of its own names among the first', () => {
    for (const [word, others] of Object.entries(WORDS)) {
      const found = findIcons(names, word, 24);
      expect([word, found.length > 0]).toEqual([word, true]);
      for (const other of others)
        expect([other, names.some((name) => name.startsWith(other))]).toEqual([other, true]);
    }
  });

  test.each([
    ['Opening hours', 'clock'],
    ['Birds', 'feather'],
    ['Guided walks', 'walk'],
    ['News', 'news'],
    ['The shop', 'basket'],
    ['Contact us', 'mail'],
    ['', null],
    ['Zzyzx', null],
    ['constructor', null],
  ])('%p is drawn as %p', (label, icon) => {
    const found = iconForLabel(names, label);
    if (icon === null) expect(found).toBeNull();
    else expect(found).toMatch(new RegExp(`^${icon}`));
  });

  test('a drawing is exchanged for its other style where there is one, and back', () => {
    const known = new Set(names);
    expect(inStyle(known, 'heart', 'filled')).toBe('heart-filled');
    expect(inStyle(known, 'heart-filled', 'outlined')).toBe('heart');
    expect(inStyle(known, 'heart', 'outlined')).toBe('heart');
    expect(inStyle(known, 'route-x', 'filled')).toBeNull();
  });
});
