import { element, styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { flag, sections } from '../../../model/shape/fields.ts';
import {
  BOX_STATES,
  EDGE_PROPERTIES,
  FILL_PROPERTIES,
  MARGIN_PROPERTIES,
  MOTION_PROPERTIES,
} from '../../../model/slot.ts';
import type { PieceKind, PieceOf } from '../../kind.ts';
import { fragment, type Fragment, type PieceOut } from '../../out.ts';
import { createRow, type Row } from '../../sections/row/shape.ts';

const HEADER_SHAPE = {
  stays: flag({ label: 'stays at the top', hint: 'while the page scrolls' }),
  over: flag({ label: 'lies over the page', hint: 'over the page’s top instead of above it' }),
  rows: sections<Row>('row', { min: 1, max: 8 }),
} as const;

export type Header = PieceOf<'header', typeof HEADER_SHAPE>;

const BLOCK: Declaration = ['display', 'block'];

/** How the header stands on the page. */
function position({ stays, over }: Header): Declaration[] {
  if (!stays && !over) return [BLOCK, ['position', 'relative']];
  const top = ['inset-block-start', '0'] as const;
  if (!over) return [BLOCK, ['position', 'sticky'], top];
  return [['position', stays ? 'fixed' : 'absolute'], top, ['inset-inline', '0']];
}

function rules(header: Header, out: PieceOut): ConditionalRule[] {
  const height = header.rows.reduce((sum, row) => sum + out.leastHeight(row), 0);
  const folded = out.foldsBelow === null ? '' : ` and (width < ${out.foldsBelow}px)`;
  const lies = header.stays || header.over;
  return [
    // A place that a link leads to is not hidden under a header that stays.
    ...(header.stays
      ? [
          styleRule(`html:has(.${out.class('header')})`, [
            ['scroll-padding-block-start', `${Math.round(height)}px`],
          ]),
        ]
      : []),
    styleRule(out.own, [...position(header), ['z-index', '100']]),
    // What could not fold for want of a script makes it tall: it stands in the page then.
    ...(lies && out.foldsBelow !== null
      ? [
          styleRule(
            out.own,
            [...(header.over ? [BLOCK] : []), ['position', 'relative']],
            `@media (scripting: none)${folded}`,
          ),
        ]
      : []),
  ];
}

function compile(header: Header, out: PieceOut): Fragment {
  const rows = header.rows.map((row) => out.section(row));
  const node = element(
    'header',
    { class: out.rootClass, ...out.rootData },
    out.symbols(),
    ...rows.flatMap((row) => row.nodes),
  );
  return fragment(
    [node],
    [...rules(header, out), ...rows.flatMap((row) => row.rules)],
    rows.flatMap((row) => row.behaviours),
  );
}

export const HEADER: PieceKind<'header', typeof HEADER_SHAPE> = {
  id: 'header',
  label: 'Header',
  hint: 'the bar at the top of a page',
  shape: HEADER_SHAPE,
  slots: {
    bar: {
      label: 'Bar',
      levels: [],
      states: BOX_STATES,
      text: 'none',
      properties: [...FILL_PROPERTIES, ...EDGE_PROPERTIES, ...MARGIN_PROPERTIES, ...MOTION_PROPERTIES],
      defaults: { fill: { role: 'paper' } },
    },
  },
  opens: false,
  create: ({ id, name, freshId }) => ({
    kind: 'header',
    id,
    name,
    stays: false,
    over: false,
    rows: [createRow(freshId(), 'Main')],
    look: {},
  }),
  comesTo: (header, state) => state !== 'scrolled' || header.stays,
  overContent: (header, states) => header.over || (header.stays && states.includes('scrolled')),
  grounds: ['bar'],
  behind: () => [],
  rootSlot: 'bar',
  compile,
};

/** Whether a piece is a header: for what is only ever done to headers, such as starting designs. */
export const isHeader = (piece: { readonly kind: string }): piece is Header => piece.kind === HEADER.id;
