import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../test/demo.ts';
import { formatColour } from '../colour/colour.ts';
import type { Site } from '../kinds/site.ts';
import type { SlotLook } from '../model/look.ts';
import { PROPERTY_IDS } from '../kinds/properties/properties.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import type { State } from '../model/states.ts';
import { ownersOf, slotKind } from '../kinds/placed.ts';
import { berthIn } from '../kinds/folds.ts';
import { runEdit } from '../edit/operations.ts';
import type { CellValue } from '../edit/operations/look.ts';
import { contrastOf, backdropOf, passingValue } from './backdrop.ts';
import { colourOf, colourTrail, usesSwatch } from './colours.ts';
import { originSteps } from './origin.ts';
import { bandAt, bandEnd, resolve } from './resolve.ts';
import { formatValue, parseValue, stepValue } from './value-text.ts';

const link = { owner: 'menu-main', slot: 'link' } as const;

/** The demo with one slot's look replaced. */
function withLook(
  look: SlotLook,
  property: 'size' = 'size',
): (level: 1 | 2 | null, states: readonly State[], band: number) => unknown {
  const json = JSON.parse(JSON.stringify(DEMO)) as Site;
  const menu = json.pieces[0]?.kind === 'header' ? json.pieces[0].rows[0]?.zones.middle[0] : undefined;
  Object.assign(menu ?? {}, { look: { link: look } });
  return (level, states, band) => resolve(json, { ...link, property, level, states, band })?.value;
}

describe('which value applies', () => {
  test('a stronger state wins over a nearer level, and a nearer level over a nearer band', () => {
    const size = withLook({
      all: { rest: { all: { size: 10 } }, hover: { all: { size: 20 } } },
      1: { rest: { all: { size: 11 }, phone: { size: 12 } }, current: { all: { size: 15 } } },
    });
    expect(size(null, [], 0)).toBe(10);
    expect(size(1, [], 0)).toBe(11);
    expect(size(1, [], 1)).toBe(12);
    expect(size(2, [], 1)).toBe(10);
    expect(size(1, ['current'], 1)).toBe(15);
    expect(size(1, ['hover'], 1)).toBe(20);
    expect(size(1, ['current', 'hover'], 1)).toBe(20);
    expect(size(1, ['focus'], 0)).toBe(11);
    expect(size(1, ['focus', 'hover', 'pressed'], 0)).toBe(20);
  });
  test('a level’s value at all widths wins over all levels’ in this band', () => {
    expect(
      withLook({ all: { rest: { phone: { size: 9 } } }, 1: { rest: { all: { size: 11 } } } })(1, [], 1),
    ).toBe(11);
  });
  test('without a value the type style, the slot’s default, then the catalogue answers', () => {
    expect(withLook({})(1, [], 0)).toBe(16);
    const at = (slot: string, property: 'colour' | 'radius' | 'gap', owner = 'menu-main') =>
      resolve(DEMO, { owner, slot, property, level: null, states: [], band: 0 });
    expect(at('close', 'colour', 'panel')).toEqual({
      value: { role: 'ink' },
      origin: { kind: 'slot-default' },
    });
    expect(at('marker', 'colour')).toMatchObject({ origin: { kind: 'holder', slot: 'link' } });
    expect(at('opener', 'radius', 'opener')).toEqual({ value: 0, origin: { kind: 'initial' } });
    expect(at('gone', 'gap')).toBeNull();
    expect(at('link', 'gap', 'gone')).toBeNull();
  });
  test('every slot of the demo has an answer for each of its properties in each state', () => {
    for (const owner of ownersOf(DEMO).values()) {
      for (const [slot, kind] of Object.entries(slotsOf(owner.kind))) {
        for (const property of kind.properties) {
          for (const state of kind.states)
            expect(
              resolve(DEMO, { owner: owner.id, slot, property, level: null, states: [state], band: 1 }),
            ).not.toBeNull();
        }
      }
    }
  });
});

describe('bands', () => {
  test('a width falls into the widest band that has started', () => {
    expect([1920, 1000, 999, 0].map((width) => bandAt(DEMO, width))).toEqual([0, 0, 1, 1]);
    expect([bandEnd(DEMO, 0), bandEnd(DEMO, 1)]).toEqual([null, 999]);
  });
});

describe('colours', () => {
  test('lead from role to swatch to literal', () => {
    expect(colourTrail(DEMO, { role: 'accent' })).toEqual([
      { kind: 'role', role: 'accent' },
      { kind: 'swatch', id: 'reed', name: 'Reed' },
      { kind: 'literal', literal: '#2f6b4f' },
    ]);
    expect(formatColour(colourOf(DEMO, { role: 'accent' }))).toBe('#2f6b4f');
    expect(colourOf(DEMO, { role: 'line' }).a).toBeCloseTo(0.2);
    expect(colourOf(DEMO, { swatch: 'reed', alpha: 0.5 }).a).toBe(0.5);
    expect(usesSwatch(DEMO, { role: 'accent' }, 'reed')).toBe(true);
    expect(usesSwatch(DEMO, 16, 'reed')).toBe(false);
  });
  test('a link that leads nowhere is black, not a crash', () => {
    expect(formatColour(colourOf(DEMO, { swatch: 'gone' }))).toBe('#000000');
  });
});

test('origins are told step by step', () => {
  const trail = (
    slot: string,
    property: 'colour' | 'size' | 'fill',
    states: readonly State[],
    owner = 'menu-main',
    band = 0,
  ) => {
    const kind = slotKind(DEMO, { owner, slot });
    const resolved = resolve(DEMO, { owner, slot, property, level: 1, states, band });
    return (
      kind &&
      resolved &&
      originSteps(DEMO, kind, { owner, slot, property }, resolved).map((step) => step.label)
    );
  };
  expect(trail('link', 'colour', ['current'])).toEqual(['all levels, current', 'role accent', 'swatch Reed']);
  expect(trail('link', 'size', [])).toEqual(['type style Menu']);
  expect(trail('link', 'size', [], 'menu-main', 1)).toEqual(['all levels, rest, Phone and narrower']);
  expect(trail('link', 'colour', [])).toEqual(['link default', 'role ink', 'swatch Deep water']);
  expect(trail('bar', 'fill', [], 'header')).toEqual(['bar default', 'role paper', 'swatch Cotton']);
});

describe('contrast over what is really behind', () => {
  const scene = { id: 's', name: 'S', kind: 'blank', ground: '#888888' } as const;
  const at = (band: number, level: 1 | 2) => ({ ...link, level, states: [], band });
  const behind = (
    situation: Parameters<typeof backdropOf>[1],
    over: Parameters<typeof backdropOf>[2] = scene,
  ) => [
    ...new Set(
      backdropOf(DEMO, situation, over)
        .pairs({ r: 0, g: 0, b: 0, a: 1 })
        .map((pair) => formatColour(pair.behind)),
    ),
  ];
  test('an unfolded link stands on the bar; a folded one on the panel', () => {
    expect(behind(at(0, 1))).toEqual(['#fdfbf5']);
    expect([berthIn(DEMO, 'menu-main', 0), berthIn(DEMO, 'menu-main', 1)?.piece.id]).toEqual([null, 'panel']);
    expect(behind(at(1, 1))).toEqual(['#fdfbf5']);
    expect(behind({ owner: 'panel', slot: 'scrim', level: null, states: [], band: 1 })).toEqual(['#41565a']);
  });
  test('a submenu’s link stands on its box, and the box on whatever the page shows', () => {
    expect(behind(at(0, 2))).toEqual(['#fdfbf5']);
    expect(
      behind(
        { owner: 'menu-main', slot: 'link', level: 2, states: [], band: 0 },
        { ...scene, kind: 'picture' },
      ),
    ).toEqual(['#fdfbf5']);
  });
  test('a translucent bar lets the scene through', () => {
    const cells: CellValue[] = [
      {
        owner: 'header',
        slot: 'bar',
        property: 'fill',
        level: 'all',
        state: 'rest',
        band: 'all',
        value: { swatch: 'cotton', alpha: 0.1 },
      },
    ];
    const edited = runEdit(DEMO, { name: 'set-look', args: { cells } });
    const site = edited.ok ? edited.value.site : DEMO;
    expect(contrastOf(DEMO, at(0, 1), scene)).toMatchObject({ required: 4.5, passes: true });
    expect(contrastOf(site, at(0, 1), scene)).toMatchObject({ passes: false });
    expect(contrastOf(site, at(0, 1), { ...scene, ground: '#ffffff' })).toMatchObject({ passes: true });
    const mended = passingValue(site, [{ situation: at(0, 1), scene }]);
    expect(mended).not.toBeNull();
  });
  test('boxes have no contrast; icons need 3', () => {
    expect(
      contrastOf(DEMO, { owner: 'header', slot: 'bar', level: null, states: [], band: 0 }, scene),
    ).toBeNull();
    expect(
      contrastOf(DEMO, { owner: 'opener', slot: 'opener', level: null, states: [], band: 1 }, scene)
        ?.required,
    ).toBe(3);
  });
});

describe('typing values', () => {
  const typed = (property: Parameters<typeof parseValue>[1], text: string) => {
    const parsed = parseValue(DEMO, property, text);
    return parsed.ok ? parsed.value : null;
  };
  test('colours by swatch, role, literal, with a share', () => {
    expect(typed('colour', 'Reed')).toEqual({ swatch: 'reed' });
    expect(typed('colour', 'deep water 60%')).toEqual({ swatch: 'deep-water', alpha: 0.6 });
    expect(typed('colour', '#7c3aed 40%')).toEqual({ literal: '#7c3aed66' });
    expect(typed('colour', 'accent')).toEqual({ role: 'accent' });
    expect(typed('fill', 'none')).toEqual({ literal: 'transparent' });
    expect(typed('fill', '#256')).toEqual({ literal: '#256' });
    expect(typed('fill', 'rgb(10% 20% 30%)')).toEqual({ literal: 'rgb(10% 20% 30%)' });
  });
  test('lengths with and without unit', () => {
    expect([
      typed('size', '16'),
      typed('size', '16px'),
      typed('size', '1rem'),
      typed('gap', '0,5em'),
      typed('size', '1 rem'),
    ]).toEqual([16, 16, '1rem', '0.5em', '1rem']);
  });
  test('families by name', () => {
    expect([typed('family', 'Fraunces'), typed('family', 'system')]).toEqual(['fraunces', 'system']);
  });
  test.each([
    ['size', ''],
    ['size', 'big'],
    ['size', '900'],
    ['size', '5ch'],
    ['size', '2em'],
    ['weight', '1rem'],
    ['weight', '5000'],
    ['colour', 'reddish'],
    ['colour', 'reed 140%'],
    ['colour', '</style>'],
    ['family', 'Comic'],
    ['gap', '-4'],
  ] as const)('%s: %j is refused with a reason', (property, text) => {
    const parsed = parseValue(DEMO, property, text);
    expect(parsed.ok ? '' : parsed.error.length).toBeGreaterThan(5);
  });
  test('what is shown can be typed again, for every property of every slot', () => {
    for (const owner of ownersOf(DEMO).values()) {
      for (const [slot, kind] of Object.entries(slotsOf(owner.kind))) {
        for (const property of kind.properties) {
          const value =
            resolve(DEMO, { owner: owner.id, slot, property, level: null, states: [], band: 0 })?.value ?? 0;
          if (value === 0 && property === 'width') continue;
          expect(typed(property, formatValue(DEMO, value))).toEqual(value);
        }
      }
    }
  });
  test('numbers step within their bounds, in their unit', () => {
    expect([
      stepValue('size', 16, 1),
      stepValue('size', '1rem', 1),
      stepValue('tracking', 0, 1),
      stepValue('weight', 900, 1),
      stepValue('size', 6, -1),
    ]).toEqual([17, '1.0625rem', 0.1, 900, 6]);
    expect(stepValue('colour', { role: 'ink' }, 1)).toBeNull();
    for (const id of PROPERTY_IDS) expect(() => stepValue(id, 10, 1)).not.toThrow();
  });
});
