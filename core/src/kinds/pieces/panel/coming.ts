import type { Block } from '../../sections/block/block.ts';
import { styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import type { Values } from '../../../model/look.ts';
import { MAY_MOVE, widely, type PieceOut } from '../../out.ts';
import type { Coming } from '../../properties/panel.ts';
import type { PropertyId } from '../../properties/properties.ts';
import type { Panel } from './shape.ts';
import { ownEdge, placeIn, type OwnEdge } from './standing.ts';

/*
 * How a panel and its blocks come and go. What is not displayed has a style to start from (CSS Transitions 2,
 * `@starting-style`), and stays displayed and on top while it goes; engines that know neither show and hide it at once.
 */

const BEFORE = '@starting-style';

/** Room for shadows around what is cut, so that it does not cut them. */
const ROOM = '-60px';

/** How much is left of what grows, before it does. */
const SMALL = '.9';

/** Which way things are away: for text from left to right, and mirrored. */
interface Away {
  readonly declarations: readonly Declaration[];
  /** Where text runs from right to left. */
  readonly mirrored: readonly Declaration[];
}

const same = (declarations: readonly Declaration[]): Away => ({ declarations, mirrored: [] });

const WAY_OUT: Readonly<Record<OwnEdge, string>> = {
  start: '-100%',
  end: '100%',
  top: '0 -100%',
  bottom: '0 100%',
};

function slid(edge: OwnEdge, more: readonly Declaration[]): Away {
  const mirrored = edge === 'start' ? '100%' : '-100%';
  return {
    declarations: [...more, ['translate', WAY_OUT[edge]]],
    mirrored: edge === 'start' || edge === 'end' ? [['translate', mirrored]] : [],
  };
}

/** What is cut off to begin with: all of it, beginning at the edge across. */
function rolled(edge: OwnEdge): Away {
  const cut = (top: string, right: string, bottom: string, left: string): Declaration[] => [
    ['clip-path', `inset(${top} ${right} ${bottom} ${left})`],
  ];
  const fromLeft = cut(ROOM, '100%', ROOM, ROOM);
  const fromRight = cut(ROOM, ROOM, ROOM, '100%');
  switch (edge) {
    case 'start':
      return { declarations: fromLeft, mirrored: fromRight };
    case 'end':
      return { declarations: fromRight, mirrored: fromLeft };
    case 'top':
      return same(cut(ROOM, ROOM, '100%', ROOM));
    default:
      return same(cut('100%', ROOM, ROOM, ROOM));
  }
}

const curtain = (edge: OwnEdge): Away =>
  same([['clip-path', edge === 'start' || edge === 'end' ? `inset(${ROOM} 50%)` : `inset(50% ${ROOM})`]]);

const FADED: Declaration = ['opacity', '0'];

function awayOf(way: Coming, edge: OwnEdge): Away {
  switch (way) {
    case 'at once':
      return same([]);
    case 'fading':
    case 'one by one':
      return same([FADED]);
    case 'sliding':
      return slid(edge, []);
    case 'fading and sliding':
      return slid(edge, [FADED]);
    case 'growing':
      return same([FADED, ['scale', SMALL]]);
    case 'unrolling':
      return rolled(edge);
    case 'as a curtain':
      return curtain(edge);
  }
}

const EDGES: Readonly<Partial<Record<string, OwnEdge>>> = {
  'the start': 'start',
  'the end': 'end',
  'the top': 'top',
  'the bottom': 'bottom',
};

/** How something comes and goes, by what its look says. */
interface Way {
  readonly comes: Coming;
  readonly goes: Coming;
  readonly from: OwnEdge;
  readonly to: OwnEdge;
}

function readComing(values: Values, own: OwnEdge): Way {
  const comes = values.comesIn as Coming;
  const goes = values.goesOut as Coming | 'as it came';
  const from = EDGES[values.comesFrom as string] ?? own;
  return {
    comes,
    goes: goes === 'as it came' ? (comes === 'one by one' ? 'fading' : comes) : goes,
    from,
    to: EDGES[values.goesTo as string] ?? from,
  };
}

const ASKED: readonly PropertyId[] = ['comesIn', 'comesFrom', 'goesOut', 'goesTo'];

const names = (...aways: readonly Away[]): string[] => [
  ...new Set(aways.flatMap(({ declarations }) => declarations.map(([name]) => name))),
];

/** Selectors of something that comes and goes: as it is, and while it is open and closed. */
interface Mover {
  readonly itself: string;
  readonly opened: string;
  readonly closed: string;
}

/** What looks of a panel and its blocks say of a motion besides how long it takes to come; the rest is as browsers have it. */
interface Times {
  readonly curve: boolean;
  readonly delay: boolean;
  readonly leaving: boolean;
}

function timesSaid(panel: Panel, out: PieceOut): Times {
  const says = (id: PropertyId) =>
    out.saysOf(panel.id, 'panel', id) || panel.blocks.some((block) => out.saysOf(block.id, 'block', id));
  return { curve: says('comeCurve'), delay: says('comeDelay'), leaving: says('goTime') };
}

/** How long something takes to come, and how, as the look of the panel or the block says. */
const comingTimes = (out: PieceOut, { curve, delay }: Times): Declaration[] => [
  ['transition-duration', `var(${out.variable('come-time')})`],
  ...(curve ? [['transition-timing-function', `var(${out.variable('come-curve')}, ease)`] as const] : []),
  ...(delay ? [['transition-delay', `var(${out.variable('come-delay')}, 0s)`] as const] : []),
];

/** What is different where it goes. */
const goingTimes = (out: PieceOut, { delay, leaving }: Times): Declaration[] => [
  ...(leaving
    ? [['transition-duration', `var(${out.variable('go-time')}, var(${out.variable('come-time')}))`] as const]
    : []),
  ...(delay ? [['transition-delay', '0s'] as const] : []),
];

/** Rules under which something is away, mirrored where that makes a difference. */
function awayRules(selector: string, { declarations, mirrored }: Away, ...conditions: string[]) {
  return [
    ...(declarations.length > 0 ? [styleRule(selector, declarations, ...conditions)] : []),
    ...(mirrored.length > 0 ? [styleRule(`${selector}:dir(rtl)`, mirrored, ...conditions)] : []),
  ];
}

/** What takes part in a motion while the thing is in its place. */
const inPlace = (moved: readonly string[]): Declaration[] =>
  moved.includes('clip-path') ? [['clip-path', `inset(${ROOM})`]] : [];

function moverRules(
  mover: Mover,
  values: Values,
  own: OwnEdge,
  out: PieceOut,
  times: Times,
  lasting: readonly string[],
) {
  const { comes, goes, from, to } = readComing(values, own);
  const before = awayOf(comes, from);
  const after = awayOf(goes, to);
  const moved = names(before, after);
  const cut = inPlace(moved);
  return [
    styleRule(
      mover.itself,
      [
        ['transition-property', [...moved, ...lasting].join(', ')],
        ...comingTimes(out, times),
        ...(lasting.length > 0 ? [['transition-behavior', 'allow-discrete'] as const] : []),
      ],
      MAY_MOVE,
    ),
    ...(cut.length > 0 ? [styleRule(mover.opened, cut, MAY_MOVE)] : []),
    ...awayRules(mover.closed, { declarations: goingTimes(out, times), mirrored: [] }, MAY_MOVE),
    ...awayRules(mover.closed, after, MAY_MOVE),
    ...awayRules(mover.opened, before, MAY_MOVE, BEFORE),
    ...(comes === 'one by one' ? oneByOne(mover, out, times) : []),
  ];
}

/** How many links come one by one; those behind come with the last. */
const MOST_APART = 12;
/** Time between two of them, in ms. */
const APART = 50;

/** The links of menus that come one after another. */
function oneByOne({ opened }: Mover, out: PieceOut, times: Times): ConditionalRule[] {
  const link = `${opened} nav>ul>li`;
  const behind = Array.from({ length: MOST_APART }, (_, index) => index + 1);
  return [
    styleRule(link, [FADED, ['translate', '0 12px']], MAY_MOVE, BEFORE),
    styleRule(
      link,
      [['transition-property', 'opacity, translate'], ...comingTimes(out, { ...times, delay: false })],
      MAY_MOVE,
    ),
    ...behind.map((place) =>
      styleRule(
        `${link}:nth-child(${place === MOST_APART ? `n + ${place}` : place})`,
        [
          [
            'transition-delay',
            times.delay
              ? `calc(var(${out.variable('come-delay')}, 0s) + ${place * APART}ms)`
              : `${place * APART}ms`,
          ],
        ],
        MAY_MOVE,
      ),
    ),
  ];
}

/** The scrim fades as its panel comes and goes. */
function scrimRules({ itself, opened, closed }: Mover, out: PieceOut, times: Times): ConditionalRule[] {
  const behind = '::backdrop';
  return [
    styleRule(
      itself + behind,
      [
        ['transition-property', 'opacity, display, overlay'],
        ...comingTimes(out, times),
        ['transition-behavior', 'allow-discrete'],
      ],
      MAY_MOVE,
    ),
    styleRule(closed + behind, [FADED, ...goingTimes(out, times)], MAY_MOVE),
    styleRule(opened + behind, [FADED], MAY_MOVE, BEFORE),
  ];
}

/** Whether anything comes or goes by itself, rather than at once. */
const moves = (values: Values): boolean =>
  values.comesIn !== 'at once' || (values.goesOut !== 'as it came' && values.goesOut !== 'at once');

/** How a panel, its scrim and its blocks come and go. */
export function comingRules(panel: Panel, out: PieceOut): ConditionalRule[] {
  // Before the script has run it stands in the page, or nowhere: nothing moves there.
  const itself = `${out.own}[${out.attribute('ready')}=true]`;
  const mover: Mover = { itself, opened: `${itself}[open]`, closed: `${itself}:not([open])` };
  const blocks = panel.blocks.flatMap((block) =>
    out.saidOf(block.id, 'block', ASKED).map((said) => ({ block, ...said })),
  );
  const moving = blocks.filter(({ value }) => moves(value));
  const times = timesSaid(panel, out);
  const at = (root: string, block: Block) => `${root} .${out.classOf(block.id, 'block')}`;
  return [
    ...out
      .saidOf(panel.id, 'panel', ['stands', ...ASKED])
      .filter(({ value }) => moves(value) || moving.length > 0)
      .flatMap(({ value, conditions }) => {
        const own = ownEdge(placeIn(value, out.openedFrom), out.openedFrom);
        const rules = [
          ...moverRules(mover, value, own, out, times, ['display', 'overlay']),
          ...scrimRules(mover, out, times),
        ];
        return widely(rules, conditions);
      }),
    // A block waits for itself, not as its panel does: said as its look is and before it.
    ...(times.delay
      ? [...new Set(moving.map(({ block }) => block))].map((block) =>
          styleRule(out.atOf(block.id, 'block'), [[out.variable('come-delay'), '0s']]),
        )
      : []),
    ...moving.flatMap(({ block, value, conditions }) => {
      const each = {
        itself: at(itself, block),
        opened: at(mover.opened, block),
        closed: at(mover.closed, block),
      };
      return widely(moverRules(each, value, 'bottom', out, times, []), conditions);
    }),
  ];
}
