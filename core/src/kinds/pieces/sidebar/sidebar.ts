import { initialOf } from '../../../model/shape/field.ts';
import { referenceOrNone, sections, text } from '../../../model/shape/fields.ts';
import {
  BOX_PROPERTIES,
  BOX_STATES,
  MARGIN_PROPERTIES,
  MOTION_PROPERTIES,
  TEXT_PROPERTIES,
} from '../../../model/slot.ts';
import {
  element,
  styleRule,
  text as words,
  type ConditionalRule,
  type HtmlElement,
} from '../../../print/trees.ts';
import { lengthCss } from '../../../values/kinds/length.ts';
import { isLength } from '../../../values/length.ts';
import type { PieceKind, PieceOf } from '../../kind.ts';
import { CLICKABLE, fragment, IN_LINE, NO_SCRIPT, widely, type Fragment, type PieceOut } from '../../out.ts';
import { MENU_SHAPE, type MenuPart } from '../../parts/menu/shape.ts';
import { createBlock, type Block } from '../../sections/block/block.ts';
import type { Site } from '../../site.ts';

const hasHeading = (sidebar: Readonly<Record<string, unknown>>) => sidebar['heading'] !== '';

const SIDEBAR_SHAPE = {
  heading: text({ label: 'heading', hint: 'above all in it; empty for none' }),
  boxFrom: referenceOrNone('band', {
    label: 'folds into its heading from',
    hint: 'from this width down only the heading shows, and opens the rest',
    when: hasHeading,
  }),
  blocks: sections<Block>('block', { min: 1, max: 20 }),
} as const;

/** What stands beside what a page says, in a column of its own. */
export type Sidebar = PieceOf<'sidebar', typeof SIDEBAR_SHAPE>;

/** Parts that are navigation or belong to it: a column of nothing else, without a heading, is no complementary landmark. */
const NAVIGATION = ['menu', 'berth', 'rule', 'search', 'opener'];

const isAside = (sidebar: Sidebar): boolean =>
  sidebar.heading !== '' ||
  sidebar.blocks.some((block) => block.parts.some((part) => !NAVIGATION.includes(part.kind)));

/** The width in px below which it is a box that its heading opens; null where it is none. */
function boxBelow(sidebar: Sidebar, site: Pick<Site, 'bands'>): number | null {
  if (sidebar.heading === '' || sidebar.boxFrom === null) return null;
  const band = site.bands.findIndex(({ id }) => id === sidebar.boxFrom);
  return band === -1 ? null : (site.bands[band - 1]?.min ?? Infinity);
}

/** The heading, and the button that takes its place where it opens the rest. */
function headingNodes(sidebar: Sidebar, below: number | null, out: PieceOut): HtmlElement[] {
  if (sidebar.heading === '') return [];
  const own = out.class('sidebar-heading');
  const heading = element('h2', { class: own }, words(sidebar.heading));
  if (below === null) return [heading];
  const button = element(
    'button',
    {
      class: `${own} ${out.name('unfolds')}`,
      type: 'button',
      'aria-expanded': 'false',
      'aria-controls': out.id(out.class('column')),
    },
    words(sidebar.heading),
  );
  return [heading, button];
}

/** The sign of a button that opens what is beneath it. */
function unfoldsRules(out: PieceOut): ConditionalRule[] {
  const button = out.within(`.${out.name('unfolds')}`);
  return [
    styleRule(button, [...IN_LINE, CLICKABLE, ['justify-content', 'space-between'], ['gap', '12px']]),
    styleRule(`${button}::after`, [
      ['content', '""'],
      ['inline-size', '0.5em'],
      ['block-size', '0.5em'],
      ['border', 'solid'],
      ['border-width', '0 2px 2px 0'],
      ['rotate', '45deg'],
    ]),
    styleRule(`${button}[aria-expanded=true]::after`, [['rotate', '225deg']]),
  ];
}

/** Where its heading opens it. */
function boxRules(below: number | null, out: PieceOut): ConditionalRule[] {
  if (below === null) return [];
  const narrow = below === Infinity ? [] : [`@media (width < ${below}px)`];
  const button = `.${out.name('unfolds')}`;
  const heading = out.within(`h2.${out.class('sidebar-heading')}`);
  const column = `.${out.class('column')}`;
  const hidden = [['display', 'none']] as const;
  return [
    ...unfoldsRules(out),
    // Above that width, and without a script, it is a heading like any other.
    ...(below === Infinity ? [] : [styleRule(out.within(button), hidden, `@media (width >= ${below}px)`)]),
    styleRule(out.within(button), hidden, NO_SCRIPT),
    ...widely([styleRule(heading, hidden)], [...narrow, '@media (scripting: enabled)']),
    ...widely([styleRule(`${out.ready} ${column}:not([${out.attribute('open')}])`, hidden)], narrow),
  ];
}

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
  const blocks = sidebar.blocks.map((block) => out.section(block));
  const below = boxBelow(sidebar, out.site);
  const aside = isAside(sidebar);
  const column = element(
    'div',
    { class: out.class('column'), id: below === null ? null : out.id(out.class('column')) },
    ...blocks.flatMap((block) => block.nodes),
  );
  const node = element(
    aside ? 'aside' : 'div',
    { ...out.rootData, class: out.rootClass, 'aria-label': aside ? sidebar.name : null },
    out.symbols(),
    ...headingNodes(sidebar, below, out),
    column,
  );
  return fragment(
    [node],
    [
      styleRule(out.own, [
        ['display', 'flex'],
        ['flex-direction', 'column'],
      ]),
      ...(sidebar.heading === '' ? [] : [styleRule(out.at('sidebar-heading'), [['display', 'block']])]),
      styleRule(out.within(`.${out.class('column')}`), [
        ['display', 'flex'],
        ['flex-direction', 'column'],
        ['gap', 'inherit'],
      ]),
      ...standRules(sidebar, out),
      ...boxRules(below, out),
      ...blocks.flatMap((block) => block.rules),
    ],
    [...(below === null ? [] : (['disclosure'] as const)), ...blocks.flatMap((block) => block.behaviours)],
  );
}

/** The branch of the site's first menu that a new one shows: the first that has any links. */
function menuOf(site: Site, id: string): MenuPart[] {
  const [menu] = site.menus;
  if (!menu) return [];
  return [
    {
      ...(initialOf(MENU_SHAPE) as unknown as MenuPart),
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
    },
  ];
}

export const SIDEBAR: PieceKind<'sidebar', typeof SIDEBAR_SHAPE> = {
  id: 'sidebar',
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
    'sidebar-heading': {
      label: 'Heading',
      levels: [],
      states: BOX_STATES,
      text: 'label',
      typeStyle: 'menu',
      // Its sign stands at the far end of its line, so that nothing else lines it up.
      properties: [
        ...TEXT_PROPERTIES.filter((id) => id !== 'align'),
        ...BOX_PROPERTIES,
        ...MARGIN_PROPERTIES,
      ],
      defaults: { colour: { role: 'ink' }, paddingInline: 8, paddingBlock: 8 },
    },
  },
  stands: 'beside',
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
  compile,
};
