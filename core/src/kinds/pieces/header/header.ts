import { element, styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { flag, sections } from '../../../model/shape/fields.ts';
import {
  BOX_STATES,
  EDGE_PROPERTIES,
  FILL_PROPERTIES,
  MARGIN_PROPERTIES,
  MOTION_PROPERTIES,
} from '../../../model/slot.ts';
import type { SiteContent } from '../../../model/site-content.ts';
import type { PieceKind, PieceOf } from '../../kind.ts';
import { isLength } from '../../../values/length.ts';
import { lengthCss } from '../../../values/kinds/length.ts';
import type { BehaviourId } from '../../behaviours/behaviours.ts';
import {
  rulesByBand,
  fragment,
  joined,
  movesOnceReady,
  waitsForScript,
  type Fragment,
  type PieceOut,
  type Said,
} from '../../out.ts';
import type { Sticking } from '../../properties/sticky.ts';
import { createRow, type Row } from '../../sections/row/shape.ts';

const HEADER_SHAPE = {
  over: flag({ label: 'lies over the page', hint: 'over the page’s top instead of above it' }),
  rows: sections<Row>(['row'], { min: 1, max: 8 }),
} as const;

export type Header = PieceOf<'header', typeof HEADER_SHAPE>;

const BLOCK: Declaration = ['display', 'block'];
const LAYER: Declaration = ['z-index', '100'];

/** Whether a bar stays in the window at some width while the page scrolls. */
export const sticks = ({ look }: Pick<Header, 'look'>): boolean =>
  Object.values(look['bar']?.all?.rest ?? {}).some(
    ({ sticks: own }) => own !== undefined && own !== 'scrolls away',
  );

/** Whether a bar stays in the window in one band: what a wider band says holds until a narrower one says otherwise. */
function staysIn(
  { look }: Pick<Header, 'look'>,
  { bands }: Pick<SiteContent, 'bands'>,
  band: number,
): boolean {
  const said = look['bar']?.all?.rest ?? {};
  const values = ['all', ...bands.slice(0, band + 1).map(({ id }) => id)].map((key) => said[key]?.sticks);
  return (values.findLast((value) => value !== undefined) ?? 'scrolls away') !== 'scrolls away';
}

/** How a bar stands in some bands: what its look says, and how high the rows are that leave and those that stay. */
interface Stand {
  readonly sticking: Sticking;
  readonly offset: string;
  readonly leaving: number;
  readonly staying: number;
  /** How much lower it is once the page is scrolled, in px. */
  readonly shrinks: number;
}

/** The least heights of the rows above that scroll away from a bar that stays, and of the others. */
function heights(header: Header, band: number, out: PieceOut): { leaving: number; staying: number } {
  let leaving = 0;
  let staying = 0;
  let isAbove = true;
  for (const row of header.rows) {
    const height = out.leastHeight(row, band);
    isAbove &&= out.valueIn(row.id, 'row', 'rowSticks', band) === 'scrolls away';
    if (isAbove) leaving += height;
    else staying += height;
  }
  // One row at least stays.
  return staying === 0 ? { leaving: 0, staying: leaving } : { leaving, staying };
}

function standIn(header: Header, band: number, out: PieceOut): Stand {
  const at = out.valueIn(header.id, 'bar', 'sticksAt', band);
  return {
    sticking: out.valueIn(header.id, 'bar', 'sticks', band) as Sticking,
    offset: isLength(at) ? lengthCss(at) : '0',
    ...heights(header, band, out),
    shrinks: header.rows.reduce(
      (sum, row) => sum + out.leastHeight(row, band) - out.leastHeight(row, band, ['scrolled']),
      0,
    ),
  };
}

/** How the bar stands on the page. */
function position({ over }: Header, { sticking, offset, leaving }: Stand): Declaration[] {
  const top = leaving > 0 ? `${-Math.round(leaving)}px` : offset;
  const at: Declaration = [
    'inset-block-start',
    leaving > 0 && offset !== '0' ? `calc(${offset} + ${top})` : top,
  ];
  const along: Declaration = ['inset-inline', '0'];
  switch (sticking) {
    case 'scrolls away':
      return over
        ? [BLOCK, ['position', 'absolute'], ['inset-block-start', '0'], along]
        : [BLOCK, ['position', 'relative']];
    case 'stays at the bottom':
      return [
        BLOCK,
        ['position', 'fixed'],
        ['inset-block', `auto ${offset}`],
        along,
        ['padding-block-end', 'env(safe-area-inset-bottom, 0px)'],
      ];
    case 'appears after a distance':
      return [BLOCK, ['position', 'fixed'], ['inset-block-start', offset], along];
    default:
      // Over the page it begins at the top, and stays there but for the rows that leave.
      return over ? [BLOCK, ['position', 'fixed'], at, along] : [BLOCK, ['position', 'sticky'], at];
  }
}

/** How long a bar takes to hide and to come back. */
const TIME = '250ms';

/** What hides while the page is scrolled its way, unless attention is in it. */
function hiding(own: string, away: string, way: string, out: PieceOut): ConditionalRule[] {
  return [
    ...movesOnceReady(out, `translate ${TIME}`),
    styleRule(`${own}${away}:not(:focus-within)`, [['translate', way]]),
  ];
}

/** A bar that grows lower in the flow keeps the place it took there, so that the page does not move after it. */
function keepingPlace({ id, over }: Header, { shrinks }: Stand, out: PieceOut): ConditionalRule[] {
  if (over || shrinks === 0 || out.saysOf(id, 'bar', 'marginBlock')) return [];
  return [styleRule(`${out.own}[${out.attribute('scrolled')}]`, [['margin-block-end', `${shrinks}px`]])];
}

function standRules(header: Header, stand: Stand, out: PieceOut): ConditionalRule[] {
  const { own } = out;
  const page = `html:has(${own})`;
  const { sticking, staying, offset } = stand;
  const place = styleRule(own, [...position(header, stand), LAYER]);
  const room = offset === '0' ? `${Math.round(staying)}px` : `calc(${offset} + ${Math.round(staying)}px)`;
  // A place that a link leads to is not hidden under a bar that stays.
  const padded = (side: 'start' | 'end') => styleRule(page, [[`scroll-padding-block-${side}`, room]]);
  switch (sticking) {
    case 'scrolls away':
      return [place];
    case 'hides on the way down':
      return [
        place,
        padded('start'),
        ...hiding(
          own,
          `[${out.attribute('down')}]`,
          `0 calc(-100% - ${offset === '0' ? '0px' : offset})`,
          out,
        ),
      ];
    case 'appears after a distance':
      return [
        place,
        styleRule(own, [[out.variable('after'), '400px']]),
        padded('start'),
        ...hiding(
          `${own}[${out.attribute('ready')}]`,
          `:not([${out.attribute('past')}])`,
          `0 calc(-100% - ${offset === '0' ? '0px' : offset})`,
          out,
        ),
        waitsForScript(out),
      ];
    case 'stays at the bottom':
      return [
        place,
        padded('end'),
        // The end of the page is not hidden beneath it, and what opens from it opens upward.
        styleRule(`body:has(${own})`, [['padding-block-end', room]]),
        styleRule(`${own} nav li>ul`, [['inset-block', 'auto 100%']]),
      ];
    default:
      return [place, padded('start'), ...keepingPlace(header, stand, out)];
  }
}

/** The bands in which a bar stands alike, each with the widths they have. */
function stands(header: Header, out: PieceOut): readonly Said<Stand>[] {
  return out
    .inBands((band) => (out.isShownIn(band) ? standIn(header, band, out) : null))
    .filter((stand) => stand.value !== null) as readonly Said<Stand>[];
}

function rules(header: Header, out: PieceOut): ConditionalRule[] {
  const folded = out.foldsBelow === null ? '' : ` and (width < ${out.foldsBelow}px)`;
  const lies = sticks(header) || header.over;
  return [
    ...rulesByBand(out, (band) =>
      out.isShownIn(band) ? standRules(header, standIn(header, band, out), out) : [],
    ),
    // What could not fold for want of a script makes it tall: it stands in the page then.
    ...(lies && out.foldsBelow !== null
      ? [
          styleRule(
            out.own,
            [BLOCK, ['position', 'relative'], ['inset-block', 'auto']],
            `@media (scripting: none)${folded}`,
          ),
        ]
      : []),
  ];
}

/** What the script does for a bar. */
function behaviours(header: Header, out: PieceOut): BehaviourId[] {
  const used = new Set(stands(header, out).map(({ value }) => value.sticking));
  return [
    ...(used.has('hides on the way down') ? (['hides'] as const) : []),
    ...(used.has('appears after a distance') ? (['appears'] as const) : []),
  ];
}

function compile(header: Header, out: PieceOut): Fragment {
  const rows = joined(header.rows.map((row) => out.section(row)));
  const node = element('header', { class: out.rootClass, ...out.rootData }, out.symbols(), ...rows.nodes);
  return fragment(
    [node],
    [...rules(header, out), ...rows.rules],
    [...behaviours(header, out), ...rows.behaviours],
  );
}

export const HEADER: PieceKind<'header', typeof HEADER_SHAPE> = {
  id: 'header',
  alsoCalled: 'bar navigation top masthead',
  label: 'Header',
  hint: 'the bar at the top of a page',
  shape: HEADER_SHAPE,
  slots: {
    bar: {
      label: 'Bar',
      levels: [],
      states: BOX_STATES,
      text: 'none',
      properties: [
        'sticks',
        'sticksAt',
        'sticksAfter',
        ...FILL_PROPERTIES,
        ...EDGE_PROPERTIES,
        ...MARGIN_PROPERTIES,
        ...MOTION_PROPERTIES,
      ],
      defaults: { fill: { role: 'paper' } },
    },
  },
  stands: 'start',
  create: ({ id, name, freshId }) => ({
    kind: 'header',
    id,
    name,
    over: false,
    rows: [createRow(freshId(), 'Main')],
    look: {},
  }),
  comesTo: (header, state) => state !== 'scrolled' || sticks(header),
  staysIn,
  keeps: (header, read, band) => {
    const sticking = read.value(header.id, 'bar', 'sticks', band) as Sticking;
    if (sticking === 'scrolls away') return null;
    const staying = header.rows.filter(
      ({ id }) => read.value(id, 'row', 'rowSticks', band) !== 'scrolls away',
    );
    const height = staying.reduce((sum, { id }) => sum + read.pixels(id, 'row', 'height', band), 0);
    const at = sticking === 'stays at the bottom' ? 'bottom' : 'top';
    return { at, height: height + read.pixels(header.id, 'bar', 'sticksAt', band), by: 'sticks' };
  },
  overContent: (header, states) => header.over || (sticks(header) && states.includes('scrolled')),
  grounds: ['bar'],
  behind: () => [],
  rootSlot: 'bar',
  compile,
};

/** Whether a piece is a header: for what is only ever done to headers, such as starting designs. */
export const isHeader = (piece: { readonly kind: string }): piece is Header => piece.kind === HEADER.id;
