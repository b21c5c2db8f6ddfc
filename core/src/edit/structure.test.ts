import { describe, expect, test } from '@jest/globals';
import { DEMO, headerOf, headerParts } from '../../test/demo.ts';
import type { Site } from '../kinds/site.ts';
import { createRow } from '../kinds/sections/row/shape.ts';
import { makePart } from '../kinds/create.ts';
import { foldOf } from '../kinds/folds.ts';
import { resolve } from '../resolve/resolve.ts';
import { runEdit, type Edit } from './operations.ts';

const run = (site: Site, ...edits: Edit[]): Site =>
  edits.reduce((now, edit) => {
    const ran = runEdit(now, edit);
    if (!ran.ok) throw new Error(ran.error[0]?.message);
    return ran.value.site;
  }, site);
const zones = (site: Site) =>
  headerOf(site).rows.map((row) =>
    Object.values(row.zones)
      .map((zone) => zone.map((part) => part.id).join())
      .join(' | '),
  );
/** The band from which the main menu folds. */
const folding = (site: Site) => site.bands[foldOf(site, 'menu-main')?.band ?? -1]?.id;
const size = (site: Site, band: string) =>
  resolve(site, {
    owner: 'menu-main',
    slot: 'link',
    property: 'size',
    level: 1,
    states: [],
    band: site.bands.findIndex((entry) => entry.id === band),
  })?.value;

describe('parts', () => {
  const row = { region: 'row-main.end' } as const;
  test('move within a zone, counting places before they are taken out', () => {
    expect(zones(DEMO)).toEqual(['logo | menu-main | book,opener']);
    expect(
      zones(run(DEMO, { name: 'move-part', args: { id: 'book', place: { ...row, index: 2 } } })),
    ).toEqual(['logo | menu-main | opener,book']);
    expect(
      zones(run(DEMO, { name: 'move-part', args: { id: 'opener', place: { ...row, index: 0 } } })),
    ).toEqual(['logo | menu-main | opener,book']);
    expect(run(DEMO, { name: 'move-part', args: { id: 'book', place: { ...row, index: 1 } } })).toBe(DEMO);
  });
  test('move to other zones, rows and panels, and fold no more there', () => {
    const rows = run(DEMO, {
      name: 'add-section',
      args: { piece: 'header', section: createRow('row-top', 'Top'), index: 0 },
    });
    expect(
      zones(
        run(rows, {
          name: 'move-part',
          args: { id: 'book', place: { region: 'row-top.start', index: 9 } },
        }),
      ),
    ).toEqual(['book |  | ', 'logo | menu-main | opener']);
    const panel = run(DEMO, {
      name: 'move-part',
      args: { id: 'menu-main', place: { region: 'panel-block.parts', index: 0 } },
    });
    expect(zones(panel)).toEqual(['logo |  | book,opener']);
  });
  test('are copied with ids of their own for what is in them', () => {
    const text = makePart('text', 'words', {
      entries: [{ id: 'hours', text: '9 to 17', target: { kind: 'none' }, icon: null }],
    });
    const site = run(
      DEMO,
      { name: 'add-part', args: { place: { ...row, index: 0 }, part: text } },
      { name: 'duplicate-part', args: { id: 'words', copy: 'words-2' } },
    );
    const texts = headerParts(site).filter((part) => part.kind === 'text');
    expect(texts.map((part) => part.id)).toEqual(['words', 'words-2']);
    expect(new Set(texts.flatMap((part) => part.entries.map((entry) => entry.id))).size).toBe(2);
  });
  test('rows go with all in them, and one always stays', () => {
    const rows = run(DEMO, {
      name: 'add-section',
      args: { piece: 'header', section: createRow('row-top', 'Top'), index: 0 },
    });
    expect(zones(run(rows, { name: 'remove-section', args: { id: 'row-main' } }))).toEqual([' |  | ']);
    expect(zones(run(rows, { name: 'move-section', args: { id: 'row-top', index: 5 } }))?.at(-1)).toBe(
      ' |  | ',
    );
    const last = runEdit(DEMO, { name: 'remove-section', args: { id: 'row-main' } });
    expect(last.ok ? '' : last.error[0]?.code).toBe('last');
  });
  test('settings that may be missing come and go', () => {
    const hidden = run(DEMO, { name: 'set-owner', args: { id: 'book', fields: { bands: ['wide'] } } });
    expect(headerParts(hidden).find((part) => part.id === 'book')?.bands).toEqual(['wide']);
    expect(run(hidden, { name: 'set-owner', args: { id: 'book', fields: { bands: null } } })).toEqual(DEMO);
    expect(run(DEMO, { name: 'set-owner', args: { id: 'book', fields: { bands: null } } })).toBe(DEMO);
  });
});

describe('bands', () => {
  const tablet = (min: number): Edit => ({
    name: 'add-band',
    args: { band: { id: 'tablet', name: 'Tablet', min } },
  });
  test('a knot parts a band: what it said holds for both parts', () => {
    const site = run(DEMO, tablet(600));
    expect(site.bands.map((band) => `${band.id} ${band.min}`)).toEqual([
      'wide 1000',
      'tablet 600',
      'phone 0',
    ]);
    expect([size(site, 'wide'), size(site, 'tablet'), size(site, 'phone')]).toEqual([
      size(DEMO, 'wide'),
      size(DEMO, 'phone'),
      size(DEMO, 'phone'),
    ]);
    expect(folding(site)).toBe('tablet');
  });
  test('a knot above the widest band leaves everything as it was', () => {
    const site = run(DEMO, tablet(1400));
    expect(site.bands.map((band) => band.id)).toEqual(['tablet', 'wide', 'phone']);
    expect([size(site, 'tablet'), size(site, 'wide'), size(site, 'phone')]).toEqual([
      size(DEMO, 'wide'),
      size(DEMO, 'wide'),
      size(DEMO, 'phone'),
    ]);
    expect(folding(site)).toBe('phone');
  });
  test('untying a knot gives its widths to the narrower band, and its words where that one is silent', () => {
    const site = run(DEMO, tablet(600), {
      name: 'set-owner',
      args: { id: 'book', fields: { bands: ['wide', 'tablet'] } },
    });
    const joined = run(site, { name: 'remove-band', args: { id: 'tablet' } });
    expect(joined.bands.map((band) => band.id)).toEqual(['wide', 'phone']);
    expect(size(joined, 'phone')).toBe(size(DEMO, 'phone'));
    expect(folding(joined)).toBe('phone');
    expect(headerParts(joined).find((part) => part.id === 'book')?.bands).toEqual(['wide', 'phone']);
    const one = run(DEMO, { name: 'remove-band', args: { id: 'wide' } });
    expect([one.bands.map((band) => band.id), size(one, 'phone')]).toEqual([['phone'], size(DEMO, 'phone')]);
    // What is set for all widths from now on shows.
    const edited = run(one, {
      name: 'set-look',
      args: {
        cells: [
          {
            owner: 'menu-main',
            slot: 'link',
            property: 'size',
            level: 'all',
            state: 'rest',
            band: 'all',
            value: 31,
          },
        ],
      },
    });
    expect(size(edited, 'phone')).toBe(31);
  });
  test('are at most eight, never two at one width', () => {
    const full = Array.from({ length: 6 }, (_, index): Edit => ({
      name: 'add-band',
      args: { band: { id: `b${index}`, name: 'B', min: 300 + index * 20 } },
    }));
    const code = (site: Site, edit: Edit) => {
      const ran = runEdit(site, edit);
      return ran.ok ? '' : ran.error[0]?.code;
    };
    expect(code(run(DEMO, ...full), tablet(800))).toBe('too-many');
    expect(code(DEMO, tablet(1000))).toBe('value');
  });
});

describe('swatches', () => {
  const names = (site: Site) => site.palette.map((swatch) => swatch.name);
  test('move, and those from elsewhere change the ones of their name', () => {
    expect(names(run(DEMO, { name: 'move-swatch', args: { id: 'silt', index: 0 } }))[0]).toBe('Silt');
    const site = run(DEMO, {
      name: 'import-swatches',
      args: {
        swatches: [
          { id: 'x', name: 'REED', value: '#111111' },
          { id: 'dusk', name: 'Dusk', value: '#222222' },
        ],
      },
    });
    expect(site.palette.find((swatch) => swatch.id === 'reed')).toEqual({
      id: 'reed',
      name: 'REED',
      value: '#111111',
    });
    expect(names(site)).toHaveLength(names(DEMO).length + 1);
  });
  test('roles cannot lead to themselves', () => {
    const site = run(DEMO, { name: 'set-role', args: { role: 'line', value: { role: 'ink', alpha: 0.2 } } });
    const circle = runEdit(site, { name: 'set-role', args: { role: 'ink', value: { role: 'line' } } });
    expect(circle.ok ? '' : circle.error[0]?.code).toBe('circular');
  });
});
