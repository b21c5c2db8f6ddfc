import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../test/demo.ts';
import type { MenuItem } from '../model/menu-item.ts';
import { itemsOf } from '../kinds/content.ts';
import { adoptItems, copyItems, mapItems } from './adopt.ts';
import { mergeItems } from './merge.ts';

let count = 0;
const link = (
  label: string,
  href: string | null = null,
  children: MenuItem[] = [],
  more: Partial<MenuItem> = {},
): MenuItem => ({
  id: `m${++count}`,
  label,
  target: href === null ? { kind: 'none' } : { kind: 'url', url: href },
  children,
  ...more,
});
const shape = (items: readonly MenuItem[]): unknown[] =>
  items.map((item) => (item.children.length > 0 ? [item.label, shape(item.children)] : item.label));
const countAll = (items: readonly MenuItem[]): number =>
  items.reduce((sum, item) => sum + 1 + countAll(item.children), 0);

describe('merging links', () => {
  test('the same target counts before the same label', () => {
    const merged = mergeItems([link('News', '/a'), link('Log', '/b')], [link('Log', '/a')]);
    expect(shape(merged.items)).toEqual(['News', 'Log']);
    expect(merged).toMatchObject({ added: 0, matched: 1 });
  });
  test('what is known keeps its label and settings; an empty target is filled', () => {
    const merged = mergeItems(
      [link('Visit', null, [], { description: 'Come' })],
      [link('VISIT', '/visit', [link('Hours', '/hours')])],
    );
    expect(merged.items[0]).toMatchObject({
      label: 'Visit',
      description: 'Come',
      target: { kind: 'url', url: '/visit' },
    });
    expect(shape(merged.items)).toEqual([['Visit', ['Hours']]]);
  });
  test('new links stand behind the neighbour they had', () => {
    const merged = mergeItems(
      [link('A', '/a'), link('B', '/b'), link('C', '/c')],
      [link('B', '/b'), link('B2', '/b2'), link('C', '/c'), link('D', '/d')],
    );
    expect(shape(merged.items)).toEqual(['A', 'B', 'B2', 'C', 'D']);
  });
  test('two alike on one side match two alike on the other, one each', () => {
    const merged = mergeItems(
      [link('Item', '/x'), link('Item', '/x')],
      [link('Item', '/x'), link('Item', '/x'), link('Item', '/x')],
    );
    expect(merged).toMatchObject({ added: 1, matched: 2 });
  });
  test('merging again changes nothing, and nothing is ever lost', () => {
    const label = fc.constantFrom('Visit', 'Birds', 'Learn', 'News', '');
    const href = fc.option(fc.constantFrom('/a', '/b', '/c'));
    const leaf = fc.record({ label, href }).map(({ label: text, href: to }) => link(text, to));
    // Twins could each be the other one.
    const selector = (item: MenuItem) => `${item.label} ${JSON.stringify(item.target)}`;
    const branch = fc
      .record({ label, href, children: fc.uniqueArray(leaf, { maxLength: 3, selector }) })
      .map(({ label: text, href: to, children }) => link(text, to, children));
    const list = fc.uniqueArray(branch, { maxLength: 4, selector });
    fc.assert(
      fc.property(list, list, (existing, incoming) => {
        const once = mergeItems(existing, incoming);
        expect(countAll(once.items)).toBe(countAll(existing) + once.added);
        expect(once.added + once.matched).toBe(countAll(incoming));
        const twice = mergeItems(once.items, incoming);
        expect(twice).toEqual({ items: once.items, added: 0, matched: countAll(incoming) });
        const labels = new Set(
          [...itemsOf({ ...DEMO, menus: [{ id: 'x', name: '', items: once.items }] }).values()].map(
            ({ item }) => item.id,
          ),
        );
        for (const { item } of itemsOf({ ...DEMO, menus: [{ id: 'x', name: '', items: existing }] }).values())
          expect(labels).toContain(item.id);
      }),
      { numRuns: 500 },
    );
  });
});

describe('taking links in from elsewhere', () => {
  test('ids stay where they are free and are given anew where not', () => {
    const taken = DEMO.menus[0]?.items[0]?.id ?? '';
    const { items } = adoptItems(
      DEMO,
      [
        { ...link('A'), id: 'free' },
        { ...link('B'), id: taken },
        { ...link('C'), id: 'free' },
      ],
      [],
    );
    expect(items[0]?.id).toBe('free');
    expect(new Set(items.map((item) => item.id)).size).toBe(3);
    expect(items.map((item) => item.id)).not.toContain(taken);
  });
  test('what the site has not is left out: panels, icons, bands, pages', () => {
    const { items } = adoptItems(
      DEMO,
      [
        { ...link('Panel'), target: { kind: 'panel', panel: 'gone' } },
        { ...link('Here'), target: { kind: 'panel', panel: 'panel' } },
        { ...link('Page'), target: { kind: 'page', page: 'gone' } },
        link('Icon', null, [], { icon: 'gone', bands: ['wide'] }),
        link('Band', null, [], { bands: ['gone'] }),
      ],
      [],
    );
    expect(items.map((item) => item.target.kind)).toEqual(['none', 'panel', 'none', 'none', 'none']);
    expect(items[3]).toMatchObject({ bands: ['wide'] });
    for (const item of items) expect(item).not.toHaveProperty('icon');
    expect(items[4]).not.toHaveProperty('bands');
  });
  test('copies differ in their ids alone, all the way down', () => {
    let next = 0;
    const originals = DEMO.menus[0]?.items ?? [];
    const copies = copyItems(originals, () => `copy${++next}`);
    expect(mapItems(copies, (item) => ({ ...item, id: '' }))).toEqual(
      mapItems(originals, (item) => ({ ...item, id: '' })),
    );
    expect(next).toBe(22);
  });
});
