import type { MenuItem } from '../../../model/menu-item.ts';
import {
  element,
  listElement,
  styleRule,
  text,
  type ConditionalRule,
  type Declaration,
  type HtmlElement,
  type HtmlNode,
} from '../../../print/trees.ts';
import { openerDrawing, turnRules } from '../../controls/opener-drawings.ts';
import {
  CLICKABLE,
  drawnAsType,
  fragment,
  MAY_MOVE,
  NO_SCRIPT,
  ON_ONE_LINE,
  PRINT,
  ruled,
  widely,
  type Fragment,
  type PartOut,
} from '../../out.ts';
import { UNSEEN } from '../../with-icon.ts';
import { accessibleName, itemAttributes } from '../menu/item.ts';
import { APART, EDGE, type Ring, type RingPoint } from './arc.ts';
import { hasLabel } from '../../controls/opener-fields.ts';
import { ringItems, type RingPart } from './shape.ts';
import { LABEL, ringIn, SMALLEST, type RingStand, type RingLooks } from './standing.ts';

/** The first letter of a label stands where a link has no icon. */
const initialLetter = (label: string) => [...label.trim()][0] ?? '·';

function linkElement(item: MenuItem, out: PartOut): HtmlElement {
  const icon = item.icon === undefined ? null : out.glyph(out.class('ring-icon'), item.icon);
  const letter = () =>
    element(
      'span',
      { class: out.class('ring-icon'), 'aria-hidden': 'true' },
      text(initialLetter(item.label)),
    );
  const name = accessibleName(item);
  const attributes = { ...itemAttributes(item, out.class('ring-link')), 'aria-label': name };
  return element(
    'li',
    { class: out.hidden(item.bands) },
    out.link(
      attributes,
      item.target,
      icon ?? letter(),
      element('span', { class: out.class('ring-label') }, text(item.label)),
    ),
  );
}

function openerElement(part: RingPart, id: string, out: PartOut): HtmlElement {
  const own = part.turns === 'none' ? out.name('icon') : `${out.name('icon')} ${out.class('ring-drawing')}`;
  const drawn: HtmlNode | null =
    part.icon !== null
      ? out.glyph(out.class('ring-opener-icon'), part.icon)
      : openerDrawing(own, part.drawing, part.turns);
  return element(
    'button',
    {
      class: out.class('ring-opener'),
      type: 'button',
      'aria-expanded': 'false',
      'aria-controls': id,
      'aria-label': hasLabel(part) ? null : part.label,
    },
    drawn,
    hasLabel(part) ? element('span', { class: out.class('ring-opener-label') }, text(part.label)) : null,
  );
}

function markup(part: RingPart, out: PartOut): HtmlElement {
  const id = out.id(out.class('ring'));
  const items = ringItems(out.site, part);
  return element(
    'nav',
    {
      class: out.classes('fan'),
      ...out.attributes,
      'aria-label': part.label,
      [out.attribute('hover')]: part.opensOn === 'hover' && '',
    },
    listElement(
      {},
      element(
        'li',
        {},
        openerElement(part, id, out),
        listElement({ class: out.class('ring'), id }, ...items.map((item) => linkElement(item, out))),
      ),
    ),
  );
}

/** Where the ring's middle stands: the opener's, also where that has a label behind its drawing. */
function middleOf({ place, opener }: RingStand): readonly Declaration[] {
  const inline: Declaration = place.endsWith('start')
    ? ['inset-inline-start', `${opener / 2}px`]
    : place.endsWith('end')
      ? ['inset-inline-end', `${opener / 2}px`]
      : ['inset-inline-start', '50%'];
  return [['inset-block', '50% auto'], inline, ['inline-size', '0'], ['block-size', '0']];
}

/** The selector of a link of the list, and of something in it. */
const nth = (out: PartOut, index: number, rest = '') => out.at('ring', `>:nth-child(${index + 1})${rest}`);

/** The width in px that a label beside a target has, toward the middle of the window, and away from it. */
function roomBeside(stand: RingStand, point: RingPoint): { inward: number; outward: number } {
  const half = stand.target / 2 + APART + EDGE;
  const end = stand.place.endsWith('end');
  const middle = !end && !stand.place.endsWith('start');
  // The opener's own distance from its side is left out: it makes room, never less.
  const opener = middle ? stand.width / 2 : stand.opener / 2;
  const toEnd = end ? opener - point.x : stand.width - opener - point.x;
  const toStart = end ? stand.width - opener + point.x : opener + point.x;
  const [inward, outward] = end || (middle && point.x < 0) ? [toStart, toEnd] : [toEnd, toStart];
  return { inward: inward - half, outward: outward - half };
}

/** The widest a label beside a link is, in px. */
const WIDEST_LABEL = 240;

const isTowardStart = (stand: RingStand, point: RingPoint) =>
  stand.place.endsWith('end') || (!stand.place.endsWith('start') && point.x < 0);

/** Labels that show beside a link that is pointed at, each where it has room. */
function labelsBeside(stand: RingStand, { points }: Ring, out: PartOut): ConditionalRule[] {
  const label = out.at('ring-label');
  const groups = new Map<string, number[]>();
  points.forEach((point, index) => {
    const { inward, outward } = roomBeside(stand, point);
    const side = isTowardStart(stand, point) === inward >= outward ? 'end' : 'start';
    const room = Math.floor(Math.min(WIDEST_LABEL, Math.max(inward, outward)));
    const key = `${side} ${room}`;
    groups.set(key, [...(groups.get(key) ?? []), index]);
  });
  return [...groups].map(([key, indices]) => {
    const [side = '', room = ''] = key.split(' ');
    const selector =
      groups.size === 1
        ? label
        : indices.map((index) => nth(out, index, ` .${out.class('ring-label')}`)).join(', ');
    return styleRule(selector, [
      [`inset-inline-${side}`, `calc(100% + ${APART}px)`],
      ['max-inline-size', `${room}px`],
    ]);
  });
}

/**
 * A label over what is beneath it, in sight while its link is pointed at or has the focus. The room between the two
 * belongs to the link, so that the pointer can move on to the label (WCAG 2.2, 1.4.13).
 */
function pointedRules(out: PartOut): ConditionalRule[] {
  const label = out.class('ring-label');
  const pointed = out.at('ring', `>li:hover`);
  return [
    styleRule(out.at('ring-label'), [
      ['position', 'absolute'],
      ['inline-size', 'max-content'],
      // Out of sight it is still what the link is called.
      ['opacity', '0'],
      ['pointer-events', 'none'],
      ...ON_ONE_LINE,
    ]),
    styleRule(`${pointed}::before`, [
      ['content', '""'],
      ['position', 'absolute'],
      ['inset', `-${APART}px`],
    ]),
    styleRule(`${out.within(`.${out.class('ring-link')}:focus-visible>.${label}`)}, ${pointed} .${label}`, [
      ['opacity', '1'],
      ['pointer-events', 'auto'],
    ]),
  ];
}

/** Labels beneath their links, no wider than those keep from one another. */
const beneathRules = (stand: RingStand, out: PartOut): ConditionalRule[] => [
  styleRule(out.at('ring-label'), [
    ['position', 'absolute'],
    ['inset-block-start', '100%'],
    ['inset-inline', `-${LABEL.wider / 2}px`],
    ['text-align', 'center'],
    ['max-block-size', `${LABEL.line}px`],
    ...ON_ONE_LINE,
  ]),
];

/** Links that come one after the other: the time between two in ms, and how many come apart. */
const AFTER = { time: 35, most: 12 } as const;

function comingRules(stand: RingStand, count: number, out: PartOut): ConditionalRule[] {
  if (stand.comes === 'at once') return [];
  const opened = `[${out.attribute('open')}]`;
  const last = Math.min(AFTER.most, count);
  return [
    styleRule(
      out.at('ring', '>li'),
      [
        ['transition-property', 'inset, opacity, scale'],
        ['transition-duration', 'inherit'],
      ],
      MAY_MOVE,
    ),
    styleRule(out.at('ring'), [['transition-property', 'visibility']], MAY_MOVE),
    ...(stand.comes === 'one after the other'
      ? Array.from({ length: last - 1 }, (_, index) =>
          styleRule(
            out.at('ring', `${opened}>:nth-child(${index + 2 === last ? `n + ${last}` : index + 2})`),
            [['transition-delay', `${(index + 1) * AFTER.time}ms`]],
            MAY_MOVE,
          ),
        )
      : []),
  ];
}

/** The links on their circles; closed they lie beneath the opener. */
function arcRules(stand: RingStand, ring: Ring, out: PartOut): ConditionalRule[] {
  const { target, labels } = stand;
  const half = target / 2;
  const raised = labels === 'in sight' ? LABEL.line / 2 : 0;
  const links = out.at('ring', '>li');
  const opened = `[${out.attribute('open')}]`;
  const place = ({ x, y }: RingPoint): readonly Declaration[] => [
    ['inset-block-start', `${round(y - half - raised)}px`],
    ['inset-inline-start', `${round(x - half)}px`],
  ];
  return [
    styleRule(out.at('ring'), middleOf(stand)),
    styleRule(links, [['position', 'absolute'], ...place({ x: 0, y: 0 }), ['opacity', '0'], ['scale', '.5']]),
    styleRule(out.at('ring', `${opened}>li`), [
      ['opacity', '1'],
      ['scale', 'none'],
    ]),
    ...ring.points.map((point, index) =>
      styleRule(out.at('ring', `${opened}>:nth-child(${index + 1})`), place(point)),
    ),
    styleRule(out.at('ring-link'), [
      ['inline-size', `${target}px`],
      ['block-size', `${target}px`],
    ]),
    ...labelRules(stand, ring, out),
  ];
}

const round = (value: number) => Math.round(value * 10) / 10;

function labelRules(stand: RingStand, ring: Ring, out: PartOut): ConditionalRule[] {
  switch (stand.labels) {
    case 'in sight':
      return beneathRules(stand, out);
    case 'read out alone':
      return [styleRule(out.at('ring-label'), UNSEEN)];
    case 'at pointing':
      return [...pointedRules(out), ...labelsBeside(stand, ring, out)];
  }
}

/** Where a column or row of links begins: beyond the opener, toward the middle of the window. */
function besideOpener({ place, gap }: RingStand, isRow: boolean): readonly Declaration[] {
  const away = `calc(100% + ${gap}px)`;
  const isEnd = place.endsWith('end');
  const isMiddle = !isEnd && !place.endsWith('start');
  if (isRow)
    return isMiddle
      ? [
          ['inset-block', place.includes('top') ? `${away} auto` : `auto ${away}`],
          ['inset-inline', '-50vw'],
          ['inline-size', 'fit-content'],
          ['margin-inline', 'auto'],
        ]
      : [
          ['inset-inline', isEnd ? `auto ${away}` : `${away} auto`],
          ['inset-block', '0'],
        ];
  const along: readonly Declaration[] = isMiddle
    ? [
        ['inset-inline', '-50vw'],
        ['inline-size', 'fit-content'],
        ['margin-inline', 'auto'],
      ]
    : [['inset-inline', isEnd ? 'auto 0' : '0 auto']];
  if (place.includes('bottom')) return [['inset-block', `auto ${away}`], ...along];
  if (place.includes('top')) return [['inset-block', `${away} auto`], ...along];
  // In the middle of a side a column stands beside the opener, as high above it as beneath.
  return [
    ['inset-inline', isEnd ? `auto ${away}` : `${away} auto`],
    ['inset-block', '-50vh'],
    ['block-size', 'fit-content'],
    ['margin-block', 'auto'],
  ];
}

/** What a column or row keeps free of the window, in px. */
const FREE = 32;

/** Whether so many links stand in a column or row without scrolling, so that what lies beside them is not cut. */
function isShort({ target, gap, opener, width }: RingStand, count: number, isRow: boolean): boolean {
  const room = (isRow ? width : SMALLEST.low) - opener - 2 * FREE;
  return count * (target + gap) <= room;
}

/** The links in a column or row; one that does not fit the window scrolls. */
function lineRules(stand: RingStand, isRow: boolean, count: number, out: PartOut): ConditionalRule[] {
  const list = out.at('ring');
  const isCut = !isShort(stand, count, isRow);
  const placed = besideOpener(stand, isRow);
  const labels = stand.labels === 'at pointing' && isCut ? 'in sight' : stand.labels;
  const opened = `[${out.attribute('open')}]`;
  return [
    styleRule(list, [
      ...placed,
      ['flex-direction', isRow ? 'row' : 'column'],
      ...(isCut
        ? ([
            [
              `max-${isRow ? 'inline' : 'block'}-size`,
              `calc(100v${isRow ? 'w' : 'h'} - ${stand.opener + 2 * FREE}px)`,
            ],
            [isRow ? 'overflow-x' : 'overflow-y', 'auto'],
            // Shadows and rings of focus are not cut.
            ['padding', `${EDGE}px`],
            ...(placed.some(([name]) => name.startsWith('margin'))
              ? []
              : ([['margin', `-${EDGE}px`]] as const)),
          ] as const)
        : []),
    ]),
    styleRule(out.at('ring', '>li'), [
      ['flex', 'none'],
      ['position', 'relative'],
      ['opacity', '0'],
      ['scale', '.5'],
    ]),
    styleRule(out.at('ring', `${opened}>li`), [
      ['opacity', '1'],
      ['scale', 'none'],
    ]),
    styleRule(out.at('ring-link'), [
      ['min-inline-size', `${stand.target}px`],
      ['min-block-size', `${stand.target}px`],
      ...(labels === 'in sight' && !isRow ? ([['justify-content', 'flex-start']] as const) : []),
    ]),
    ...(labels === 'read out alone' ? [styleRule(out.at('ring-label'), UNSEEN)] : []),
    ...(labels === 'in sight'
      ? [
          styleRule(out.at('ring-label'), [
            ['position', 'static'],
            ['max-inline-size', '60vw'],
            ...ON_ONE_LINE,
          ]),
          // A label with a ground of its own keeps within the shape of its link.
          styleRule(out.at('ring-link'), [['overflow', 'hidden']]),
          // Beside its label a first letter says nothing.
          styleRule(out.within(`span.${out.class('ring-icon')}`), [['display', 'none']]),
        ]
      : []),
    ...(labels === 'at pointing'
      ? [...pointedRules(out), styleRule(out.at('ring-label'), besideLink(stand, isRow))]
      : []),
  ];
}

/** Where a label shows beside a link of a column, or over one of a row. */
function besideLink({ place }: RingStand, isRow: boolean): readonly Declaration[] {
  const away = `calc(100% + ${APART}px)`;
  const width: Declaration = ['max-inline-size', `${WIDEST_LABEL}px`];
  if (isRow) return [['inset-block', place.includes('top') ? `${away} auto` : `auto ${away}`], width];
  return [[place.endsWith('end') ? 'inset-inline-end' : 'inset-inline-start', away], width];
}

function standRules(stand: RingStand, count: number, out: PartOut): readonly ConditionalRule[] {
  const line = (isRow: boolean) => lineRules(stand, isRow, count, out);
  const arc = (ring: Ring | null) => (ring ? arcRules(stand, ring, out) : line(false));
  const isLow = '@media (height < 480px)';
  const isHigh = '@media (height >= 480px)';
  const placed =
    stand.form === 'on an arc'
      ? stand.ring === stand.low
        ? arc(stand.ring)
        : [...widely(arc(stand.ring), [isHigh]), ...widely(arc(stand.low), [isLow])]
      : line(stand.form === 'in a row');
  return [...placed, ...comingRules(stand, count, out)];
}

/** Where no script opens it, the links stand in a column in the page. */
const plainRules = (out: PartOut): ConditionalRule[] =>
  ruled(
    [
      [out.at('ring-opener'), [['display', 'none']]],
      [
        `${out.root} ul.${out.class('ring')}`,
        [
          ['position', 'static'],
          ['visibility', 'visible'],
          ['inline-size', 'auto'],
          ['block-size', 'auto'],
          ['flex-direction', 'column'],
          ['max-block-size', 'none'],
        ],
      ],
      [
        `${out.root} ul.${out.class('ring')}>li`,
        [
          ['position', 'static'],
          ['opacity', '1'],
          ['scale', 'none'],
        ],
      ],
      [
        `${out.root} a.${out.class('ring-link')}`,
        [
          ['inline-size', 'auto'],
          ['justify-content', 'flex-start'],
        ],
      ],
      [
        `${out.root} .${out.class('ring-link')} span.${out.class('ring-label')}`,
        [
          ['position', 'static'],
          ['opacity', '1'],
          ['clip-path', 'none'],
          ['inline-size', 'auto'],
          ['block-size', 'auto'],
        ],
      ],
    ],
    [NO_SCRIPT],
  );

function rules(part: RingPart, out: PartOut): ConditionalRule[] {
  const looks: RingLooks = {
    own: (slot, id, band) => out.valueIn(slot, id, band),
    piece: (slot, id, band) => out.pieceValueIn(slot, id, band),
  };
  const count = ringItems(out.site, part).length;
  const opener = out.at('ring-opener');
  const drawing = out.at('ring-drawing');
  const shown = `[${out.attribute('open')}]`;
  return [
    styleRule(out.at('fan', '>ul>li'), [
      ['display', 'flex'],
      ['position', 'relative'],
    ]),
    styleRule(opener, [
      ['display', 'flex'],
      ['align-items', 'center'],
      ['justify-content', 'center'],
      ['position', 'relative'],
      ['z-index', '1'],
      CLICKABLE,
    ]),
    ...(part.icon === null
      ? turnRules(part.drawing, part.turns, {
          drawing,
          turned: `${opener}[aria-expanded=true]>.${out.class('ring-drawing')}`,
        })
      : drawnAsType(out.at('ring-opener-icon'))),
    styleRule(out.at('ring'), [
      ['display', 'flex'],
      ['position', 'absolute'],
      ['visibility', 'hidden'],
    ]),
    styleRule(
      `${out.at('ring', shown)}, ${out.unready} li:hover>.${out.class('ring')}, ${out.unready} li:focus-within>.${out.class('ring')}`,
      [['visibility', 'visible']],
    ),
    styleRule(out.at('ring-link'), [
      ['display', 'flex'],
      ['align-items', 'center'],
      ['justify-content', 'center'],
      ['position', 'relative'],
      ['box-sizing', 'border-box'],
      CLICKABLE,
    ]),
    ...drawnAsType(out.at('ring-icon')),
    styleRule(out.at('ring-icon'), [
      ['text-align', 'center'],
      ['line-height', '1'],
    ]),
    ...out
      .inBands((band) => ringIn(out.site, part, looks, band))
      .flatMap(({ value, conditions }) => widely(standRules(value, count, out), conditions)),
    ...plainRules(out),
    styleRule(out.at('fan'), [['display', 'none']], PRINT),
  ];
}

/** An opener and its links, opened as submenus are. */
export function compileRing(part: RingPart, out: PartOut): Fragment {
  return fragment([markup(part, out)], rules(part, out), ['current', 'disclosure', 'arrows']);
}
