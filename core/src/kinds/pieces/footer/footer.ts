import { element, styleRule, type ConditionalRule, type HtmlNode } from '../../../print/trees.ts';
import { flag, sections, wholeOrNone } from '../../../model/shape/fields.ts';
import {
  BOX_PROPERTIES,
  BOX_STATES,
  MARGIN_PROPERTIES,
  MOTION_PROPERTIES,
  REST_ONLY,
} from '../../../model/slot.ts';
import type { PieceKind, PieceOf } from '../../kind.ts';
import { newPart } from '../../new-part.ts';
import { fragment, joined, type Fragment, type PieceOut } from '../../out.ts';
import { MENU_SHAPE, type MenuPart } from '../../parts/menu/shape.ts';
import { TEXT_SHAPE, type Text } from '../../parts/text/text.ts';
import { isColumn, type Column } from '../../sections/column/column.ts';
import { createRow, type Row } from '../../sections/row/shape.ts';
import type { Section, Site } from '../../site.ts';
import { boxClass, columnBoxes, columnRules, runsOf } from './columns.ts';

const FOOTER_SHAPE = {
  low: flag({
    label: 'at the bottom of short pages',
    hint: 'where a page is shorter than the window it stands at the window’s lower edge',
    initial: true,
  }),
  contained: wholeOrNone({
    label: 'columns at most',
    hint: 'px, all columns of a line together. Nothing lets them grow',
    min: 200,
    max: 4000,
    when: (footer) => (footer['sections'] as readonly Section[]).some(isColumn),
  }),
  sections: sections<Row | Column>(['row', 'column'], { min: 1, max: 20 }),
} as const;

/** What stands at the end of a page. */
export type Footer = PieceOf<'footer', typeof FOOTER_SHAPE>;

function rules(footer: Footer, out: PieceOut): ConditionalRule[] {
  if (!footer.low) return [styleRule(out.own, [['display', 'block']])];
  return [
    // Stuck a window's height down, it is held by the end of a page that is at least that high.
    styleRule(out.own, [
      ['display', 'block'],
      ['position', 'sticky'],
      ['inset-block-start', '100vh'],
    ]),
    styleRule(`body:has(${out.own})`, [['min-block-size', '100vh']]),
  ];
}

function compile(footer: Footer, out: PieceOut): Fragment {
  const compiled = new Map(footer.sections.map((section) => [section, out.section(section)]));
  const nodesOf = (section: Row | Column) => compiled.get(section)?.nodes ?? [];
  const boxes = columnBoxes(footer);
  const nodes = runsOf(footer.sections).flatMap((run): readonly HtmlNode[] => {
    const inside = run.flatMap(nodesOf);
    const box = boxes.find(({ columns }) => columns[0] === run[0]);
    return box && inside.length > 0 ? [element('div', { class: boxClass(box, out) }, ...inside)] : inside;
  });
  const all = joined([...compiled.values()]);
  return fragment(
    [element('footer', { class: out.rootClass, ...out.rootData }, out.symbols(), ...nodes)],
    [...rules(footer, out), ...all.rules, ...boxes.flatMap((box) => columnRules(footer, box, out))],
    all.behaviours,
  );
}

/** A row with what it is usually made of. */
const rowOf = (id: string, name: string, zones: Partial<Row['zones']>): Row => {
  const row = createRow(id, name);
  const values = { height: 0, paddingBlock: 24, paddingInline: 24, gap: 32 };
  return { ...row, zones: { ...row.zones, ...zones }, look: { row: { all: { rest: { all: values } } } } };
};

/** The site's links in columns, one for each branch, with what is nested in it beneath. */
const linksOf = (site: Site, id: string): MenuPart[] =>
  site.menus.slice(0, 1).map((menu) =>
    newPart<MenuPart>(MENU_SHAPE, {
      kind: 'menu',
      id,
      menu: menu.id,
      name: 'Footer',
      levels: 2,
      plain: true,
      look: {
        list: { all: { rest: { all: { menuForm: 'in columns', gap: 24 } } } },
        link: {
          2: { rest: { all: { size: 14, weight: 400 } } },
          all: { rest: { all: { paddingBlock: 4 } } },
        },
        submenu: {
          2: {
            rest: {
              all: {
                opens: 'always open',
                indent: 0,
                fill: { literal: '#00000000' },
                minWidth: 0,
                paddingBlock: 4,
              },
            },
          },
        },
      },
    }),
  );

const ownerOf = (site: Site, id: string, entry: string): Text =>
  newPart<Text>(TEXT_SHAPE, {
    kind: 'text',
    id,
    entries: [{ id: entry, text: `© ${site.name}`, target: { kind: 'none' }, icon: null }],
    look: {},
  });

export const FOOTER: PieceKind<'footer', typeof FOOTER_SHAPE> = {
  id: 'footer',
  alsoCalled: 'bottom foot columns imprint',
  label: 'Footer',
  hint: 'what stands at the end of a page',
  shape: FOOTER_SHAPE,
  slots: {
    footer: {
      label: 'Footer',
      levels: [],
      states: BOX_STATES,
      text: 'none',
      properties: [...BOX_PROPERTIES, ...MARGIN_PROPERTIES, ...MOTION_PROPERTIES],
      defaults: { fill: { role: 'paper' } },
    },
    columns: {
      label: 'Columns',
      levels: [],
      states: REST_ONLY,
      text: 'none',
      properties: [
        'columnsStand',
        'columnsCount',
        'columnsLeast',
        'columnsLine',
        'gap',
        'paddingInline',
        'paddingBlock',
        'lineTop',
        'lineBottom',
      ],
      defaults: { gap: 32, paddingInline: 24, paddingBlock: 24 },
    },
  },
  stands: 'end',
  create: ({ id, name, freshId, site }) => ({
    kind: 'footer',
    id,
    name,
    low: true,
    contained: null,
    sections: site
      ? [
          rowOf(freshId(), 'Links', { middle: linksOf(site, freshId()) }),
          rowOf(freshId(), 'Foot', { start: [ownerOf(site, freshId(), freshId())] }),
        ]
      : [createRow(freshId(), 'Main')],
    look: { footer: { all: { rest: { all: { fill: { role: 'soft' } } } } } },
  }),
  hasSlot: (footer, slot) => slot !== 'columns' || footer.sections.some(isColumn),
  reads: { columns: ['gap', 'paddingInline'] },
  contained: (footer, slot) => (slot === 'columns' ? footer.contained : null),
  comesTo: (_footer, state) => state !== 'scrolled',
  overContent: () => false,
  grounds: ['footer'],
  behind: () => [],
  rootSlot: 'footer',
  compile,
};
