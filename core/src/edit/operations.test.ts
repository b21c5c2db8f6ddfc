import { describe, expect, test } from '@jest/globals';
import { DEMO, DEMO_HEADER } from '../../test/demo.ts';
import type { BroughtPage, Page } from '../model/site-content.ts';
import type { Site } from '../kinds/site.ts';
import { applyStarter } from '../starters/apply.ts';
import { STARTERS } from '../starters/designs.ts';
import type { Starter } from '../starters/starter.ts';
import { createRow } from '../kinds/sections/row/shape.ts';
import { makePart } from '../kinds/create.ts';
import { PANEL } from '../kinds/pieces/panel/panel.ts';
import type { MenuItem } from '../model/menu-item.ts';
import { NO_TARGET } from '../model/target.ts';
import { itemsOf } from '../kinds/content.ts';
import { ownersOf } from '../kinds/placed.ts';
import { hrefOf } from '../links/target.ts';
import { loadSite } from '../load/load-site.ts';
import { resolve } from '../resolve/resolve.ts';
import {
  recordChange,
  redoChange,
  replayHistory,
  undoChange,
  EMPTY_HISTORY,
  type Change,
} from './history.ts';
import { applyPatch } from './json-patch.ts';
import type { Step } from './operations/items.ts';
import { swatchUses } from './operations/palette.ts';
import { applyCheckedPatch } from './checked-patch.ts';
import { OPERATIONS, runEdit, type Edit, type OperationName } from './operations.ts';

const run = (site: Site, edit: Edit) => {
  const ran = runEdit(site, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value;
};
const refusal = (edit: Edit, site: Site = DEMO) => {
  const ran = runEdit(site, edit);
  return ran.ok ? null : (ran.error[0]?.code ?? '');
};
const labels = (site: Site, parent: string | null = null) =>
  (parent === null ? site.menus[0]?.items : itemsOf(site).get(parent)?.item.children)?.map(
    (item) => item.label,
  );
const idOf = (label: string, site: Site = DEMO) =>
  [...itemsOf(site).values()].find((placed) => placed.item.label === label)?.item.id ?? '';
const cell = {
  owner: 'menu-main',
  slot: 'link',
  property: 'colour',
  level: 'all',
  state: 'hover',
  band: 'all',
} as const;
const item = { id: 'new', label: 'Shop', target: NO_TARGET, children: [] };
const SHOP: Page = { id: 'page-shop', path: '/shop/', title: 'Shop', sections: [], listed: true };
const FOREIGN: BroughtPage = {
  id: 'foreign',
  name: 'The old page',
  origin: '',
  path: 'index.html',
  files: [{ path: 'index.html', file: 'a1'.repeat(32) }],
  ground: '#ffffff',
  changes: [],
  inPlace: false,
};
const RECOLOUR = { id: 'change', from: 'blue', to: '#063', within: '', only: '' };
const top = { menu: 'main', parent: null, index: 0 };

/** For every operation an edit that works and one that must be refused: a new operation without samples fails here. */
const SAMPLES: Readonly<Record<OperationName, { works: Edit; refused: Edit | null }>> = {
  'set-look': {
    works: { name: 'set-look', args: { cells: [{ ...cell, value: { swatch: 'reed' } }] } },
    refused: { name: 'set-look', args: { cells: [{ ...cell, owner: 'gone', value: null }] } },
  },
  'add-items': {
    works: { name: 'add-items', args: { place: top, items: [item] } },
    refused: { name: 'add-items', args: { place: { ...top, menu: 'gone' }, items: [item] } },
  },
  'set-item': {
    works: {
      name: 'set-item',
      args: { id: idOf('News'), fields: { label: 'Latest', newTab: true, description: 'All year' } },
    },
    refused: { name: 'set-item', args: { id: 'gone', fields: { label: 'x' } } },
  },
  'remove-items': {
    works: { name: 'remove-items', args: { ids: [idOf('Visit'), idOf('Opening hours'), idOf('News')] } },
    refused: null,
  },
  'move-items': {
    works: { name: 'move-items', args: { ids: [idOf('News'), idOf('Give')], place: top } },
    refused: {
      name: 'move-items',
      args: { ids: [idOf('Visit')], place: { menu: 'main', parent: idOf('Opening hours'), index: 0 } },
    },
  },
  'step-items': {
    works: { name: 'step-items', args: { ids: [idOf('News')], step: 'up' } },
    refused: { name: 'step-items', args: { ids: ['gone'], step: 'up' } },
  },
  'duplicate-items': {
    works: { name: 'duplicate-items', args: { ids: [idOf('Visit'), idOf('News')] } },
    refused: { name: 'duplicate-items', args: { ids: ['gone'] } },
  },
  'import-items': {
    works: { name: 'import-items', args: { menu: 'main', mode: 'replace', items: [item], pages: [SHOP] } },
    refused: { name: 'import-items', args: { menu: 'gone', mode: 'merge', items: [] } },
  },
  'add-menu': {
    works: { name: 'add-menu', args: { id: 'legal', name: 'Legal', items: [item] } },
    refused: { name: 'add-menu', args: { id: 'main', name: 'Main', items: [] } },
  },
  'duplicate-menu': {
    works: { name: 'duplicate-menu', args: { id: 'footer', copy: 'footer-2' } },
    refused: { name: 'duplicate-menu', args: { id: 'gone', copy: 'x' } },
  },
  'set-menu-name': {
    works: { name: 'set-menu-name', args: { id: 'main', name: 'Top' } },
    refused: { name: 'set-menu-name', args: { id: 'gone', name: 'x' } },
  },
  'set-menu-draft': {
    works: { name: 'set-menu-draft', args: { id: 'main', draft: true } },
    refused: { name: 'set-menu-draft', args: { id: 'gone', draft: true } },
  },
  'remove-menu': {
    works: { name: 'remove-menu', args: { id: 'main' } },
    refused: { name: 'remove-menu', args: { id: 'gone' } },
  },
  'add-pages': { works: { name: 'add-pages', args: { pages: [SHOP] } }, refused: null },
  'set-page': {
    works: { name: 'set-page', args: { id: 'page-news', fields: { path: '/latest/' } } },
    refused: { name: 'set-page', args: { id: 'page-news', fields: { path: '/visit/' } } },
  },
  'remove-pages': {
    works: { name: 'remove-pages', args: { ids: ['page-visit', 'page-contact'] } },
    refused: null,
  },
  'add-foreign-page': {
    works: { name: 'add-foreign-page', args: { page: { ...FOREIGN, id: 'page-other' } } },
    refused: { name: 'add-foreign-page', args: { page: { ...FOREIGN, id: 'page-visit' } } },
  },
  'set-foreign-page': {
    works: {
      name: 'set-foreign-page',
      args: { id: FOREIGN.id, fields: { inPlace: true, changes: [RECOLOUR] } },
    },
    refused: { name: 'set-foreign-page', args: { id: 'gone', fields: { name: 'Boats' } } },
  },
  'remove-foreign-page': {
    works: { name: 'remove-foreign-page', args: { id: FOREIGN.id } },
    refused: { name: 'remove-foreign-page', args: { id: 'gone' } },
  },
  'set-swatch': {
    works: { name: 'set-swatch', args: { id: 'reed', value: '#123456', name: 'Rush' } },
    refused: { name: 'set-swatch', args: { id: 'reed', value: 'reddish' } },
  },
  'add-swatch': {
    works: { name: 'add-swatch', args: { swatch: { id: 'dusk', name: 'Dusk', value: '#444' } } },
    refused: { name: 'add-swatch', args: { swatch: { id: 'reed', name: 'x', value: '#444' } } },
  },
  'remove-swatch': {
    works: { name: 'remove-swatch', args: { id: 'unused' } },
    refused: { name: 'remove-swatch', args: { id: 'reed' } },
  },
  'set-role': {
    works: { name: 'set-role', args: { role: 'accent', value: { swatch: 'marsh-light' } } },
    refused: { name: 'set-role', args: { role: 'accent', value: { swatch: 'gone' } } },
  },
  'set-band-start': {
    works: { name: 'set-band-start', args: { id: 'wide', min: 880 } },
    refused: { name: 'set-band-start', args: { id: 'phone', min: 5 } },
  },
  'set-band-name': {
    works: { name: 'set-band-name', args: { id: 'phone', name: 'Hand' } },
    refused: { name: 'set-band-name', args: { id: 'gone', name: 'x' } },
  },
  'set-site': { works: { name: 'set-site', args: { name: 'Marisma', direction: 'rtl' } }, refused: null },
  'set-owner': {
    works: { name: 'set-owner', args: { id: 'logo', fields: { text: 'ML' } } },
    refused: { name: 'set-owner', args: { id: 'logo', fields: { kind: 'menu' } } },
  },
  'set-type-style': {
    works: { name: 'set-type-style', args: { id: 'menu', fields: { size: 17 } } },
    refused: { name: 'set-type-style', args: { id: 'gone', fields: {} } },
  },
  'add-part': {
    works: {
      name: 'add-part',
      args: {
        place: { region: 'row-main.end', index: 9 },
        part: makePart('button', 'give', { label: 'Give' }),
      },
    },
    refused: {
      name: 'add-part',
      args: { place: { region: 'gone.end', index: 0 }, part: makePart('button', 'give', { label: 'Give' }) },
    },
  },
  'import-swatches': {
    works: {
      name: 'import-swatches',
      args: {
        swatches: [
          { id: 'x', name: 'reed', value: '#123456' },
          { id: 'dusk', name: 'Dusk', value: '#444' },
        ],
      },
    },
    refused: null,
  },
  'move-swatch': {
    works: { name: 'move-swatch', args: { id: 'reed', index: 0 } },
    refused: { name: 'move-swatch', args: { id: 'gone', index: 0 } },
  },
  'relink-colours': {
    works: {
      name: 'relink-colours',
      args: {
        links: [{ literal: '#00000080', swatch: 'night', alpha: 0.5 }],
        add: [{ id: 'night', name: 'Night', value: '#000000' }],
      },
    },
    refused: { name: 'relink-colours', args: { links: [{ literal: '#000', swatch: 'gone' }] } },
  },
  'add-band': {
    works: { name: 'add-band', args: { band: { id: 'tablet', name: 'Tablet', min: 600 } } },
    refused: { name: 'add-band', args: { band: { id: 'phone', name: 'x', min: 500 } } },
  },
  'remove-band': {
    works: { name: 'remove-band', args: { id: 'wide' } },
    refused: { name: 'remove-band', args: { id: 'phone' } },
  },
  'add-type-style': {
    works: {
      name: 'add-type-style',
      args: { style: { id: 'small', name: 'Small', family: 'karla', size: 13, weight: 400 } },
    },
    refused: {
      name: 'add-type-style',
      args: { style: { id: 'menu', name: 'x', family: 'karla', size: 13, weight: 400 } },
    },
  },
  'add-typeface': {
    works: {
      name: 'add-typeface',
      args: { typeface: { id: 'own-marsh', name: 'Marsh', fallback: 'sans', weights: [400, 400] } },
    },
    refused: null,
  },
  'remove-typeface': {
    works: { name: 'remove-typeface', args: { id: 'own-spare' } },
    refused: { name: 'remove-typeface', args: { id: 'own-gone' } },
  },
  'remove-type-style': {
    works: { name: 'remove-type-style', args: { id: 'spare' } },
    refused: { name: 'remove-type-style', args: { id: 'menu' } },
  },
  'set-same-look': {
    works: {
      name: 'set-same-look',
      args: { owner: 'book', slot: 'button', as: { owner: 'menu-main', slot: 'link' } },
    },
    refused: {
      name: 'set-same-look',
      args: { owner: 'book', slot: 'button', as: { owner: 'book', slot: 'button' } },
    },
  },
  'move-part': {
    works: { name: 'move-part', args: { id: 'book', place: { region: 'row-main.start', index: 0 } } },
    refused: { name: 'move-part', args: { id: 'book', place: { region: 'gone', index: 0 } } },
  },
  'duplicate-part': {
    works: { name: 'duplicate-part', args: { id: 'book', copy: 'book-2' } },
    refused: { name: 'duplicate-part', args: { id: 'book', copy: 'logo' } },
  },
  'fold-part': {
    works: { name: 'fold-part', args: { id: 'logo', from: 'phone', panel: 'panel', tight: true } },
    refused: { name: 'fold-part', args: { id: 'book', from: 'watch', panel: 'panel' } },
  },
  'add-section': {
    works: {
      name: 'add-section',
      args: { piece: 'header', section: createRow('row-top', 'Top'), index: 0 },
    },
    refused: {
      name: 'add-section',
      args: { piece: 'gone', section: createRow('row-top', 'Top'), index: 0 },
    },
  },
  'duplicate-section': {
    works: { name: 'duplicate-section', args: { id: 'row-main', copy: 'row-copy' } },
    refused: { name: 'duplicate-section', args: { id: 'logo', copy: 'row-copy' } },
  },
  'remove-section': {
    works: { name: 'remove-section', args: { id: 'row-extra' } },
    refused: { name: 'remove-section', args: { id: 'panel-block' } },
  },
  'move-section': {
    works: { name: 'move-section', args: { id: 'row-main', index: 1 } },
    refused: { name: 'move-section', args: { id: 'logo', index: 1 } },
  },
  'add-piece': {
    works: {
      name: 'add-piece',
      args: {
        piece: PANEL.create({ id: 'shop', name: 'Shop', freshId: () => 'shop-block', site: null }),
      },
    },
    refused: {
      name: 'add-piece',
      args: { piece: PANEL.create({ id: 'panel', name: 'x', freshId: () => 'shop-block', site: null }) },
    },
  },
  'duplicate-piece': {
    works: { name: 'duplicate-piece', args: { id: 'header', copy: 'header-2' } },
    refused: { name: 'duplicate-piece', args: { id: 'gone', copy: 'header-2' } },
  },
  'remove-piece': {
    works: { name: 'remove-piece', args: { id: 'panel' } },
    refused: { name: 'remove-piece', args: { id: 'header' } },
  },
  'move-piece': {
    works: { name: 'move-piece', args: { id: 'panel', past: 'header' } },
    refused: { name: 'move-piece', args: { id: 'panel', past: 'gone' } },
  },
  'set-design': {
    works: { name: 'set-design', args: applyStarter(DEMO, DEMO_HEADER, STARTERS[3] as Starter) },
    refused: {
      name: 'set-design',
      args: {
        ...applyStarter(DEMO, DEMO_HEADER, STARTERS[3] as Starter),
        pieces: [{ ...DEMO_HEADER, id: 'gone' }],
      },
    },
  },
  'remove-part': {
    works: { name: 'remove-part', args: { id: 'book' } },
    refused: { name: 'remove-part', args: { id: 'row-main' } },
  },
};

describe('every edit', () => {
  const prepared: readonly Edit[] = [
    { name: 'add-foreign-page', args: { page: FOREIGN } },
    { name: 'add-swatch', args: { swatch: { id: 'unused', name: 'Unused', value: '#abc' } } },
    {
      name: 'add-typeface',
      args: { typeface: { id: 'own-spare', name: 'Spare Sans', fallback: 'sans', weights: [100, 900] } },
    },
    {
      name: 'add-type-style',
      args: { style: { id: 'spare', name: 'Spare', family: 'karla', size: 12, weight: 400 } },
    },
    {
      name: 'add-section',
      args: { piece: 'header', section: createRow('row-extra', 'Extra'), index: 1 },
    },
    {
      name: 'set-look',
      args: {
        cells: [
          {
            ...cell,
            property: 'shadow',
            value: { shadows: [{ x: 0, y: 1, blur: 2, colour: { literal: '#00000080' } }] },
          },
        ],
      },
    },
  ];
  const start = prepared.reduce((site, edit) => run(site, edit).site, DEMO);
  test.each(Object.keys(OPERATIONS) as OperationName[])(
    '%s changes a valid site into a valid one, and its inverse leads back',
    (name) => {
      const { site, patch, inverse } = run(start, SAMPLES[name].works);
      expect(patch.length).toBeGreaterThan(0);
      expect(site).not.toEqual(start);
      expect(loadSite(JSON.parse(JSON.stringify(site))).ok).toBe(true);
      const back = applyPatch(site, inverse);
      expect(back.ok && back.value.document).toEqual(start);
      const { refused } = SAMPLES[name];
      if (refused) expect(refusal(refused)).toBeTruthy();
    },
  );
});

describe('links', () => {
  const step = (site: Site, names: readonly string[], direction: Step) =>
    run(site, { name: 'step-items', args: { ids: names.map((label) => idOf(label, site)), step: direction } })
      .site;
  test('move by steps: up, down, in and out, with their branches', () => {
    expect(labels(step(DEMO, ['Birds'], 'up'))).toEqual([
      'Birds',
      'Visit',
      'Learn',
      'Join in',
      'News',
      'Contact',
    ]);
    expect(labels(step(DEMO, ['Visit'], 'down'))).toEqual([
      'Birds',
      'Visit',
      'Learn',
      'Join in',
      'News',
      'Contact',
    ]);
    expect(labels(step(DEMO, ['News'], 'in'), idOf('Join in'))).toEqual([
      'Membership',
      'Volunteer',
      'Give',
      'News',
    ]);
    expect(labels(step(DEMO, ['Give'], 'out'))).toEqual([
      'Visit',
      'Birds',
      'Learn',
      'Join in',
      'Give',
      'News',
      'Contact',
    ]);
    for (const [label, direction] of [
      ['Visit', 'up'],
      ['Contact', 'down'],
      ['Visit', 'in'],
      ['Visit', 'out'],
    ] as const)
      expect(step(DEMO, [label], direction)).toBe(DEMO);
  });
  test('move several at once, as lines do', () => {
    expect(labels(step(DEMO, ['Birds', 'Learn'], 'down'))).toEqual([
      'Visit',
      'Join in',
      'Birds',
      'Learn',
      'News',
      'Contact',
    ]);
    expect(labels(step(DEMO, ['News', 'Contact'], 'in'), idOf('Join in'))).toEqual([
      'Membership',
      'Volunteer',
      'Give',
      'News',
      'Contact',
    ]);
    expect(labels(step(DEMO, ['Courses', 'Give'], 'out'))).toEqual([
      'Visit',
      'Birds',
      'Learn',
      'Courses',
      'Join in',
      'Give',
      'News',
      'Contact',
    ]);
    expect(
      labels(
        step(
          step(DEMO, ['Membership', 'Volunteer', 'Give'], 'out'),
          ['Membership', 'Volunteer', 'Give'],
          'in',
        ),
        idOf('Join in'),
      ),
    ).toEqual(['Membership', 'Volunteer', 'Give']);
    const moved = run(DEMO, {
      name: 'move-items',
      args: {
        ids: [idOf('Contact'), idOf('Give'), idOf('Courses')],
        place: { menu: 'main', parent: idOf('Birds'), index: 1 },
      },
    }).site;
    expect(labels(moved, idOf('Birds'))).toEqual([
      'Today’s sightings',
      'Courses',
      'Give',
      'Contact',
      'Species A–Z',
      'Ringing log',
    ]);
  });
  test('are duplicated behind the last of their neighbours, with ids of their own', () => {
    const { site } = run(DEMO, SAMPLES['duplicate-items'].works);
    expect(labels(site)).toEqual(['Visit', 'Visit', 'Birds', 'Learn', 'Join in', 'News', 'News', 'Contact']);
  });
  test('are removed with their branch; removing parent and child at once is no error', () => {
    expect(itemsOf(DEMO).size - itemsOf(run(DEMO, SAMPLES['remove-items'].works).site).size).toBe(8 + 1);
  });
  test('from elsewhere lead to the pages the site has, and bring the others', () => {
    const items = [
      { ...item, target: { kind: 'page', page: 'p1' } as const },
      { ...item, target: { kind: 'page', page: 'p2' } as const },
      { ...item, id: 'main', icon: 'none-such', bands: ['gone'] },
    ];
    const pages: Page[] = [
      { id: 'p1', path: '/news/', title: 'x', sections: [], listed: false },
      { id: 'p2', path: '/shop/', title: 'Shop', sections: [], listed: false },
    ];
    const { site } = run(DEMO, { name: 'add-items', args: { place: top, items, pages } });
    const added = site.menus[0]?.items.slice(0, 3);
    expect(added?.map((entry) => entry.target)).toEqual([
      { kind: 'page', page: 'page-news' },
      { kind: 'page', page: 'p2' },
      NO_TARGET,
    ]);
    expect(new Set(added?.map((entry) => entry.id)).size).toBe(3);
    expect(site.pages.filter((page) => page.path === '/news/')).toHaveLength(1);
    expect(loadSite(JSON.parse(JSON.stringify(site))).ok).toBe(true);
  });
  test('cannot be nested deeper than the limit', () => {
    let site = DEMO;
    let parent: string | null = null;
    let refused = null;
    for (let depth = 1; depth <= 40 && refused === null; depth++) {
      const edit: Edit = {
        name: 'add-items',
        args: { place: { menu: 'main', parent, index: 0 }, items: [{ ...item, id: `deep${depth}` }] },
      };
      refused = refusal(edit, site);
      if (refused === null) site = run(site, edit).site;
      else expect(depth).toBe(33);
      parent = `deep${depth}`;
    }
    expect(refused).toBe('too-deep');
  });
});

describe('menus and pages', () => {
  test('a menu takes its placements along and undo brings both back', () => {
    const { site, inverse } = run(DEMO, { name: 'remove-menu', args: { id: 'main' } });
    expect(ownersOf(site).has('menu-main')).toBe(false);
    const back = applyPatch(site, inverse);
    expect(back.ok && back.value.document).toEqual(DEMO);
  });
  test('an import is merged into what is there, or replaces it', () => {
    const link = (label: string, children: MenuItem[] = []): MenuItem => ({
      id: label,
      label,
      target: NO_TARGET,
      children,
    });
    const items = [link('visit', [link('Opening hours'), link('Boat trips')]), link('Shop'), link('News')];
    const merged = run(DEMO, { name: 'import-items', args: { menu: 'main', mode: 'merge', items } }).site;
    expect(labels(merged)).toEqual(['Visit', 'Shop', 'Birds', 'Learn', 'Join in', 'News', 'Contact']);
    expect(labels(merged, idOf('Visit'))).toEqual([
      'Opening hours',
      'Boat trips',
      'Getting here',
      'Trails & hides',
      'Access for all',
    ]);
    expect(run(merged, { name: 'import-items', args: { menu: 'main', mode: 'merge', items } }).site).toEqual(
      merged,
    );
    expect(
      labels(run(DEMO, { name: 'import-items', args: { menu: 'main', mode: 'replace', items } }).site),
    ).toEqual(['visit', 'Shop', 'News']);
  });
  test('links follow a page that changes its path, and keep the path of one that goes', () => {
    const moved = run(DEMO, {
      name: 'set-page',
      args: { id: 'page-news', fields: { path: '/latest/' } },
    }).site;
    const target = (site: Site, label: string) => itemsOf(site).get(idOf(label))?.item.target ?? NO_TARGET;
    expect(hrefOf(moved, target(moved, 'News'))).toBe('/latest/');
    const gone = run(DEMO, { name: 'remove-pages', args: { ids: ['page-visit-trails-and-hides'] } }).site;
    expect(target(gone, 'Reed hide')).toEqual({ kind: 'url', url: '/visit/trails-and-hides/#reed-hide' });
  });
  test('pages are told apart by path; thousands come in one step', () => {
    const pages = Array.from({ length: 500 }, (_, index): Page => ({
      id: `p${index % 250}`,
      path: `/log/${index % 250}/`,
      title: `Log ${index}`,
      sections: [{ id: `s${index}`, title: '' }],
      listed: true,
    }));
    const { site, patch } = run(DEMO, {
      name: 'add-pages',
      args: { pages: [...pages, { ...SHOP, path: '/news/', title: 'All news' }] },
    });
    expect(site.pages).toHaveLength(DEMO.pages.length + 250);
    expect(patch).toHaveLength(1);
    expect(site.pages.find((page) => page.path === '/log/7/')?.sections).toHaveLength(2);
    expect(site.pages.find((page) => page.id === 'page-news')?.title).toBe('All news');
  });
});

test('a placement follows the name of its menu unless it was named by hand', () => {
  const nameOf = (site: Site, id: string) =>
    (ownersOf(site).get(id)?.thing as { name?: string } | undefined)?.name;
  const rename = (site: Site, name: string) =>
    run(site, { name: 'set-menu-name', args: { id: 'main', name } });
  const { site, patch } = rename(DEMO, 'Pages');
  expect(site.menus[0]?.name).toBe('Pages');
  expect(nameOf(site, 'menu-main')).toBe('Pages');
  expect(patch).toHaveLength(2);
  const byHand = run(DEMO, {
    name: 'set-owner',
    args: { id: 'menu-main', fields: { name: 'Reserve' } },
  }).site;
  expect(nameOf(rename(byHand, 'Pages').site, 'menu-main')).toBe('Reserve');
});

describe('looks', () => {
  const set = (site: Site, value: { swatch: string } | null, band = 'all') =>
    run(site, { name: 'set-look', args: { cells: [{ ...cell, state: 'pressed', band, value }] } }).site;
  test('clearing the last value removes the empty objects around it', () => {
    const filled = set(DEMO, { swatch: 'reed' });
    expect(ownersOf(filled).get('menu-main')?.look['link']?.all?.pressed).toEqual({
      all: { colour: { swatch: 'reed' } },
    });
    expect(set(filled, null)).toEqual(DEMO);
  });
  test('the widest band and narrower is all widths', () => {
    expect(
      ownersOf(set(DEMO, { swatch: 'reed' }, 'wide')).get('menu-main')?.look['link']?.all?.pressed,
    ).toEqual({ all: { colour: { swatch: 'reed' } } });
  });
  test('clearing what is not there changes nothing', () => {
    expect(
      runEdit(DEMO, { name: 'set-look', args: { cells: [{ ...cell, state: 'pressed', value: null }] } }),
    ).toMatchObject({ ok: true, value: { patch: [], inverse: [] } });
  });
  test('a value of the wrong kind is refused', () => {
    expect(refusal({ name: 'set-look', args: { cells: [{ ...cell, value: 5 }] } })).toBe('value');
  });
});

test('a breakpoint stays within its bounds', () => {
  const start = (min: number) =>
    run(DEMO, { name: 'set-band-start', args: { id: 'wide', min } }).site.bands[0]?.min;
  expect([start(-5), start(700.4), start(99_999)]).toEqual([200, 700, 2400]);
});

test('uses of a swatch are counted in roles and looks', () => {
  expect(swatchUses(DEMO, 'reed')).toBe(2);
  expect(swatchUses(DEMO, 'silt')).toBe(1);
});

test('a patch from outside is validated as a whole', () => {
  expect(applyCheckedPatch(DEMO, [{ op: 'replace', path: '/name', value: 'X' }]).ok).toBe(true);
  const broken = applyCheckedPatch(DEMO, [{ op: 'remove', path: '/palette/1' }]);
  expect(broken.ok ? [] : new Set(broken.error.map((problem) => problem.code))).toEqual(
    new Set(['unknown-reference']),
  );
});

describe('history', () => {
  const change = (label: string): Change => ({
    kind: 'edit',
    label,
    patch: [{ op: 'replace', path: '/name', value: label }],
    inverse: [{ op: 'replace', path: '/name', value: 'before' }],
  });
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
  test('nothing to undo is null', () => {
    expect([undoChange(EMPTY_HISTORY), redoChange(EMPTY_HISTORY)]).toEqual([null, null]);
  });
  test('a real edit is undone and redone by the log alone', () => {
    const first = run(DEMO, SAMPLES['set-swatch'].works);
    const log: Change[] = [{ kind: 'edit', label: 'swatch', patch: first.patch, inverse: first.inverse }];
    const undo = undoChange(replayHistory(log));
    const undone = applyPatch(first.site, undo?.patch ?? []);
    expect(undone.ok && undone.value.document).toEqual(DEMO);
    expect(
      resolve(first.site, {
        owner: 'menu-main',
        slot: 'link',
        property: 'colour',
        level: 1,
        states: ['current'],
        band: 0,
      })?.value,
    ).toEqual({ role: 'accent' });
  });
});
