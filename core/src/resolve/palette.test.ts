import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../test/demo.ts';
import { formatColour } from '../colour/colour.ts';
import type { Site } from '../kinds/site.ts';
import type { Swatch } from '../model/swatch.ts';
import { loadSite } from '../load/load-site.ts';
import { runEdit, type Edit } from '../edit/operations.ts';
import { colourOf, colourTrail, swatchColour, swatchFamily, usesRole, usesSwatch } from './colours.ts';
import { contrastTable, looseColours } from './palette-check.ts';
import { familiesOf, reachOf, rolesOf } from './reaches.ts';
import { lookCells } from '../kinds/looks.ts';
import { originSteps, ownerName, slotName } from './origin.ts';
import { effectiveLook, resolve, sameAs } from './resolve.ts';
import { ownersOf, slotKind } from '../kinds/placed.ts';

const run = (site: Site, ...edits: Edit[]): Site =>
  edits.reduce((now, edit) => {
    const ran = runEdit(now, edit);
    if (!ran.ok) throw new Error(ran.error[0]?.message);
    return ran.value.site;
  }, site);
const derived: Swatch[] = [
  { id: 'pale', name: 'Pale', from: 'reed', change: 'lighter', by: 50 },
  { id: 'dim', name: 'Dim', from: 'pale', change: 'darker', by: 20 },
  { id: 'haze', name: 'Haze', from: 'reed', change: 'thinner', by: 30 },
  { id: 'blend', name: 'Blend', from: 'reed', change: 'mixed', by: 25, with: 'marsh-light' },
];
const site = run(DEMO, ...derived.map((swatch): Edit => ({ name: 'add-swatch', args: { swatch } })));
const hex = (id: string, from: Site = site) => formatColour(swatchColour(from, id));
const cell = (property: 'colour' | 'shadow' | 'size', value: unknown) =>
  ({
    name: 'set-look',
    args: {
      cells: [
        { owner: 'menu-main', slot: 'link', property, level: 'all', state: 'hover', band: 'all', value },
      ],
    },
  }) as Edit;

describe('swatches that follow others', () => {
  test('are computed, and follow when the other changes', () => {
    expect(derived.map(({ id }) => hex(id))).toEqual(['#96b3a3', '#6e8478', '#2f6b4fb3', '#657e51']);
    expect(hex('haze')).toBe('#2f6b4fb3');
    const bluer = run(site, { name: 'set-swatch', args: { id: 'reed', value: '#0000ff' } });
    for (const { id } of derived) expect(hex(id, bluer)).not.toBe(hex(id));
    expect(hex('haze', bluer)).toBe('#0000ffb3');
  });
  test('know their family, and cannot follow themselves', () => {
    expect([...swatchFamily(site, 'dim')]).toEqual(['dim', 'pale', 'reed']);
    expect(
      colourTrail(site, { swatch: 'dim' }).map((step) => ('name' in step ? step.name : step.kind)),
    ).toEqual(['Dim', 'Pale', 'Reed', 'literal']);
    const circle = runEdit(site, {
      name: 'set-swatch',
      args: { id: 'reed', derived: { from: 'dim', change: 'lighter', by: 10 } },
    });
    expect(circle.ok ? '' : circle.error[0]?.code).toBe('circular');
    const raw = JSON.parse(JSON.stringify(site)) as { palette: unknown[] };
    raw.palette[1] = { id: 'reed', name: 'Reed', from: 'dim', change: 'lighter', by: 10 };
    const loaded = loadSite(raw);
    expect(loaded.ok ? [] : loaded.error.map((problem) => problem.code)).toContain('circular');
    expect(formatColour(colourOf({ ...site, palette: raw.palette as never }, { swatch: 'reed' }))).toMatch(
      /^#/,
    );
  });
  test('through hundreds of others are computed to the end, each once', () => {
    const first = { id: 's0', name: 'S0', value: '#808080' };
    const mixed = Array.from({ length: 490 }, (_, index) => ({
      id: `s${index + 1}`,
      name: `S${index + 1}`,
      from: `s${index}`,
      change: 'mixed' as const,
      by: 50,
      with: `s${Math.max(0, index - 1)}`,
    }));
    const site = { ...DEMO, palette: [first, ...mixed] };
    expect(formatColour(swatchColour(site, 's490'))).toBe('#808080');
    expect(colourTrail(site, { swatch: 's490' }).at(-1)).toEqual({ kind: 'literal', literal: '#808080' });
  });
  test('that lead back to themselves come to black and to an end', () => {
    const round = ['a', 'b'].map((id, index) => ({
      id,
      name: id,
      from: ['b', 'a'][index] ?? '',
      change: 'darker' as const,
      by: 10,
    }));
    expect(formatColour(swatchColour({ palette: round }, 'a'))).toBe('#000000');
  });
  test('cannot lead to nothing', () => {
    for (const broken of [
      { id: 'x', name: 'X', from: 'gone', change: 'lighter', by: 10 },
      { id: 'x', name: 'X', from: 'reed', change: 'mixed', by: 10 },
      { id: 'x', name: 'X', from: 'reed', change: 'stranger', by: 10 },
      { id: 'x', name: 'X', from: 'reed', change: 'lighter', by: 110 },
    ]) {
      expect(
        loadSite({ ...(JSON.parse(JSON.stringify(DEMO)) as object), palette: [...DEMO.palette, broken] }).ok,
      ).toBe(false);
    }
  });
});

describe('what something reaches', () => {
  test('a swatch: cells that name it, roles that lead to it, defaults that fall back to those', () => {
    const shadowed = run(
      site,
      cell('shadow', { shadows: [{ x: 0, y: 1, blur: 2, colour: { swatch: 'dim' } }] }),
    );
    const reached = reachOf(shadowed, { kind: 'swatch', id: 'reed' });
    expect(reached.some((entry) => entry.property === 'shadow' && entry.cell?.state === 'hover')).toBe(true);
    expect(reached.some((entry) => entry.slot === 'link' && entry.cell?.state === 'current')).toBe(true);
    expect(rolesOf(site, 'reed')).toContain('accent');
    expect(usesSwatch(site, { role: 'accent' }, 'reed')).toBe(true);
    expect([
      usesRole(site, { role: 'accent' }, 'accent'),
      usesRole(site, { swatch: 'reed' }, 'accent'),
    ]).toEqual([true, false]);
  });
  test('a type style: slots that fall back to it and cells linked to it', () => {
    const before = reachOf(site, { kind: 'type-style', id: 'title' });
    expect(
      before.every((entry) => entry.cell === null && ['family', 'size', 'weight'].includes(entry.property)),
    ).toBe(true);
    const linked = run(site, cell('size', { type: 'title' }));
    expect(reachOf(linked, { kind: 'type-style', id: 'title' })).toHaveLength(before.length + 1);
    const resolved = resolve(linked, {
      owner: 'menu-main',
      slot: 'link',
      property: 'size',
      level: 1,
      states: ['hover'],
      band: 0,
    });
    expect(resolved).toMatchObject({
      value: DEMO.typeStyles.find((style) => style.id === 'title')?.size,
      type: 'title',
    });
    const kind = slotKind(linked, { owner: 'menu-main', slot: 'link' });
    expect(
      kind &&
        resolved &&
        originSteps(linked, kind, { owner: 'menu-main', slot: 'link', property: 'size' }, resolved).map(
          (step) => step.label,
        ),
    ).toEqual(['all levels, hover', 'type style Title']);
  });
  test('every cell that is reached says so itself, for every swatch', () => {
    for (const { id } of DEMO.palette)
      for (const { cell: found } of reachOf(DEMO, { kind: 'swatch', id }))
        if (found) expect(usesSwatch(DEMO, found.value, id)).toBe(true);
    expect(lookCells(DEMO).length).toBeGreaterThan(20);
    expect(familiesOf(DEMO)).toEqual(expect.arrayContaining(DEMO.typeStyles.map((style) => style.family)));
  });
  test('owners and slots have names', () => {
    for (const owner of ownersOf(DEMO).values()) expect(ownerName(owner)).toMatch(/\w/);
    expect(slotName(DEMO, { owner: 'menu-main', slot: 'link' })).toBe('Menu, link');
    expect(slotName(DEMO, { owner: 'gone', slot: 'link' })).toBe('something removed');
  });
});

describe('contrast and colours without a name', () => {
  test('every ink on every ground', () => {
    const table = contrastTable(DEMO);
    expect(table.cells).toHaveLength(DEMO.palette.length);
    const [water, cotton] = [
      DEMO.palette.findIndex((swatch) => swatch.id === 'deep-water'),
      DEMO.palette.findIndex((swatch) => swatch.id === 'cotton'),
    ];
    expect(table.cells[water]?.[cotton]).toMatchObject({ legibility: 'text' });
    expect(table.cells[water]?.[cotton]?.ratio).toBeCloseTo(table.cells[cotton]?.[water]?.ratio ?? 0, 10);
    expect(table.cells[water]?.[water]).toMatchObject({ ratio: 1, legibility: 'none' });
  });
  test('literals are counted, told from nearly which swatch, and linked', () => {
    const loose = run(DEMO, cell('colour', { literal: '#306c50' }), {
      name: 'set-look',
      args: {
        cells: [
          {
            owner: 'header',
            slot: 'bar',
            property: 'fill',
            level: 'all',
            state: 'rest',
            band: 'all',
            value: { literal: '#ff00ff' },
          },
        ],
      },
    });
    const found = looseColours(loose);
    expect(found.find((entry) => entry.literal === '#306c50')?.near).toMatchObject({
      swatch: 'reed',
      alpha: 1,
    });
    expect(found.find((entry) => entry.literal === '#ff00ff')?.near).toBeNull();
    const linked = run(loose, {
      name: 'relink-colours',
      args: { links: [{ literal: '#306c50', swatch: 'reed' }] },
    });
    expect(looseColours(linked).map((entry) => entry.literal)).not.toContain('#306c50');
    expect(
      resolve(linked, {
        owner: 'menu-main',
        slot: 'link',
        property: 'colour',
        level: 1,
        states: ['hover'],
        band: 0,
      })?.value,
    ).toEqual({ swatch: 'reed' });
  });
});

describe('slots that look the same', () => {
  const same = run(DEMO, {
    name: 'set-same-look',
    args: { owner: 'book', slot: 'button', as: { owner: 'menu-main', slot: 'link' } },
  });
  const fill = (from: Site, states: readonly ['hover'] | readonly [] = []) =>
    resolve(from, { owner: 'book', slot: 'button', property: 'fill', level: null, states, band: 0 });
  test('take what the other one says, and what they say themselves goes before', () => {
    expect(sameAs(same, { owner: 'book', slot: 'button' })).toEqual({ owner: 'menu-main', slot: 'link' });
    const own = effectiveLook(DEMO, { owner: 'book', slot: 'button' }).all?.hover?.['all']?.fill;
    expect(fill(same, ['hover'])?.value).toEqual(own ?? { role: 'soft' });
    const cleared = run(same, {
      name: 'set-look',
      args: {
        cells: [
          {
            owner: 'book',
            slot: 'button',
            property: 'fill',
            level: 'all',
            state: 'hover',
            band: 'all',
            value: null,
          },
        ],
      },
    });
    expect(fill(cleared, ['hover'])).toEqual({
      value: { role: 'soft' },
      origin: {
        kind: 'look',
        level: 'all',
        state: 'hover',
        band: 'all',
        as: { owner: 'menu-main', slot: 'link' },
      },
    });
  });
  test('go with the part, and circles are refused', () => {
    expect(run(same, { name: 'remove-part', args: { id: 'book' } }).sameLooks).toEqual([]);
    const circle = runEdit(same, {
      name: 'set-same-look',
      args: { owner: 'menu-main', slot: 'link', as: { owner: 'book', slot: 'button' } },
    });
    expect(circle.ok ? '' : circle.error[0]?.code).toBe('circular');
    const raw = {
      ...(JSON.parse(JSON.stringify(same)) as Site),
      sameLooks: [
        ...same.sameLooks,
        { owner: 'menu-main', slot: 'link', as: { owner: 'book', slot: 'button' } },
      ],
    };
    const loaded = loadSite(raw);
    expect(loaded.ok ? [] : loaded.error.map((problem) => problem.code)).toContain('circular');
    expect(
      loadSite({ ...raw, sameLooks: [{ owner: 'gone', slot: 'x', as: { owner: 'book', slot: 'button' } }] })
        .ok,
    ).toBe(false);
  });
});
