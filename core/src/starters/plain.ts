import { speaking } from '../advice/speaking.ts';
import { worded } from '../edit/words.ts';
import type { Menu, Page } from '../model/site-content.ts';
import type { Site } from '../kinds/site.ts';
import { makePart } from '../kinds/create.ts';
import { FLOATING_BOX } from '../kinds/parts/menu/slots.ts';
import { PANEL } from '../kinds/pieces/panel/panel.ts';
import { createBlock } from '../kinds/sections/block/block.ts';
import { createRow } from '../kinds/sections/row/shape.ts';
import { FORMAT_VERSION } from '../migrate/migrate.ts';

/** What a new site starts from. */
export interface SiteSeed {
  readonly name: string;
  readonly url: string;
  readonly menu: Pick<Menu, 'items'>;
  readonly pages: readonly Page[];
  /** The language its visitors read, as a tag (BCP 47), and the way that is written; English where they are left out. */
  readonly language?: string;
  readonly direction?: Site['direction'];
}

/**
 * A plain starting design: logo, menu, opener with a side panel below 800 px, a quiet palette with one accent. Every
 * pair of text and fill in it passes WCAG 2.2 AA.
 */
export function createPlainSite(seed: SiteSeed): Site {
  const { language = 'en' } = seed;
  const menu: Menu = { id: 'main', name: 'Main', items: seed.menu.items };
  return worded({
    format: 'hamaca-site',
    formatVersion: FORMAT_VERSION,
    name: seed.name,
    url: seed.url,
    language,
    direction: seed.direction ?? 'ltr',
    palette: [
      { id: 'slate', name: 'Slate', value: '#1f2a37' },
      { id: 'white', name: 'White', value: '#ffffff' },
      { id: 'sea', name: 'Sea', value: '#0b6477' },
      { id: 'mist', name: 'Mist', value: '#e8eff1' },
    ],
    roles: {
      ink: { swatch: 'slate' },
      paper: { swatch: 'white' },
      accent: { swatch: 'sea' },
      'on-accent': { swatch: 'white' },
      soft: { swatch: 'mist' },
      line: { swatch: 'slate', alpha: 0.2 },
    },
    typefaces: [],
    typeStyles: [
      { id: 'menu', name: 'Menu', family: 'figtree', size: 16, weight: 500 },
      { id: 'title', name: 'Title', family: 'figtree', size: 20, weight: 700 },
      { id: 'action', name: 'Action', family: 'figtree', size: 15, weight: 600 },
    ],
    bands: [
      { id: 'wide', name: 'Wide', min: 800 },
      { id: 'phone', name: 'Phone', min: 0 },
    ],
    pages: seed.pages,
    icons: [],
    menus: [menu],
    pieces: speaking<Site['pieces']>(
      [
        {
          kind: 'header',
          id: 'header',
          name: 'Header',
          over: false,
          rows: [
            {
              ...createRow('row-main', 'Main'),
              zones: {
                start: [makePart('logo', 'logo', { text: seed.name })],
                middle: [
                  makePart('menu', 'menu-main', {
                    menu: menu.id,
                    folds: { from: 'phone', berth: 'panel-berth' },
                    look: PLAIN_MENU_LOOK,
                  }),
                ],
                end: [makePart('opener', 'opener', { panel: 'panel' })],
              },
              look: { row: { all: { rest: { phone: { paddingInline: 16, gap: 8 } } } } },
            },
          ],
          look: {},
        },
        {
          ...PANEL.create({ id: 'panel', name: 'Menu', freshId: () => 'panel-block', site: null }),
          blocks: [createBlock('panel-block', 'Content', [makePart('berth', 'panel-berth')])],
          look: { close: { all: { hover: { all: { fill: { role: 'soft' } } } } } },
        },
      ],
      language,
    ),
    sameLooks: [],
    scenes: [
      { id: 'blank', name: 'Blank page', kind: 'blank', ground: '#ffffff' },
      { id: 'article', name: 'Article', kind: 'article', ground: '#ffffff' },
      { id: 'picture', name: 'Picture', kind: 'picture', ground: '#ffffff' },
    ],
    foreignPages: [],
  });
}

const PLAIN_MENU_LOOK = {
  list: { all: { rest: { all: { gap: 4 } } } },
  link: {
    all: {
      rest: { all: { paddingInline: 12, paddingBlock: 8, radius: 6 } },
      current: { all: { colour: { role: 'accent' } } },
      hover: { all: { fill: { role: 'soft' } } },
    },
  },
  submenu: { '2': { rest: { all: FLOATING_BOX, phone: { shadow: { shadows: [] } } } } },
} as const;
