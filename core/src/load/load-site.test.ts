import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { compilePage, DEMO, rawDemo } from '../../test/demo.ts';
import { migrate, FORMAT_VERSION, MIGRATIONS } from '../migrate/migrate.ts';
import { loadSite, parseSiteFile } from './load-site.ts';
import { placedParts } from '../kinds/placed.ts';
import { printSiteFile } from './print-site.ts';

const refused = (raw: unknown) => {
  const loaded = loadSite(raw);
  if (loaded.ok) throw new Error('it was accepted');
  return loaded.error;
};

describe('loading a site', () => {
  test('the demo reads, prints and reads back the same', () => {
    const again = parseSiteFile(printSiteFile(DEMO));
    expect(again).toEqual({ ok: true, value: DEMO });
  });

  type Break = readonly [what: string, path: string, spoil: (site: ReturnType<typeof rawDemo>) => void];
  const breaks: readonly Break[] = [
    [
      'an unknown key',
      '',
      (site) => {
        site.extra = 1;
      },
    ],
    [
      'a name that is no text',
      '/name',
      (site) => {
        site.name = 5;
      },
    ],
    [
      'a url of another scheme',
      '/url',
      (site) => {
        site.url = 'ftp://x';
      },
    ],
    [
      'a swatch that is no colour',
      '/palette/1/value',
      (site) => {
        site.palette[1].value = 'reddish';
      },
    ],
    [
      'a role without a colour',
      '/roles/ink',
      (site) => {
        delete site.roles.ink;
      },
    ],
    [
      'a role with an unknown swatch',
      '/roles/ink/swatch',
      (site) => {
        site.roles.ink = { swatch: 'gone' };
      },
    ],
    [
      'roles in a circle',
      '/roles/ink',
      (site) => {
        site.roles.ink = { role: 'soft' };
        site.roles.soft = { role: 'ink' };
      },
    ],
    [
      'an unknown family',
      '/typeStyles/0/family',
      (site) => {
        site.typeStyles[0].family = 'comic';
      },
    ],
    [
      'bands out of order',
      '/bands/0/min',
      (site) => {
        site.bands[0].min = 0;
      },
    ],
    [
      'a narrowest band that starts late',
      '/bands/1/min',
      (site) => {
        site.bands[1].min = 5;
      },
    ],
    [
      'a target of an unknown kind',
      '/menus/0/items/0/target',
      (site) => {
        site.menus[0].items[0].target = { kind: 'portal' };
      },
    ],
    [
      'a script as a target',
      '/menus/0/items/5/target/url',
      (site) => {
        site.menus[0].items[5].target = { kind: 'url', url: 'javascript:alert(1)' };
      },
    ],
    [
      'a target page that is gone',
      '/menus/0/items/0/target/page',
      (site) => {
        site.menus[0].items[0].target.page = 'nowhere';
      },
    ],
    [
      'two links of one id',
      '/menus/0/items/1/id',
      (site) => {
        site.menus[0].items[1].id = site.menus[0].items[0].id;
      },
    ],
    [
      'a label that is too long',
      '/menus/0/items/0/label',
      (site) => {
        site.menus[0].items[0].label = 'x'.repeat(501);
      },
    ],
    [
      'a piece of an unknown kind',
      '/pieces/0',
      (site) => {
        site.pieces[0].kind = 'carousel';
      },
    ],
    [
      'an opener to nowhere',
      '/pieces/0/rows/0/zones/end/1/panel',
      (site) => {
        site.pieces[0].rows[0].zones.end[1].panel = 'x';
      },
    ],
    [
      'a fold at no band',
      '/pieces/0/rows/0/zones/middle/0/folds/from',
      (site) => {
        site.pieces[0].rows[0].zones.middle[0].folds.from = 'x';
      },
    ],
    [
      'a look for an unknown slot',
      '/pieces/0/look/rim',
      (site) => {
        site.pieces[0].look = { rim: {} };
      },
    ],
    [
      'a look in an unknown state',
      '/pieces/0/look/bar/all/asleep',
      (site) => {
        site.pieces[0].look = { bar: { all: { asleep: {} } } };
      },
    ],
    [
      'a look at an unknown level',
      '/pieces/0/look/bar/4',
      (site) => {
        site.pieces[0].look = { bar: { 4: {} } };
      },
    ],
    [
      'a look in a band that is gone',
      '/pieces/0/look/bar/all/rest/watch',
      (site) => {
        site.pieces[0].look = { bar: { all: { rest: { watch: {} } } } };
      },
    ],
    [
      'a look of a property the slot has not',
      '/pieces/0/look/bar/all/rest/all/size',
      (site) => {
        site.pieces[0].look = { bar: { all: { rest: { all: { size: 1 } } } } };
      },
    ],
    [
      'a value out of bounds',
      '/pieces/0/rows/0/look/row/all/rest/all/height',
      (site) => {
        site.pieces[0].rows[0].look.row.all.rest.all.height = 9000;
      },
    ],
    [
      'a look with an unknown swatch',
      '/pieces/0/look/bar/all/rest/all/fill/swatch',
      (site) => {
        site.pieces[0].look = { bar: { all: { rest: { all: { fill: { swatch: 'gone' } } } } } };
      },
    ],
    [
      'SVG with a script',
      '/pieces/0/rows/0/zones/start/0/svg',
      (site) => {
        site.pieces[0].rows[0].zones.start[0].svg = '<svg><script/></svg>';
      },
    ],
    [
      'a link of an unknown role',
      '/menus/0/items/0/role',
      (site) => {
        site.menus[0].items[0].role = 'hero';
      },
    ],
    [
      'a link with an unknown key',
      '/menus/0/items/0',
      (site) => {
        site.menus[0].items[0].onclick = 'x';
      },
    ],
    [
      'a link with a picture that runs',
      '/menus/0/items/0/image',
      (site) => {
        site.menus[0].items[0].image = 'data:image/svg+xml,<svg onload=1>';
      },
    ],
    [
      'a link with classes that break out',
      '/menus/0/items/0/className',
      (site) => {
        site.menus[0].items[0].className = 'a" onclick="x';
      },
    ],
    [
      'a link with an icon that is gone',
      '/menus/0/items/0/icon',
      (site) => {
        site.menus[0].items[0].icon = 'gone';
      },
    ],
    [
      'a link in a band that is gone',
      '/menus/0/items/0/bands/0',
      (site) => {
        site.menus[0].items[0].bands = ['watch'];
      },
    ],
    [
      'a link to a panel that is gone',
      '/menus/0/items/0/target/panel',
      (site) => {
        site.menus[0].items[0].target = { kind: 'panel', panel: 'gone' };
      },
    ],
    [
      'links that are no list',
      '/menus/0/items/0/children',
      (site) => {
        site.menus[0].items[0].children = {};
      },
    ],
    [
      'an icon with a script',
      '/icons/0/svg',
      (site) => {
        site.icons = [{ id: 'i', name: 'i', svg: '<svg onload=1></svg>', set: null }];
      },
    ],
    [
      'a page without a path',
      '/pages/0/path',
      (site) => {
        site.pages[0].path = 'visit';
      },
    ],
    [
      'a section without an id',
      '/pages/0/sections/0/id',
      (site) => {
        site.pages[0].sections = [{ id: '', title: '' }];
      },
    ],
    [
      'five levels in a placement',
      '/pieces/0/rows/0/zones/middle/0/levels',
      (site) => {
        site.pieces[0].rows[0].zones.middle[0].levels = 5;
      },
    ],
    [
      'an arrangement nobody knows',
      '/pieces/0/rows/0/arrangement',
      (site) => {
        site.pieces[0].rows[0].arrangement = 'sideways';
      },
    ],
    [
      'a row in a band that is gone',
      '/pieces/0/rows/0/bands/0',
      (site) => {
        site.pieces[0].rows[0].bands = ['watch'];
      },
    ],
    [
      'a part in no band at all',
      '/pieces/0/rows/0/zones/end/0/bands',
      (site) => {
        site.pieces[0].rows[0].zones.end[0].bands = [];
      },
    ],
    [
      'a social link that runs',
      '/pieces/0/rows/0/zones/end/0/links/0/url',
      (site) => {
        site.pieces[0].rows[0].zones.end.unshift({
          kind: 'social',
          id: 's',
          name: 'S',
          colours: 'look',
          look: {},
          links: [{ id: 'l', name: 'L', url: 'javascript:alert(1)', icon: 'x', colour: null }],
        });
      },
    ],
    [
      'a social link’s icon that is gone',
      '/pieces/0/rows/0/zones/end/0/links/0/icon',
      (site) => {
        site.pieces[0].rows[0].zones.end.unshift({
          kind: 'social',
          id: 's',
          name: 'S',
          colours: 'look',
          look: {},
          links: [{ id: 'l', name: 'L', url: '/x', icon: 'gone', colour: null }],
        });
      },
    ],
    [
      'a text that leads to a page that is gone',
      '/pieces/0/rows/0/zones/end/0/entries/0/target/page',
      (site) => {
        site.pieces[0].rows[0].zones.end.unshift({
          kind: 'text',
          id: 't',
          look: {},
          entries: [{ id: 'e', text: 'x', target: { kind: 'page', page: 'gone' }, icon: null }],
          yearKept: false,
        });
      },
    ],
    [
      'a search that sends to a script',
      '/pieces/0/rows/0/zones/end/0/action',
      (site) => {
        site.pieces[0].rows[0].zones.end.unshift({
          kind: 'search',
          id: 's',
          label: 'S',
          placeholder: '',
          action: 'javascript:alert(1)',
          field: 'q',
          open: true,
          look: {},
        });
      },
    ],
    [
      'a picture that is markup',
      '/pieces/0/rows/0/zones/end/0/image',
      (site) => {
        site.pieces[0].rows[0].zones.end.unshift({
          kind: 'image',
          id: 'i',
          image: 'data:image/svg+xml,<svg onload=x>',
          svg: null,
          alternative: '',
          target: { kind: 'none' },
          look: {},
        });
      },
    ],
    [
      'a logo’s second drawing that runs',
      '/pieces/0/rows/0/zones/start/0/second',
      (site) => {
        site.pieces[0].rows[0].zones.start[0].second = '<svg onload="x()"></svg>';
      },
    ],
    [
      'a look linked to a type style that is gone',
      '/pieces/0/rows/0/zones/middle/0/look/link/all/rest/all/size/type',
      (site) => {
        site.pieces[0].rows[0].zones.middle[0].look = {
          link: { all: { rest: { all: { size: { type: 'gone' } } } } },
        };
      },
    ],
    [
      'a typeface that was never brought along',
      '/typeStyles/0/family',
      (site) => {
        site.typeStyles[0].family = 'own-gone-12345678';
      },
    ],
    [
      'a shadow of a swatch that is gone',
      '/pieces/0/look/bar/all/rest/all/shadow/swatch',
      (site) => {
        site.pieces[0].look = {
          bar: {
            all: {
              rest: { all: { shadow: { shadows: [{ x: 0, y: 0, blur: 1, colour: { swatch: 'gone' } }] } } },
            },
          },
        };
      },
    ],
    [
      'a panel’s menu that is gone',
      '/pieces/1/blocks/0/parts/0/menu',
      (site) => {
        site.pieces[1].blocks[0].parts = [
          { ...site.pieces[0].rows[0].zones.middle[0], id: 'p', menu: 'gone', look: {} },
        ];
      },
    ],
    [
      'a scene without a ground',
      '/scenes/0/ground',
      (site) => {
        delete site.scenes[0].ground;
      },
    ],
  ];
  test.each(breaks)('%s is refused at %j', (_what, path, spoil) => {
    const raw = rawDemo();
    spoil(raw);
    const problems = refused(raw);
    expect(problems.map((problem) => problem.path)).toContain(path);
    const problem = problems.find((entry) => entry.path === path);
    expect(problem?.message).toContain(path);
    expect(problem?.found).toBeDefined();
    expect(problem?.allowed).toBeTruthy();
  });

  test('garbage is refused with a reason, whatever it is', () => {
    for (const garbage of [
      null,
      5,
      'x',
      [],
      {},
      { format: 'other' },
      { format: 'hamaca-site' },
      { format: 'hamaca-site', formatVersion: 'x' },
    ])
      expect(refused(garbage)[0]?.message).toBeTruthy();
    expect(parseSiteFile('{').ok).toBe(false);
    expect(parseSiteFile('').ok).toBe(false);
    expect(parseSiteFile(`\uFEFF${printSiteFile(DEMO)}`).ok).toBe(true);
  });
  test('a document nested a hundred thousand deep is refused, not crashed on', () => {
    const deep = JSON.parse(`${'['.repeat(100_000)}${']'.repeat(100_000)}`) as unknown;
    expect(refused({ ...rawDemo(), menus: deep })[0]?.code).toBe('too-deep');
  });
  test('keys of the prototype do nothing', () => {
    const raw = JSON.parse(
      printSiteFile(DEMO).replace('"name":', '"__proto__": {"polluted": true}, "name":'),
    ) as unknown;
    expect(refused(raw).length).toBeGreaterThan(0);
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
});

describe('migrating', () => {
  const steps = [
    { from: 1, migrate: (document: Record<string, unknown>) => ({ ...document, one: true }) },
    { from: 2, migrate: (document: Record<string, unknown>) => ({ ...document, two: true }) },
  ];
  test('runs the missing steps in order', () => {
    expect(migrate({ format: 'hamaca-site', formatVersion: 1 }, steps, 3)).toEqual({
      ok: true,
      value: { format: 'hamaca-site', formatVersion: 3, one: true, two: true },
    });
    expect(migrate({ format: 'hamaca-site', formatVersion: 2 }, steps, 3)).toEqual({
      ok: true,
      value: { format: 'hamaca-site', formatVersion: 3, two: true },
    });
  });
  test('a newer document is refused and left alone', () => {
    const newer = { format: 'hamaca-site', formatVersion: FORMAT_VERSION + 1 };
    expect(migrate(newer)).toMatchObject({ ok: false, error: [{ path: '/formatVersion' }] });
    expect(newer).toEqual({ format: 'hamaca-site', formatVersion: FORMAT_VERSION + 1 });
  });
  test('a site of the first version loads as today’s, its links and looks unchanged', () => {
    const old = JSON.parse(
      readFileSync(new URL('../../test/old/version-1.hamaca.json', import.meta.url), 'utf8'),
    ) as { menus: unknown; pages: { sections: string[] }[] };
    const loaded = loadSite(old);
    if (!loaded.ok) throw new Error(loaded.error[0]?.message);
    expect(loaded.value.menus).toEqual(old.menus);
    expect(loaded.value.icons).toEqual([]);
    expect(loaded.value.pages.flatMap((page) => page.sections.map((section) => section.id))).toEqual(
      old.pages.flatMap((page) => page.sections),
    );
    // The header's first menu folded into the panel that its opener opens.
    expect(loaded.value.pieces[0]).toMatchObject({
      rows: [{ zones: { middle: [{ id: 'menu-main', folds: { from: 'phone', berth: 'panel-berth' } }] } }],
    });
    expect(loaded.value.pieces[1]).toMatchObject({
      blocks: [{ id: 'panel-block', parts: [{ kind: 'berth', id: 'panel-berth' }] }],
    });
  });
  test('a site of version 6 has footers of sections, and texts whose year stays as it is written', () => {
    const loaded = parseSiteFile(
      readFileSync(new URL('../../test/old/version-6.hamaca.json', import.meta.url), 'utf8'),
    );
    if (!loaded.ok) throw new Error(loaded.error[0]?.message);
    const footer = loaded.value.pieces.find((piece) => piece.kind === 'footer');
    expect(footer).toMatchObject({ contained: null, sections: [{ zones: {} }, { zones: {} }] });
    const texts = placedParts(loaded.value).flatMap(({ part }) => (part.kind === 'text' ? [part] : []));
    expect(texts.length).toBeGreaterThan(0);
    expect(texts.every((part) => !part.yearKept)).toBe(true);
    expect(compilePage(loaded.value).pieces.get(footer?.id ?? '')).toContain('<footer');
  });
  test.each([2, 3, 4, 5])('a site of version %i loads as today’s and compiles', (version) => {
    const loaded = parseSiteFile(
      readFileSync(new URL(`../../test/old/version-${version}.hamaca.json`, import.meta.url), 'utf8'),
    );
    if (!loaded.ok) throw new Error(loaded.error[0]?.message);
    expect(loaded.value.formatVersion).toBe(FORMAT_VERSION);
    const folded = placedParts(loaded.value).filter(({ part }) => part.folds);
    expect(folded[0]).toMatchObject({ part: { id: 'menu-main', folds: { berth: 'panel-berth' } } });
    expect(folded.length).toBe(version < 4 ? 1 : 2);
    // What a box looked like is said for the second level alone: the third one’s lists stand open in it.
    expect(folded[0]?.part.look['submenu']).toEqual(
      version < 4
        ? expect.anything()
        : { '2': { rest: { all: expect.objectContaining({ radius: 6 }), phone: expect.anything() } } },
    );
    expect(loaded.value.menus.length).toBeGreaterThan(1);
  });
  test('there is a step for every version before today’s', () => {
    expect(MIGRATIONS.map((step) => step.from)).toEqual(
      Array.from({ length: FORMAT_VERSION - 1 }, (_, index) => index + 1),
    );
  });
});
