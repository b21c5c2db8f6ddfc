import { describe, expect, test } from '@jest/globals';
import { ownersOf, PROPERTY_IDS, slotsOf } from '@hamaca/core';
import { DEMO } from '../../../../core/test/demo.ts';
import { benchStore } from '../../store/bench-store.ts';
import type { SiteStore } from '../../store/site-store.ts';
import { COMMANDS, type CommandContext } from './commands.ts';
import { everythingToFind, find } from './finds.ts';

const history = { undo: [], redo: [] };
const gone: string[] = [];
const context: CommandContext = {
  store: { getState: () => ({ id: 'marisma', site: DEMO, history }) } as unknown as SiteStore,
  navigate: (path) => gone.push(path),
  openFinder: () => undefined,
  openKeys: () => undefined,
  actions: {},
};
const everything = everythingToFind(context);
const first = (typed: string) => find(everything, typed)[0];
const labels = (typed: string) => find(everything, typed).map(({ label }) => label);

describe('the finder', () => {
  test('knows every owner, property, menu and page of the site, each once', () => {
    const ids = everything.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const { id, kind } of ownersOf(DEMO).values())
      if (Object.keys(slotsOf(kind)).length > 0) expect(ids).toContain(`owner ${id}`);
    for (const id of PROPERTY_IDS) expect(ids).toContain(`property ${id}`);
    for (const { id } of DEMO.menus) expect(ids).toContain(`menu ${id}`);
    for (const { id } of DEMO.pages) expect(ids).toContain(`page ${id}`);
  });
  test('with nothing typed shows what can be done, and nothing that cannot', () => {
    const ids = find(everything, '  ').map(({ id }) => id);
    expect(ids).toContain('go-hand-off');
    expect(ids).not.toContain('undo');
    expect(ids).not.toContain('bench-spread');
    expect(ids.every((id) => COMMANDS.some((command) => command.id === id))).toBe(true);
  });
  test.each([
    ['export', 'Go to Hand-off'],
    ['accessibility', 'Go to Checks'],
    ['fonts', 'Go to Palette'],
    ['hamburger', 'Opener'],
    ['dropdown', 'Submenu box'],
    ['chevron', 'Marker'],
    ['logo', 'Logo'],
    ['masthead', 'Header'],
    ['brand', 'Logo'],
    ['sticky', 'While scrolling'],
    ['rounded', 'Radius'],
    ['letter-spacing', 'Letter space'],
    ['background', 'Fill'],
    ['tower hide', 'Tower hide'],
  ])('%s leads to %s', (typed, label) => {
    expect(labels(typed).slice(0, 6)).toContain(label);
  });
  test('names come before other words, all words count, and nonsense finds nothing', () => {
    expect(first('hand')?.id).toBe('go-hand-off');
    expect(first('border beneath')?.label).toBe('Border beneath');
    expect(find(everything, 'zzz quux')).toEqual([]);
    expect(find(everything, 'e').length).toBe(40);
  });
  test('a slot is opened on its piece’s bench, a property filtered out of the sheet', () => {
    first('dropdown')?.run(context);
    expect(gone.at(-1)).toBe('/sites/marisma/bench/header');
    expect(benchStore.getState().selected).toMatchObject({ owner: 'menu-main', slot: 'submenu', level: '2' });
    (globalThis as { location?: unknown }).location = { pathname: '/sites/marisma/bench/header' };
    const before = gone.length;
    first('letter-spacing')?.run(context);
    expect([benchStore.getState().filter, gone.length]).toEqual(['letter space', before]);
  });
});
