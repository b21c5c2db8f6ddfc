import { sections } from '../../../model/shape/fields.ts';
import { BOX_PROPERTIES, BOX_STATES, MARGIN_PROPERTIES, MOTION_PROPERTIES } from '../../../model/slot.ts';
import { element, styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { lengthCss } from '../../../values/kinds/length.ts';
import { isLength } from '../../../values/length.ts';
import { headed, headingField, headingSlot, opensFrom } from '../../heading-box.ts';
import type { PieceKind, PieceOf } from '../../kind.ts';
import { newPart } from '../../new-part.ts';
import { fragment, joined, widely, type Fragment, type PieceOut } from '../../out.ts';
import { MENU_SHAPE, type MenuPart } from '../../parts/menu/shape.ts';
import { createBlock, type Block } from '../../sections/block/block.ts';
import type { Site } from '../../site.ts';

const SIDEBAR_SHAPE = {
  heading: headingField(),
  boxFrom: opensFrom('folds into its heading from'),
  blocks: sections<Block>(['block'], { min: 1, max: 20 }),
} as const;

/** What stands beside what a page says, in a column of its own. */
export type Sidebar = PieceOf<'sidebar', typeof SIDEBAR_SHAPE>;

/** A column of nothing but navigation, without a heading, is no complementary landmark. */
const isAside = (sidebar: Sidebar, out: PieceOut): boolean =>
  sidebar.heading !== '' || sidebar.blocks.some(({ parts }) => !parts.every((part) => out.navigates(part)));

function standRules(sidebar: Sidebar, out: PieceOut): ConditionalRule[] {
  return out
    .inBands((band) => {
      const at = out.valueIn(sidebar.id, 'sidebar', 'sticksAt', band);
      return {
        stays: out.valueIn(sidebar.id, 'sidebar', 'columnSticks', band) === 'stays in sight',
        at: isLength(at) ? lengthCss(at) : '0',
      };
    })
    .flatMap(({ value: { stays, at }, conditions }) =>
      stays
        ? widely(
            [
              styleRule(out.own, [
                ['position', 'sticky'],
                ['inset-block-start', at],
                ['align-self', 'flex-start'],
                ['max-block-size', at === '0' ? '100vh' : `calc(100vh - ${at})`],
                ['overflow-y', 'auto'],
                ['overscroll-behavior', 'contain'],
              ]),
            ],
            conditions,
          )
        : [],
    );
}

function compile(sidebar: Sidebar, out: PieceOut): Fragment {
  const blocks = joined(sidebar.blocks.map((block) => out.section(block)));
  const { heading, boxFrom: from } = sidebar;
  const held = headed(
    { heading, from, slot: 'sidebar-heading', inside: 'sidebar-inside' },
    blocks.nodes,
    out,
  );
  const aside = isAside(sidebar, out);
  const node = element(
    aside ? 'aside' : 'div',
    { ...out.rootData, class: out.rootClass, 'aria-label': aside ? sidebar.name : null },
    out.symbols(),
    ...(out.whole ? [element('div', out.whole.attributes, ...held.nodes)] : held.nodes),
  );
  const column: Declaration[] = [
    ['display', 'flex'],
    ['flex-direction', 'column'],
  ];
  return fragment(
    [node],
    [
      styleRule(out.own, column),
      ...(out.whole ? [styleRule(out.at('whole'), [...column, ['gap', 'inherit']]), ...out.whole.rules] : []),
      ...standRules(sidebar, out),
      ...held.rules,
      ...blocks.rules,
    ],
    [...held.behaviours, ...blocks.behaviours],
  );
}

/** The branch of the site's first menu that a new one shows: the first that has any links. */
function menuOf(site: Site, id: string): MenuPart[] {
  const [menu] = site.menus;
  if (!menu) return [];
  return [
    newPart<MenuPart>(MENU_SHAPE, {
      kind: 'menu',
      id,
      menu: menu.id,
      name: 'Sidebar',
      levels: 3,
      look: {
        link: {
          1: { rest: { all: { weight: 600 } } },
          all: {
            rest: { all: { paddingInline: 8, paddingBlock: 6 } },
            current: { all: { mark: 'side bar' } },
          },
        },
        submenu: { all: { rest: { all: { fill: { literal: '#00000000' }, minWidth: 0 } } } },
      },
    }),
  ];
}

export const SIDEBAR: PieceKind<'sidebar', typeof SIDEBAR_SHAPE> = {
  id: 'sidebar',
  alsoCalled: 'side navigation column aside',
  label: 'Sidebar',
  hint: 'a column beside what a page says',
  shape: SIDEBAR_SHAPE,
  slots: {
    sidebar: {
      label: 'Sidebar',
      levels: [],
      states: BOX_STATES,
      text: 'none',
      properties: [
        'columnSticks',
        'sticksAt',
        'width',
        'gap',
        ...BOX_PROPERTIES,
        ...MARGIN_PROPERTIES,
        ...MOTION_PROPERTIES,
      ],
      defaults: { width: 260, gap: 8 },
    },
    'sidebar-heading': headingSlot({ paddingInline: 8, paddingBlock: 8 }),
  },
  stands: 'beside',
  foldsWhole: true,
  create: ({ id, name, freshId, site }) => {
    const narrowest = site?.bands.at(-1);
    return {
      kind: 'sidebar',
      id,
      name,
      heading: 'In this section',
      boxFrom: site && site.bands.length > 1 ? (narrowest?.id ?? null) : null,
      blocks: [createBlock(freshId(), 'Links', site ? menuOf(site, freshId()) : [])],
      look: {
        sidebar: {
          all: {
            rest: {
              all: { paddingInline: 16, paddingBlock: 16 },
              ...(site && narrowest && site.bands.length > 1 ? { [narrowest.id]: { width: '100%' } } : {}),
            },
          },
        },
      },
    };
  },
  hasSlot: (sidebar, slot) => slot !== 'sidebar-heading' || sidebar.heading !== '',
  texts: (sidebar) => [sidebar.heading],
  comesTo: (_sidebar, state) => state !== 'scrolled',
  keeps: (sidebar, read, band) =>
    read.value(sidebar.id, 'sidebar', 'columnSticks', band) === 'stays in sight'
      ? { at: 'column', height: read.pixels(sidebar.id, 'sidebar', 'sticksAt', band), by: 'sticksAt' }
      : null,
  overContent: () => false,
  grounds: ['sidebar'],
  behind: (slot) => (slot === 'sidebar-heading' ? ['sidebar'] : []),
  rootSlot: 'sidebar',
  beside: ['whole'],
  compile,
};
