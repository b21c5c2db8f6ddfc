import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../test/demo.ts';
import { OWNER_KINDS, slotsOf } from './catalogue.ts';
import { PROPERTIES, property, PROPERTY_IDS } from './properties/properties.ts';
import { acceptsValue, allowedValue } from '../values/accepts.ts';
import { STATES } from '../model/states.ts';
import { refuseUrl } from '../values/url.ts';
import { readLength, toPixels } from '../values/length.ts';
import type { Value } from '../values/values.ts';
import { idsOf, ownersOf } from './placed.ts';
import { itemsOf, walkMenu } from './content.ts';
import type { SlotKind } from '../model/slot.ts';

const slots = OWNER_KINDS.flatMap((owner) =>
  Object.entries(slotsOf(owner)).map(([slot, kind]) => ({ owner, slot, kind: kind as SlotKind })),
);

describe('the catalogues', () => {
  test.each(slots)('$owner/$slot: states in order, defaults allowed', ({ kind }) => {
    expect(kind.states[0]).toBe('rest');
    const order = kind.states.map((state) => STATES.indexOf(state));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    for (const [id, value] of Object.entries(kind.defaults)) {
      expect(kind.properties).toContain(id);
      expect(acceptsValue(property(id as keyof typeof PROPERTIES), value)).toBe(true);
    }
    if (kind.typeStyle !== undefined)
      expect(DEMO.typeStyles.map((style) => style.id)).toContain(kind.typeStyle);
  });
  test('every property is used by a slot, accepts its initial value and refuses nonsense', () => {
    const used = new Set(slots.flatMap(({ kind }) => kind.properties));
    for (const id of PROPERTY_IDS) {
      expect(used).toContain(id);
      const initial = property(id).initial;
      if (!['width', 'thickness', 'drawnHeight'].includes(id))
        expect(acceptsValue(property(id), initial)).toBe(true);
      for (const nonsense of [
        null,
        undefined,
        true,
        {},
        [],
        'nonsense',
        NaN,
        -1e9,
        { swatch: 5 },
        { literal: 'red;' },
      ])
        expect(acceptsValue(property(id), nonsense)).toBe(false);
      expect(allowedValue(property(id)).length).toBeGreaterThan(5);
    }
  });
});

test('lengths are px, or carry their unit', () => {
  expect(readLength('1.5rem')).toEqual({ amount: 1.5, unit: 'rem' });
  expect(readLength('16')).toEqual({ amount: 16, unit: 'px' });
  for (const wrong of ['1ch', 'abc', '1..2px', '', 'calc(1px + 1rem)']) expect(readLength(wrong)).toBeNull();
  const at = { fontSize: 20, width: 1000, whole: 50 };
  expect(
    [12, '1rem', '0.5em', '2vw', '50%', 'clamp(1px, 1vw, 8px)', 'x'].map((length) => toPixels(length, at)),
  ).toEqual([12, 16, 10, 20, 25, 8, 0]);
  expect(acceptsValue(property('size'), '16' as Value)).toBe(false);
  expect(acceptsValue(property('size'), '1rem')).toBe(true);
});

describe('addresses', () => {
  test.each([
    '/visit',
    '#top',
    '?q=1',
    'visit/hours',
    'https://marisma.example/',
    'http://x',
    'mailto:a@b.example',
    'tel:+34',
    '//cdn.example/x',
    '',
  ])('%j may stand', (url) => {
    expect(refuseUrl(url)).toBeNull();
  });
  test.each([
    'javascript:alert(1)',
    ' JavaScript:alert(1)',
    'java\tscript:alert(1)',
    'data:text/html,x',
    'vbscript:x',
    'file:///etc',
    'blob:x',
    'x\u0000y',
    'a'.repeat(3000),
  ])('%j is refused', (url) => {
    expect(refuseUrl(url)).not.toBeNull();
  });
});

describe('walking', () => {
  test('links come parents first, with their places', () => {
    const menu = DEMO.menus[0];
    if (!menu) throw new Error('no menu');
    const seen: string[] = [];
    walkMenu(menu, '/menus/0', ({ item, depth, path }) => {
      if (depth === 3) seen.push(`${item.label} ${path}`);
    });
    expect(seen).toEqual([
      'North hide /menus/0/items/0/children/2/children/0',
      'Reed hide /menus/0/items/0/children/2/children/1',
      'Tower hide /menus/0/items/0/children/2/children/2',
    ]);
    expect(itemsOf(DEMO).size).toBe(22 + 3 + 12 + 4);
  });
  test('owners and ids are found by id, and remembered per document', () => {
    expect(ownersOf(DEMO)).toBe(ownersOf(DEMO));
    expect([...ownersOf(DEMO).values()].map((owner) => owner.kind)).toEqual([
      'header',
      'row',
      'logo',
      'menu',
      'button',
      'opener',
      'panel',
      'block',
      'berth',
    ]);
    expect(idsOf(DEMO).has('reed')).toBe(true);
  });
});
