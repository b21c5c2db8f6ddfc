import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../test/demo.ts';
import type { Site } from '../document/site.ts';
import { createButton } from '../document/parts/button.ts';
import { NO_TARGET } from '../document/target.ts';
import { itemsOf, ownersOf } from '../document/walk.ts';
import { loadSite } from '../load/load-site.ts';
import { resolve } from '../resolve/resolve.ts';
import { recordChange, redoChange, replayHistory, undoChange, EMPTY_HISTORY, type Change } from './history.ts';
import { applyPatch } from './json-patch.ts';
import { stepPlace } from './operations/menu.ts';
import { swatchUses } from './operations/palette.ts';
import { applyCheckedPatch, OPERATIONS, runEdit, type Edit, type OperationName } from './operations.ts';

const run = (site: Site, edit: Edit) => {
  const ran = runEdit(site, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value;
};
const refusal = (edit: Edit, site: Site = DEMO) => {
  const ran = runEdit(site, edit);
  return ran.ok ? null : (ran.error[0]?.code ?? '');
};
const labels = (site: Site, parent: string | null = null) => (parent === null ? site.menus[0]?.items : itemsOf(site).get(parent)?.item.children)?.map((item) => item.label);
const idOf = (label: string, site: Site = DEMO) => [...itemsOf(site).values()].find((placed) => placed.item.label === label)?.item.id ?? '';
const cell = { owner: 'menu-main', slot: 'link', property: 'colour', level: 'all', state: 'hover', band: 'all' } as const;
const item = { id: 'new', label: 'Shop', target: NO_TARGET, children: [] };
const top = { menu: 'main', parent: null, index: 0 };

/** For every operation an edit that works and one that must be refused: a new operation without samples fails here. */
const SAMPLES: Readonly<Record<OperationName, { works: Edit; refused: Edit | null }>> = {
  'set-look': { works: { name: 'set-look', args: { cells: [{ ...cell, value: { swatch: 'reed' } }] } }, refused: { name: 'set-look', args: { cells: [{ ...cell, owner: 'gone', value: null }] } } },
  'add-item': { works: { name: 'add-item', args: { place: top, item } }, refused: { name: 'add-item', args: { place: { ...top, menu: 'gone' }, item } } },
  'set-item': { works: { name: 'set-item', args: { id: idOf('News'), label: 'Latest' } }, refused: { name: 'set-item', args: { id: 'gone', label: 'x' } } },
  'remove-items': { works: { name: 'remove-items', args: { ids: [idOf('Visit'), idOf('Opening hours'), idOf('News')] } }, refused: null },
  'move-item': { works: { name: 'move-item', args: { id: idOf('News'), place: top } }, refused: { name: 'move-item', args: { id: idOf('Visit'), place: { menu: 'main', parent: idOf('Opening hours'), index: 0 } } } },
  'set-menu-name': { works: { name: 'set-menu-name', args: { id: 'main', name: 'Top' } }, refused: { name: 'set-menu-name', args: { id: 'gone', name: 'x' } } },
  'set-swatch': { works: { name: 'set-swatch', args: { id: 'reed', value: '#123456', name: 'Rush' } }, refused: { name: 'set-swatch', args: { id: 'reed', value: 'reddish' } } },
  'add-swatch': { works: { name: 'add-swatch', args: { swatch: { id: 'dusk', name: 'Dusk', value: '#444' } } }, refused: { name: 'add-swatch', args: { swatch: { id: 'reed', name: 'x', value: '#444' } } } },
  'remove-swatch': { works: { name: 'remove-swatch', args: { id: 'unused' } }, refused: { name: 'remove-swatch', args: { id: 'reed' } } },
  'set-role': { works: { name: 'set-role', args: { role: 'accent', value: { swatch: 'marsh-light' } } }, refused: { name: 'set-role', args: { role: 'accent', value: { swatch: 'gone' } } } },
  'set-band-start': { works: { name: 'set-band-start', args: { id: 'wide', min: 880 } }, refused: { name: 'set-band-start', args: { id: 'phone', min: 5 } } },
  'set-band-name': { works: { name: 'set-band-name', args: { id: 'phone', name: 'Hand' } }, refused: { name: 'set-band-name', args: { id: 'gone', name: 'x' } } },
  'set-site': { works: { name: 'set-site', args: { name: 'Marisma', direction: 'rtl' } }, refused: null },
  'set-owner': { works: { name: 'set-owner', args: { id: 'logo', fields: { text: 'ML' } } }, refused: { name: 'set-owner', args: { id: 'logo', fields: { kind: 'menu' } } } },
  'set-type-style': { works: { name: 'set-type-style', args: { id: 'menu', fields: { size: 17 } } }, refused: { name: 'set-type-style', args: { id: 'gone', fields: {} } } },
  'add-part': { works: { name: 'add-part', args: { place: { row: 'row-main', zone: 'end', index: 9 }, part: createButton('give', 'Give', NO_TARGET) } }, refused: { name: 'add-part', args: { place: { row: 'gone', zone: 'end', index: 0 }, part: createButton('give', 'Give', NO_TARGET) } } },
  'remove-part': { works: { name: 'remove-part', args: { id: 'book' } }, refused: { name: 'remove-part', args: { id: 'row-main' } } },
};

describe('every edit', () => {
  const start = run(DEMO, { name: 'add-swatch', args: { swatch: { id: 'unused', name: 'Unused', value: '#abc' } } }).site;
  test.each(Object.keys(OPERATIONS) as OperationName[])('%s changes a valid site into a valid one, and its inverse leads back', (name) => {
    const { site, patch, inverse } = run(start, SAMPLES[name].works);
    expect(patch.length).toBeGreaterThan(0);
    expect(site).not.toEqual(start);
    expect(loadSite(JSON.parse(JSON.stringify(site))).ok).toBe(true);
    const back = applyPatch(site, inverse);
    expect(back.ok && back.value.document).toEqual(start);
    const { refused } = SAMPLES[name];
    if (refused) expect(refusal(refused)).toBeTruthy();
  });
});

describe('links', () => {
  test('move by steps: up, down, in and out, with their branches', () => {
    const step = (site: Site, label: string, direction: 'up' | 'down' | 'in' | 'out') => {
      const place = stepPlace(site, idOf(label), direction);
      return place ? run(site, { name: 'move-item', args: { id: idOf(label), place } }).site : null;
    };
    expect(labels(step(DEMO, 'Birds', 'up') ?? DEMO)).toEqual(['Birds', 'Visit', 'Learn', 'Join in', 'News', 'Contact']);
    expect(labels(step(DEMO, 'Visit', 'down') ?? DEMO)).toEqual(['Birds', 'Visit', 'Learn', 'Join in', 'News', 'Contact']);
    expect(labels(step(DEMO, 'News', 'in') ?? DEMO, idOf('Join in'))).toEqual(['Membership', 'Volunteer', 'Give', 'News']);
    expect(labels(step(DEMO, 'Give', 'out') ?? DEMO)).toEqual(['Visit', 'Birds', 'Learn', 'Join in', 'Give', 'News', 'Contact']);
    expect([step(DEMO, 'Visit', 'up'), step(DEMO, 'Contact', 'down'), step(DEMO, 'Visit', 'in'), step(DEMO, 'Visit', 'out')]).toEqual([null, null, null, null]);
  });
  test('are removed with their branch; removing parent and child at once is no error', () => {
    expect(itemsOf(run(DEMO, SAMPLES['remove-items'].works).site).size).toBe(22 - 8 - 1);
  });
  test('cannot be nested deeper than the limit', () => {
    let site = DEMO;
    let parent: string | null = null;
    let refused = null;
    for (let depth = 1; depth <= 40 && refused === null; depth++) {
      const edit: Edit = { name: 'add-item', args: { place: { menu: 'main', parent, index: 0 }, item: { ...item, id: `deep${depth}` } } };
      refused = refusal(edit, site);
      if (refused === null) site = run(site, edit).site;
      else expect(depth).toBe(33);
      parent = `deep${depth}`;
    }
    expect(refused).toBe('too-deep');
  });
});

describe('looks', () => {
  const set = (site: Site, value: { swatch: string } | null, band = 'all') => run(site, { name: 'set-look', args: { cells: [{ ...cell, state: 'pressed', band, value }] } }).site;
  test('clearing the last value removes the empty objects around it', () => {
    const filled = set(DEMO, { swatch: 'reed' });
    expect(ownersOf(filled).get('menu-main')?.look['link']?.all?.pressed).toEqual({ all: { colour: { swatch: 'reed' } } });
    expect(set(filled, null)).toEqual(DEMO);
  });
  test('the widest band and narrower is all widths', () => {
    expect(ownersOf(set(DEMO, { swatch: 'reed' }, 'wide')).get('menu-main')?.look['link']?.all?.pressed).toEqual({ all: { colour: { swatch: 'reed' } } });
  });
  test('clearing what is not there changes nothing', () => {
    expect(runEdit(DEMO, { name: 'set-look', args: { cells: [{ ...cell, state: 'pressed', value: null }] } })).toMatchObject({ ok: true, value: { patch: [], inverse: [] } });
  });
  test('a value of the wrong kind is refused', () => {
    expect(refusal({ name: 'set-look', args: { cells: [{ ...cell, value: 5 }] } })).toBe('value');
  });
});

test('a breakpoint stays within its bounds', () => {
  const start = (min: number) => run(DEMO, { name: 'set-band-start', args: { id: 'wide', min } }).site.bands[0]?.min;
  expect([start(-5), start(700.4), start(99_999)]).toEqual([200, 700, 2400]);
});

test('uses of a swatch are counted in roles and looks', () => {
  expect(swatchUses(DEMO, 'reed')).toBe(2);
  expect(swatchUses(DEMO, 'silt')).toBe(1);
});

test('a patch from outside is validated as a whole', () => {
  expect(applyCheckedPatch(DEMO, [{ op: 'replace', path: '/name', value: 'X' }]).ok).toBe(true);
  const broken = applyCheckedPatch(DEMO, [{ op: 'remove', path: '/palette/1' }]);
  expect(broken.ok ? [] : new Set(broken.error.map((problem) => problem.code))).toEqual(new Set(['unknown-reference']));
});

describe('history', () => {
  const change = (label: string): Change => ({ kind: 'edit', label, patch: [{ op: 'replace', path: '/name', value: label }], inverse: [{ op: 'replace', path: '/name', value: 'before' }] });
  test('undo and redo walk back and forth; an edit ends what could be redone', () => {
    let history = replayHistory([change('a'), change('b')]);
    const undo = undoChange(history);
    expect(undo).toMatchObject({ kind: 'undo', label: 'b' });
    history = recordChange(history, undo ?? change('x'));
    expect(history.undo.map((entry) => entry.label)).toEqual(['a']);
    const redo = redoChange(history);
    expect(redo).toMatchObject({ kind: 'redo', label: 'b', patch: change('b').patch });
    expect(recordChange(history, redo ?? change('x')).undo.map((entry) => entry.label)).toEqual(['a', 'b']);
    expect(recordChange(history, change('c')).redo).toEqual([]);
  });
  test('nothing to undo is null', () => { expect([undoChange(EMPTY_HISTORY), redoChange(EMPTY_HISTORY)]).toEqual([null, null]); });
  test('a real edit is undone and redone by the log alone', () => {
    const first = run(DEMO, SAMPLES['set-swatch'].works);
    const log: Change[] = [{ kind: 'edit', label: 'swatch', patch: first.patch, inverse: first.inverse }];
    const undo = undoChange(replayHistory(log));
    const undone = applyPatch(first.site, undo?.patch ?? []);
    expect(undone.ok && undone.value.document).toEqual(DEMO);
    expect(resolve(first.site, { owner: 'menu-main', slot: 'link', property: 'colour', level: 1, states: ['current'], band: 0 })?.value).toEqual({ role: 'accent' });
  });
});
