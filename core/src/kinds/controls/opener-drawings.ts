import {
  element,
  styleRule,
  type ConditionalRule,
  type Declaration,
  type HtmlElement,
} from '../../print/trees.ts';
import { MAY_MOVE } from '../out.ts';

/*
 * Drawings of openers on a grid of 24 by 24, stroke by stroke, so that the strokes can turn into the sign for closing.
 */

/** What openers are drawn as, with what each is called. */
export const OPENER_DRAWINGS = {
  lines: 'three lines',
  two: 'two lines',
  uneven: 'uneven lines',
  dots: 'a grid of dots',
  plus: 'a plus',
  none: 'nothing: its label alone',
} as const;

export type OpenerDrawing = keyof typeof OPENER_DRAWINGS;

/** How a drawing turns into the sign for closing, with what each is called. */
export const TURNS = {
  none: 'not at all',
  cross: 'its lines cross',
  spin: 'its lines cross as it spins',
  gather: 'its lines close up, then cross',
  fade: 'it fades over',
  grow: 'it shrinks, the other grows',
  flip: 'it flips over',
} as const;

export type Turn = keyof typeof TURNS;

/** Whether a stroke is made of round points. */
const POINTS: HtmlElement['attributes'] = { 'stroke-width': '4' };

const STROKES: Readonly<Record<OpenerDrawing, readonly string[]>> = {
  lines: ['M3 6h18', 'M3 12h18', 'M3 18h18'],
  two: ['M3 8.5h18', 'M3 15.5h18'],
  uneven: ['M3 6h18', 'M3 12h12', 'M3 18h15'],
  dots: ['M5 5h.01M12 5h.01M19 5h.01', 'M5 12h.01M12 12h.01M19 12h.01', 'M5 19h.01M12 19h.01M19 19h.01'],
  plus: ['M12 4v16', 'M4 12h16'],
  none: [],
};

const CROSS = 'M5 5l14 14M19 5L5 19';

/** How each stroke lies once they cross; null is out of sight. Lengths are in units of the grid. */
const CROSSED: Readonly<Record<OpenerDrawing, readonly (readonly Declaration[] | null)[]>> = {
  lines: [crossing('0 6px', 45), null, crossing('0 -6px', -45)],
  two: [crossing('0 3.5px', 45), crossing('0 -3.5px', -45)],
  uneven: [crossing('0 6px', 45), null, crossing('1.5px -6px', -45)],
  dots: [],
  plus: [crossing(null, 45), crossing(null, 45)],
  none: [],
};

function crossing(way: string | null, degrees: number): readonly Declaration[] {
  const rotate: Declaration = ['rotate', `${degrees}deg`];
  return way === null ? [rotate] : [['translate', way], rotate];
}

/** Turns that move the strokes themselves; others draw the cross over them. */
const STROKEWISE: readonly Turn[] = ['cross', 'spin', 'gather'];

const movesStrokes = (drawing: OpenerDrawing, turn: Turn): boolean =>
  STROKEWISE.includes(turn) && CROSSED[drawing].length > 0;

const turnsAtAll = (drawing: OpenerDrawing, turn: Turn): boolean => turn !== 'none' && drawing !== 'none';

/** The drawing of an opener; one that turns by being drawn over has the cross in it. */
export function openerDrawing(className: string, drawing: OpenerDrawing, turn: Turn): HtmlElement | null {
  if (drawing === 'none') return null;
  const isOver = turnsAtAll(drawing, turn) && !movesStrokes(drawing, turn);
  const isWhole = !turnsAtAll(drawing, turn);
  const own = drawing === 'dots' ? POINTS : {};
  const strokes = isWhole
    ? [element('path', { d: STROKES[drawing].join(''), ...own })]
    : STROKES[drawing].map((d) => element('path', { d, ...own }));
  return element(
    'svg',
    { class: className, viewBox: '0 0 24 24', 'aria-hidden': 'true' },
    ...(isOver ? [element('g', {}, ...strokes), element('path', { d: CROSS })] : strokes),
  );
}

/** How long a drawing takes to turn, in ms. */
const TURN_TIME = 250;

const HALF = TURN_TIME / 2;

/** What is drawn over, and what it is drawn over with: away, and in place. */
const OVER: Readonly<Record<'fade' | 'grow' | 'flip', readonly Declaration[]>> = {
  fade: [['opacity', '0']],
  grow: [['scale', '0']],
  flip: [['scale', '0 1']],
};

/**
 * The rules of a drawing that turns. `drawing` and `turned` are selectors of it as it is and while it is turned; it may be
 * turned from the first moment it is there, `from` then says where that begins.
 */
export function turnRules(
  kind: OpenerDrawing,
  turn: Turn,
  { drawing, turned, from }: { readonly drawing: string; readonly turned: string; readonly from?: string },
): ConditionalRule[] {
  if (!turnsAtAll(kind, turn)) return [];
  const begins = (rest: string, declarations: readonly Declaration[]) =>
    from === undefined ? [] : [styleRule(from + rest, declarations, MAY_MOVE, '@starting-style')];
  const moves = (selector: string, ...names: readonly string[]) =>
    styleRule(selector, [['transition', names.join(', ')]], MAY_MOVE);
  if (!movesStrokes(kind, turn)) {
    const away = OVER[turn === 'grow' || turn === 'flip' ? turn : 'fade'];
    const back = asDrawn(away);
    return [
      styleRule(`${drawing}>*`, [['transform-origin', '12px 12px']]),
      styleRule(`${drawing}>path`, away),
      styleRule(`${turned}>g`, away),
      styleRule(`${turned}>path`, back),
      ...begins('>g', back),
      ...begins('>path', away),
      moves(`${drawing}>*`, ...away.map(([name]) => `${name} ${TURN_TIME}ms`)),
    ];
  }
  const strokes = CROSSED[kind].map((declarations) => declarations ?? ([['opacity', '0']] as const));
  const timed = (first: string, then: string) => [
    `${first} ${HALF}ms`,
    `${then} ${HALF}ms ${HALF}ms`,
    `opacity ${HALF}ms`,
  ];
  return [
    styleRule(`${drawing}>*`, [
      ['transform-box', 'fill-box'],
      ['transform-origin', '50% 50%'],
    ]),
    ...strokes.flatMap((declarations, index) => {
      const stroke = `>:nth-child(${index + 1})`;
      return [styleRule(turned + stroke, declarations), ...begins(stroke, asDrawn(declarations))];
    }),
    ...(turn === 'gather'
      ? [
          moves(`${drawing}>*`, ...timed('rotate', 'translate')),
          moves(`${turned}>*`, ...timed('translate', 'rotate')),
        ]
      : [
          moves(
            `${drawing}>*`,
            ...['translate', 'rotate', 'opacity'].map((name) => `${name} ${TURN_TIME}ms`),
          ),
        ]),
    ...(turn === 'spin'
      ? [
          styleRule(turned, [['rotate', '180deg']]),
          ...begins('', [['rotate', 'none']]),
          moves(drawing, `rotate ${TURN_TIME}ms`),
        ]
      : []),
  ];
}

/** What undoes some declarations of a turn. */
const asDrawn = (declarations: readonly Declaration[]): Declaration[] =>
  declarations.map(([name]) => [name, name === 'opacity' ? '1' : 'none']);
