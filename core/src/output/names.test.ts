import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../test/demo.ts';
import { wholeSite } from '../../test/random-site.ts';
import { ownersOf } from '../kinds/placed.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { createNames, PREFIX, prefixFor } from './names.ts';

const rootOf = (name: string) => createNames({ ...DEMO, name }, 'hm-').root;

describe('names', () => {
  test('start with the prefix, whatever they name', () => {
    const names = createNames(DEMO, 'nav-');
    expect([names.name('icon'), names.variable('ink'), names.attribute('ready'), names.prefix]).toEqual([
      'nav-icon',
      '--nav-ink',
      'data-nav-ready',
      'nav-',
    ]);
    expect(names.slotClass('menu-main', 'link')).toBe('nav-main-link');
  });
  test('carry the first words of the site’s name, cut between words where that goes', () => {
    expect(rootOf('Orilla')).toBe('hm-orilla');
    expect(rootOf('Marisma Laguna Reserve')).toBe('hm-marisma');
    expect(rootOf('Orilla del Sol')).toBe('hm-orilla-del');
    expect(rootOf('Twelve chars')).toBe('hm-twelve-chars');
    expect(rootOf('Gruppenreiseermäßigungen')).toHaveLength('hm-'.length + 12);
    expect(rootOf('鳥')).toBe('hm-site');
  });
  test('ids have the site’s word in them, so that two sites in one page never share one', () => {
    const [a, b] = ['Marisma', 'Orilla'].map((name) => createNames({ ...DEMO, name }, 'hm-'));
    expect(a?.id('panel')).toBe('hm-marisma-panel');
    expect(b?.id('panel')).toBe('hm-orilla-panel');
  });
  test('begin with the word of their thing, and no two things share one', () => {
    const site = wholeSite();
    const names = createNames(site, 'hm-');
    const owners = [...ownersOf(site).values()];
    const classes = owners.flatMap(({ id, kind }) =>
      Object.keys(slotsOf(kind)).map((slot) => `${kind} ${names.slotClass(id, slot)}`),
    );
    expect(new Set(classes).size).toBe(classes.length);
    const headers = owners
      .filter(({ kind }) => kind === 'header')
      .map(({ id }) => names.slotClass(id, 'header'));
    expect(headers.slice(0, 2)).toEqual(['hm-header', 'hm-header-copy']);
  });
  test('a prefix is short and safe in classes, ids and attributes', () => {
    expect(['hm-', 'a-', 'nav2-'].every((prefix) => PREFIX.test(prefix))).toBe(true);
    expect(
      ['', '-', 'Hm-', 'hm', '2a-', 'a b-', 'a_-', `${'a'.repeat(17)}-`].some((prefix) =>
        PREFIX.test(prefix),
      ),
    ).toBe(false);
  });
});

test.each([
  ['Marisma Laguna Reserve', [], 'mlr-'],
  ['Marisma Laguna Reserve', ['mlr-'], 'mlr2-'],
  ['Orilla', [], 'ori-'],
  ['7 Ponds', [], 'pon-'],
  ['محمية', [], 'sit-'],
  ['', [], 'sit-'],
])('a prefix of one’s own for %s where %j are taken is %s', (name, taken, prefix) => {
  expect(prefixFor(name, new Set(taken))).toBe(prefix);
  expect(prefix).toMatch(PREFIX);
});
