import { describe, expect, test } from '@jest/globals';
import { staying } from '../../../../core/test/staying.ts';
import { DEMO, DEMO_HEADER } from '../../../../core/test/demo.ts';
import {
  isPropertyId,
  makePart,
  property,
  PROPERTY_IDS,
  type CellValue,
  NETWORKS,
  ownersOf,
  PARTS,
  regionsOf,
  runEdit,
  type Edit,
  type Scene,
  type Site,
} from '@hamaca/core';
import { readFileSync } from 'node:fs';
import { dropAt, placeOf, placesOf, stepPlace } from './outline/part-moves.ts';
import type { StageBox } from '../../stage/frame/protocol.ts';
import { bringing, clearRange, copyLook, pasteRange, rangeText } from './sheet/sheet-edits.ts';
import { rangeOf, readSheet, shownStates, type Sheet } from './sheet/sheet-model.ts';
import { newParts } from './outline/part-kinds.ts';

const scene: Scene = { id: 's', name: 'S', kind: 'blank', ground: '#ffffff' };
const view = (owner: string, slot: string, more: Partial<Parameters<typeof readSheet>[1]> = {}) => ({
  selected: { owner, slot, level: 'all' as const, index: 0 },
  reach: 'all',
  openGroups: [],
  closedGroups: [],
  filter: '',
  ...more,
});
const run = (site: Site, edit: Edit | null): Site => {
  const ran = edit ? runEdit(site, edit) : null;
  if (ran && !ran.ok) throw new Error(ran.error[0]?.message);
  return ran ? ran.value.site : site;
};
const ids = (sheet: Sheet | null) => sheet?.rows.map((row) => row.property);

describe('what a value does nothing without', () => {
  const cell = { owner: 'menu-main', slot: 'link', level: '1', state: 'hover', band: 'all' } as const;
  const grows: CellValue = { ...cell, property: 'markFrom', value: 'from the start' };
  test('comes along, at rest, where nobody has said anything about it', () => {
    const still = run(DEMO, {
      name: 'set-look',
      args: {
        cells: (['all', '1'] as const).map((level) => ({
          ...cell,
          level,
          state: 'rest' as const,
          property: 'motionTime' as const,
          value: null,
        })),
      },
    });
    expect(bringing(still, [grows])).toEqual([
      grows,
      { ...cell, state: 'rest', property: 'motionTime', value: 200 },
    ]);
    const once = bringing(still, [grows, { ...grows, state: 'focus' }]);
    expect(once.filter(({ property }) => property === 'motionTime')).toHaveLength(1);
    const timed = run(still, {
      name: 'set-look',
      args: { cells: [{ ...cell, state: 'rest', property: 'motionTime', value: 90 }] },
    });
    expect(bringing(timed, [grows])).toEqual([grows]);
  });
  test('stays away where the value is none, or the usual one', () => {
    expect(bringing(DEMO, [{ ...grows, value: null }])).toHaveLength(1);
    expect(bringing(DEMO, [{ ...grows, value: 'at once' }])).toHaveLength(1);
  });
  test('what is named as related or brought is a property, and another one', () => {
    for (const id of PROPERTY_IDS) {
      const { related = [], brings = {} } = property(id);
      for (const other of [...related, ...Object.keys(brings)]) {
        expect(isPropertyId(other)).toBe(true);
        expect(other).not.toBe(id);
      }
    }
  });
});

describe('which rows the sheet shows', () => {
  const link = readSheet(DEMO, view('menu-main', 'link'), scene);
  test('the common ones and those with a value; the rest is counted', () => {
    expect(ids(link)).toEqual(expect.arrayContaining(['colour', 'family', 'size', 'fill', 'paddingInline']));
    expect(ids(link)).not.toContain('wordSpace');
    const total = (link?.groups ?? []).reduce((sum, group) => sum + group.rows.length + group.hidden, 0);
    expect(total).toBe(link?.kind.properties.length);
    expect(link?.groups.find((group) => group.group === 'text')?.hidden).toBeGreaterThan(3);
  });
  test('a group that is opened shows all of it, and a value brings its row', () => {
    expect(ids(readSheet(DEMO, view('menu-main', 'link', { openGroups: ['text'] }), scene))).toContain(
      'wordSpace',
    );
    const spaced = run(DEMO, {
      name: 'set-look',
      args: {
        cells: [
          {
            owner: 'menu-main',
            slot: 'link',
            property: 'wordSpace',
            level: '2',
            state: 'rest',
            band: 'all',
            value: 2,
          },
        ],
      },
    });
    expect(ids(readSheet(spaced, view('menu-main', 'link'), scene))).toContain('wordSpace');
  });
  test('the filter finds by label, CSS name and hint, and nothing else', () => {
    expect(ids(readSheet(DEMO, view('menu-main', 'link', { filter: 'letter-spacing' }), scene))).toEqual([
      'tracking',
    ]);
    expect(ids(readSheet(DEMO, view('menu-main', 'link', { filter: 'border beneath' }), scene))).toEqual([
      'lineBottom',
    ]);
    expect(ids(readSheet(DEMO, view('menu-main', 'link', { filter: 'zzz' }), scene))).toEqual([]);
  });
  test('a group that is folded shows its heading alone, but whoever looks for a property finds it', () => {
    const folded = readSheet(DEMO, view('menu-main', 'link', { closedGroups: ['text'] }), scene);
    expect(ids(folded)).not.toContain('colour');
    expect(ids(folded)).toContain('fill');
    expect(folded?.groups[0]).toMatchObject({ group: 'text', closed: true, rows: [] });
    const found = view('menu-main', 'link', { closedGroups: ['text'], filter: 'letter-spacing' });
    expect(ids(readSheet(DEMO, found, scene))).toEqual(['tracking']);
  });
  test('a header that does not stay is never scrolled', () => {
    const kind = link?.kind;
    if (!kind) throw new Error('no sheet');
    expect(shownStates(DEMO, 'menu-main', kind)).not.toContain('scrolled');
    const stays = run(DEMO, staying());
    expect(shownStates(stays, 'menu-main', kind)).toContain('scrolled');
  });
});

describe('ranges of cells', () => {
  const sheet = readSheet(DEMO, view('menu-main', 'link'), scene) as Sheet;
  const range = rangeOf(sheet, { property: 'size', state: 'current' }, { property: 'family', state: 'rest' });
  test('are what lies between two corners, whichever comes first', () => {
    expect(range.map((row) => row.map((cell) => `${cell.cell.property} ${cell.cell.state}`))).toEqual([
      ['family rest', 'family current'],
      ['size rest', 'size current'],
    ]);
    expect(rangeText(DEMO, range)).toBe('Figtree\tFigtree\n16\t16');
  });
  test('take text line by line, one text for all, and tell what does not fit', () => {
    const site = run(DEMO, pasteRange(DEMO, 'Karla\tKarla\r\n17\t18\n', range).edit);
    const after = readSheet(site, view('menu-main', 'link'), scene) as Sheet;
    expect(
      rangeText(
        site,
        rangeOf(after, { property: 'family', state: 'rest' }, { property: 'size', state: 'current' }),
      ),
    ).toBe('Karla\tKarla\n17\t18');
    const wrong = pasteRange(DEMO, '17', range);
    expect(wrong.refused).toHaveLength(2);
    expect(run(DEMO, wrong.edit)).not.toBe(DEMO);
    expect(pasteRange(DEMO, 'nonsense', range)).toMatchObject({ edit: null, refused: { length: 4 } });
    expect(
      clearRange(
        rangeOf(after, { property: 'family', state: 'rest' }, { property: 'size', state: 'current' }),
      ),
    ).not.toBeNull();
    expect(clearRange([])).toBeNull();
  });
  test('a whole look goes to another slot as far as that one can wear it', () => {
    const lookOf = (ref: { owner: string; slot: string }) =>
      ownersOf(DEMO).get(ref.owner)?.look[ref.slot] ?? {};
    const site = run(
      DEMO,
      copyLook(
        DEMO,
        { owner: 'menu-main', slot: 'link' },
        'all',
        { owner: 'book', slot: 'button' },
        'all',
        lookOf,
      ),
    );
    const look = ownersOf(site).get('book')?.look['button']?.all;
    expect(look?.hover?.['all']?.fill).toEqual({ role: 'soft' });
    expect(look).not.toHaveProperty('current');
    expect(
      copyLook(
        DEMO,
        { owner: 'menu-main', slot: 'link' },
        'all',
        { owner: 'gone', slot: 'x' },
        'all',
        lookOf,
      ),
    ).toBeNull();
  });
});

describe('moving parts', () => {
  test('step by step through every region, to both ends', () => {
    expect(placesOf(DEMO, DEMO_HEADER)).toHaveLength(7);
    expect(placeOf(DEMO, 'book')).toEqual({ region: 'row-main.end', index: 0 });
    expect(placeOf(DEMO, 'row-main')).toBeNull();
    let site = DEMO;
    const seen: string[] = [];
    for (let step = 0; step < 9; step++) {
      const place = stepPlace(site, 'logo', 'after');
      if (!place) break;
      site = run(site, { name: 'move-part', args: { id: 'logo', place } });
      const at = placeOf(site, 'logo');
      seen.push(`${at?.region} ${at?.index}`);
    }
    expect(seen).toEqual([
      'row-main.middle 0',
      'row-main.middle 1',
      'row-main.end 0',
      'row-main.end 1',
      'row-main.end 2',
    ]);
  });
  const boxes: StageBox[] = [
    { owner: 'row-main', left: 0, right: 1000, top: 0, bottom: 60 },
    { owner: 'logo', left: 20, right: 120, top: 10, bottom: 50 },
    { owner: 'menu-main', left: 300, right: 700, top: 10, bottom: 50 },
    { owner: 'book', left: 880, right: 980, top: 10, bottom: 50 },
  ];
  test.each([
    [30, 'start', 0],
    [110, 'start', 1],
    [200, 'start', 1],
    [320, 'middle', 0],
    [690, 'middle', 1],
    [740, 'middle', 1],
    [800, 'end', 0],
    [990, 'end', 2],
  ])('let go at %i px', (x, zone, index) => {
    expect(dropAt(DEMO, boxes, x, 30)?.place).toEqual({ region: `row-main.${zone}`, index });
  });
  test('above and below the rows the nearest counts; without boxes nothing does', () => {
    expect(dropAt(DEMO, boxes, 30, -20)?.place.region).toBe('row-main.start');
    expect(dropAt(DEMO, boxes, 30, 500)?.place.region).toBe('row-main.start');
    expect(dropAt(DEMO, [], 30, 30)).toBeNull();
  });
  test('in a panel over the page parts stand beneath one another', () => {
    const open: StageBox[] = [
      ...boxes,
      { owner: 'panel-block', left: 660, right: 1000, top: 0, bottom: 500 },
    ];
    const stacked = run(DEMO, {
      name: 'add-part',
      args: { place: { region: 'panel-block.parts', index: 1 }, part: makePart('rule', 'line') },
    });
    const drawn = [...open, { owner: 'line', left: 680, right: 980, top: 300, bottom: 302 }];
    expect(dropAt(stacked, drawn, 800, 290)?.place).toEqual({ region: 'panel-block.parts', index: 1 });
    expect(dropAt(stacked, drawn, 800, 400)?.place).toEqual({ region: 'panel-block.parts', index: 2 });
    expect(dropAt(stacked, drawn, 30, 30)?.place.region).toBe('row-main.start');
  });
});

describe('new parts', () => {
  const regionOf = (site: Site, id: string) => {
    const region = regionsOf(site).get(id);
    if (!region) throw new Error(`no region ${id}`);
    return region;
  };
  const reasons = (site: Site, region: string) =>
    Object.fromEntries(newParts(site, regionOf(site, region)).map(({ kind, refused }) => [kind, refused]));
  test('every kind is offered in every region, a berth in panels and a ring in floating menus alone', () => {
    const kinds = PARTS.map((kind) => kind.id);
    expect(Object.keys(reasons(DEMO, 'row-main.end'))).toEqual(
      kinds.filter((kind) => kind !== 'berth' && kind !== 'ring'),
    );
    expect(Object.keys(reasons(DEMO, 'panel-block.parts'))).toEqual(kinds.filter((kind) => kind !== 'ring'));
    expect(Object.values(reasons(DEMO, 'panel-block.parts')).every((reason) => reason === null)).toBe(true);
  });
  test('one is refused only where it would show nothing', () => {
    expect(reasons({ ...DEMO, menus: [] }, 'row-main.end')['menu']).toContain('no menu');
    expect(reasons({ ...DEMO, pieces: [DEMO_HEADER] }, 'row-main.end')['opener']).toContain('no panel');
  });
  test('the icons of networks are in the library', () => {
    const library = JSON.parse(
      readFileSync(
        new URL('../../../../node_modules/@iconify-json/tabler/icons.json', import.meta.url),
        'utf8',
      ),
    ) as { icons: object };
    for (const network of NETWORKS) expect(library.icons).toHaveProperty([network.icon]);
  });
});
