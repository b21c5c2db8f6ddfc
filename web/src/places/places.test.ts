import { describe, expect, test } from '@jest/globals';
import { DEMO, DEMO_HEADER, measure } from '../../../core/test/demo.ts';
import { fitLine, itemsOf, property, PROPERTY_GROUPS, runEdit } from '@hamaca/core';
import { cellOf, readSheet, suggestColour } from './bench/sheet/sheet-model.ts';
import { drawRope, ropeY } from './bench/widths/rope.ts';
import { WORDS } from '../words/words.ts';
import { copyBranches, pastedLinks } from './links/outline/clipboard.ts';
import { dropPlace, outlineRows, placeAfter } from './links/outline/outline-rows.ts';
import { pageRows, parseSections } from './links/pages/page-rows.ts';
import { matchTargets } from './links/outline/target-matches.ts';
import { COMMANDS, findCommand, runKeys, type CommandContext } from '../app/commands/commands.ts';
import { sceneMarkup } from '../stage/scenes.ts';

const scene = { id: 's', name: 'S', kind: 'blank', ground: '#ffffff' } as const;
const bench = (owner: string, slot: string, level: 'all' | '1' | '2' = 'all', reach = 'all') => ({
  selected: { owner, slot, level, index: 0 },
  reach,
  openGroups: PROPERTY_GROUPS,
  closedGroups: [],
  filter: '',
});
const idOf = (label: string) =>
  [...itemsOf(DEMO).values()].find((placed) => placed.item.label === label)?.item.id ?? '';

describe('the look sheet', () => {
  const sheet = readSheet(DEMO, bench('menu-main', 'link'), scene);
  const cell = (property: string, state: string, from = sheet) =>
    from?.rows.find((row) => row.property === property)?.cells.find((entry) => entry.cell.state === state);
  test('has a row for each property and a column for each state', () => {
    expect(new Set(sheet?.rows.map((row) => row.property))).toEqual(new Set(sheet?.kind.properties));
    // What is arranged has one value for all states.
    for (const row of sheet?.rows ?? [])
      expect(row.cells.map((entry) => entry.cell.state)).toEqual(
        property(row.property).arranged ? ['rest'] : sheet?.states,
      );
  });
  test('tells own values from inherited ones, and where those come from', () => {
    expect(cell('fill', 'hover')).toMatchObject({ own: true, resolved: { value: { role: 'soft' } } });
    expect(cell('fill', 'focus')).toMatchObject({
      own: false,
      trail: [{ label: 'nothing set', link: null }],
    });
    expect(cell('radius', 'hover')).toMatchObject({ own: false, trail: [{ label: 'all levels, rest' }] });
    expect(cell('fill', 'hover', readSheet(DEMO, bench('menu-main', 'link', '1'), scene))).toMatchObject({
      own: false,
      trail: [{ label: 'all levels, hover' }, { label: 'role soft' }, { label: 'swatch Silt' }],
    });
  });
  test('knows the bands with an exception, and reads a band’s own values', () => {
    expect(cell('size', 'rest')?.exceptions).toEqual(['Phone']);
    expect(cell('radius', 'rest')?.exceptions).toEqual([]);
    expect(
      cell('size', 'rest', readSheet(DEMO, bench('menu-main', 'link', 'all', 'phone'), scene)),
    ).toMatchObject({ own: true, resolved: { value: 18 } });
  });
  test('writes the widest band and narrower as all widths', () => {
    expect([
      cellOf(DEMO, bench('menu-main', 'link', 'all', 'wide'), 'size', 'rest').band,
      cellOf(DEMO, bench('menu-main', 'link', 'all', 'phone'), 'size', 'rest').band,
    ]).toEqual(['all', 'phone']);
  });
  test('judges contrast in each state and suggests a colour that passes', () => {
    expect(sheet?.contrast).toHaveLength(6);
    const edited = runEdit(DEMO, {
      name: 'set-look',
      args: {
        cells: [
          {
            owner: 'menu-main',
            slot: 'link',
            property: 'colour',
            level: 'all',
            state: 'hover',
            band: 'all',
            value: { swatch: 'silt' },
          },
        ],
      },
    });
    const site = edited.ok ? edited.value.site : DEMO;
    const after = readSheet(site, bench('menu-main', 'link'), scene);
    expect(after?.contrast.map((report) => report?.passes)).toEqual([true, true, true, false, true, true]);
    expect(suggestColour(site, bench('menu-main', 'link'), 'hover', scene)).not.toBeNull();
  });
  test('is empty for a slot that is gone', () => {
    expect(readSheet(DEMO, bench('menu-main', 'gone'), scene)).toBeNull();
  });
});

describe('the rope', () => {
  const { segments } = fitLine(DEMO, DEMO_HEADER, { from: 320, to: 1920 }, measure);
  const pieces = drawRope(segments, (width) => (width - 320) / 2, 800);
  test('is one piece a segment, from post to post without a gap', () => {
    expect(pieces.map((piece) => piece.fit)).toEqual(segments.map((segment) => segment.fit));
    expect(pieces[0]?.path.startsWith('M0.0')).toBe(true);
    expect(pieces.every((piece) => !piece.path.includes('NaN'))).toBe(true);
  });
  test('hangs through in the middle and is toothed where the row breaks', () => {
    expect(ropeY(0.5)).toBeGreaterThan(ropeY(0));
    const teeth =
      drawRope([{ from: 320, to: 420, fit: 'breaks' }], (width) => width - 320, 1600)[0]?.path ?? '';
    const heights = [...teeth.matchAll(/ ([\d.]+)/g)].map((match) => Number(match[1]));
    expect(
      heights
        .slice(0, 3)
        .map((height, index, list) => Math.sign((list[index + 1] ?? 0) - height))
        .slice(0, 2),
    ).toEqual([1, -1]);
  });
});

describe('the outline', () => {
  const menu = DEMO.menus[0] ?? { id: '', name: '', items: [] };
  test('hides what is folded away', () => {
    expect(outlineRows(menu, new Set())).toHaveLength(22);
    const rows = outlineRows(menu, new Set([idOf('Visit')]));
    expect(rows).toHaveLength(22 - 7);
    expect(rows[0]).toMatchObject({ folded: true, hasChildren: true, depth: 1 });
  });
  test('knows where a dragged link lands', () => {
    expect(dropPlace(DEMO, [idOf('News')], idOf('Birds'), 'before')).toEqual({
      menu: 'main',
      parent: null,
      index: 1,
    });
    expect(dropPlace(DEMO, [idOf('Visit')], idOf('Birds'), 'after')).toEqual({
      menu: 'main',
      parent: null,
      index: 1,
    });
    expect(dropPlace(DEMO, [idOf('News')], idOf('Learn'), 'inside')).toEqual({
      menu: 'main',
      parent: idOf('Learn'),
      index: 3,
    });
    expect(dropPlace(DEMO, [idOf('Visit')], idOf('North hide'), 'after')).toBeNull();
    expect(dropPlace(DEMO, [idOf('Visit')], 'gone', 'after')).toBeNull();
  });
});

describe('putting things into the outline', () => {
  const menu = DEMO.menus[0] ?? { id: '', name: '', items: [] };
  test('goes behind the caret’s line, or beneath it where it is unfolded', () => {
    expect(placeAfter(DEMO, menu, idOf('News'), new Set())).toEqual({ menu: 'main', parent: null, index: 5 });
    expect(placeAfter(DEMO, menu, idOf('Learn'), new Set())).toEqual({
      menu: 'main',
      parent: idOf('Learn'),
      index: 0,
    });
    expect(placeAfter(DEMO, menu, idOf('Learn'), new Set([idOf('Learn')]))).toEqual({
      menu: 'main',
      parent: null,
      index: 3,
    });
    expect(placeAfter(DEMO, menu, null, new Set())).toEqual({ menu: 'main', parent: null, index: 6 });
  });
  test('targets are found by the words of titles, paths and sections', () => {
    const titles = (typed: string) => matchTargets(DEMO, typed).map((match) => match.title);
    expect(titles('reed')).toEqual(['Trails & hides › Reed hide']);
    expect(titles('train')).toContain('Getting here › By train');
    expect(titles('opens men')[0]).toBe('opens Menu');
    expect(titles('/birds/r')[0]).toBe('Ringing log');
    expect(titles('nothing is called that')).toEqual([]);
  });
  test('pages are shown by view and filter, sections beneath the opened ones', () => {
    const shown = (...args: Parameters<typeof pageRows> extends [unknown, ...infer Rest] ? Rest : never) =>
      pageRows(DEMO, ...args).map((row) => row.section?.id ?? row.page.path);
    expect(shown('unreached', '', new Set())).toEqual([
      '/birds/flamingo-count/',
      '/press/',
      '/visit/picnic-meadow/',
    ]);
    expect(shown('all', 'getting', new Set(['page-visit-getting-here']))).toEqual([
      '/visit/getting-here/',
      'by-train',
      'by-bicycle',
      'car-park',
    ]);
    expect(shown('unlisted', '', new Set())).toEqual([]);
  });
  test('a page that only links tell of is doubtful once others are known from elsewhere', () => {
    const doubtful = (listed: readonly boolean[]) => {
      const pages = DEMO.pages.map((page, index) => ({ ...page, listed: listed[index] ?? false }));
      return pageRows({ ...DEMO, pages }, 'unlisted', '', new Set());
    };
    expect(doubtful([])).toEqual([]);
    const rows = doubtful([true]);
    expect(rows).toHaveLength(DEMO.pages.length - 1);
    expect(rows.every((row) => row.doubtful && !row.page.listed)).toBe(true);
  });
  test('sections are typed as ids with titles; known titles stay', () => {
    expect(parseSections('#a First one, b', [{ id: 'b', title: 'Second' }])).toEqual([
      { id: 'a', title: 'First one' },
      { id: 'b', title: 'Second' },
    ]);
    expect(parseSections('a, a', [])).toContain('twice');
  });
});

describe('the clipboard', () => {
  const clipboard = () => {
    const data = new Map<string, string>();
    return {
      setData: (type: string, value: string) => {
        data.set(type, value);
      },
      getData: (type: string) => data.get(type) ?? '',
    } as unknown as DataTransfer;
  };
  test('holds branches whole for ourselves and as an outline for others', () => {
    const held = clipboard();
    copyBranches(DEMO, [idOf('Learn'), idOf('Courses')], held);
    expect(held.getData('text/plain')).toBe(
      'Learn -> /learn/\n  School days -> /learn/school-days/\n  Guided walks -> /learn/guided-walks/\n  Courses -> /learn/courses/\n',
    );
    expect(held.getData('text/html')).toContain('<a href="/learn/">Learn</a>');
    expect(pastedLinks(DEMO, held)?.links.items).toEqual([DEMO.menus[0]?.items[2]]);
  });
  test('is not trusted: what another page put there as ours is read like any text, or not at all', () => {
    const own = (value: unknown) => {
      const held = clipboard();
      held.setData('application/x-hamaca-links', typeof value === 'string' ? value : JSON.stringify(value));
      return pastedLinks(DEMO, held);
    };
    const link = { id: 'a', label: 'A', target: { kind: 'none' }, children: [] };
    for (const wrong of [
      '{',
      '5',
      'null',
      {},
      { items: 5 },
      { items: [{ ...link, children: null }] },
      { items: [{ ...link, target: { kind: 'url', url: 'javascript:x' } }] },
      { items: [link], icons: [{ id: 'i', name: 'i', svg: '<svg onload=x></svg>', set: null }] },
      { items: [link], pages: [{ id: 'p' }] },
    ])
      expect(own(wrong)).toBeNull();
    expect(own({ items: [link] })).toEqual({ links: { items: [link], pages: [], icons: [] }, notes: [] });
  });
  test('what could not be taken is told, with its reason', () => {
    const held = clipboard();
    held.setData('text/plain', 'Visit -> /visit/\nShop -> javascript:alert(1)\nContact -> /contact/');
    const pasted = pastedLinks(DEMO, held);
    expect(pasted?.links.items).toHaveLength(3);
    expect(pasted?.notes).toHaveLength(1);
    expect(WORDS.pasteNotes(pasted?.notes ?? [])).toMatch(
      /^The links were pasted, with one remark\. “Shop -> javascript:alert\(1\)”: The target was left out: .+\.$/,
    );
  });
  test.each([
    ['lines', 'text/plain', 'Visit /visit\n  Hours', [['Visit', 1]]],
    [
      'a list from a page',
      'text/html',
      '<ul><li><a href="/a">A</a></li><li><a href="/b">B</a></li></ul>',
      [
        ['A', 0],
        ['B', 0],
      ],
    ],
    ['one line', 'text/plain', 'Visit', null],
    ['words from a page', 'text/html', '<b>Visit</b>', null],
  ])('%s', (_name, type, text, expected) => {
    const held = clipboard();
    held.setData(type, text);
    expect(
      pastedLinks(DEMO, held)?.links.items.map((item) => [item.label, item.children.length]) ?? null,
    ).toEqual(expected);
  });
});

describe('commands', () => {
  const visited: string[] = [];
  const context: CommandContext = {
    store: null,
    navigate: (path) => {
      visited.push(path);
    },
    openFinder: () => {
      visited.push('finder');
    },
    openKeys: () => {
      visited.push('keys');
    },
    actions: {
      'links-nest': () => {
        visited.push('nest');
      },
    },
  };
  const press = (
    key: string,
    more: Partial<{ meta: boolean; alt: boolean; shift: boolean; code: string }> = {},
  ) => runKeys({ key, code: '', meta: false, alt: false, shift: false, ...more }, context);
  test('have ids of their own and keys that do not collide', () => {
    const ids = COMMANDS.map((command) => command.id);
    const keys = COMMANDS.flatMap((command) => command.keys ?? []);
    expect(new Set(ids).size).toBe(ids.length);
    expect(new Set(keys).size).toBe(keys.length);
    expect(() => findCommand('gone')).toThrow();
  });
  test('run by their keys where they can be used, and else do nothing', () => {
    expect(press('k', { meta: true })).toBe(true);
    expect(press('0', { alt: true, code: 'Digit0' })).toBe(true);
    expect(press('z', { meta: true })).toBe(false);
    expect(press('q', { meta: true })).toBe(false);
    expect(visited).toEqual(['finder', '/']);
  });
});

test('every kind of scene has its own ground', () => {
  for (const kind of ['blank', 'article', 'picture'] as const)
    expect(sceneMarkup({ ...scene, kind, ground: '#123456' })).toContain('background:#123456');
});
