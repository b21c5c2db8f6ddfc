import { styleRule, type ConditionalRule } from '../../../print/trees.ts';
import { lengthCss } from '../../../values/kinds/length.ts';
import { isLength } from '../../../values/length.ts';
import type { Values } from '../../../model/look.ts';
import { MAY_MOVE, widely, type PieceOut } from '../../out.ts';
import type { PageBehind } from '../../properties/panel.ts';
import type { Panel } from './shape.ts';
import { isAtSide, placeIn } from './standing.ts';

/*
 * The page behind an open panel. Pushed aside it is moved by its position, so that what is fixed in it stays where it is.
 */

/** How large the page is drawn behind a panel. */
const SMALLER = '.94';

function pushed(values: Values, panel: string, out: PieceOut): ConditionalRule[] {
  const place = placeIn(values, out.openedFrom);
  if (!isAtSide(place) || !isLength(values.width)) return [];
  const width = lengthCss(values.width);
  const time = typeof values.comeTime === 'number' ? values.comeTime : 0;
  return [
    styleRule(`body:has(${panel})`, [['position', 'relative']]),
    styleRule(`body:has(${panel})`, [['transition', `inset-inline-start ${time}ms`]], MAY_MOVE),
    styleRule(`html:has(${panel}:modal)`, [['overflow-x', 'clip']]),
    styleRule(`body:has(${panel}:modal)`, [
      ['inset-inline-start', place === 'start' ? width : `calc(-1 * ${width})`],
    ]),
  ];
}

function smaller(values: Values, panel: string, out: PieceOut): ConditionalRule[] {
  const time = typeof values.comeTime === 'number' ? values.comeTime : 0;
  return [
    styleRule(`body:has(${panel})`, [
      ['transform-origin', `50% calc(var(${out.variable('y')}, 0px) + 50vh)`],
    ]),
    styleRule(`body:has(${panel})`, [['transition', `scale ${time}ms`]], MAY_MOVE),
    styleRule(`body:has(${panel}:modal)`, [['scale', SMALLER]]),
  ];
}

const behind = (values: Values): PageBehind => values.pageBehind as PageBehind;

const said = (panel: Panel, out: PieceOut) =>
  out.saidOf(panel.id, 'panel', ['pageBehind', 'stands', 'width', 'comeTime']);

/** Whether the page is drawn smaller at some width: its middle is then that of the window. */
export const drawsSmaller = (panel: Panel, out: PieceOut): boolean =>
  said(panel, out).some(({ value }) => behind(value) === 'is drawn smaller');

/** What becomes of the page behind. */
export function behindRules(panel: Panel, out: PieceOut): ConditionalRule[] {
  const own = out.own.split(':not(')[0] ?? '';
  const lock = `html:has(${own}:modal)`;
  return [
    // The page behind does not scroll; its scrollbar's room is kept where it had one (the script marks a bare edge).
    ...(panel.holdsPage
      ? [
          styleRule(lock, [['overflow', 'hidden']]),
          styleRule(`${lock}:not(:has([${out.attribute('bare')}]))`, [['scrollbar-gutter', 'stable']]),
        ]
      : []),
    ...said(panel, out).flatMap(({ value, conditions }) => {
      const page = behind(value);
      if (page === 'stays') return [];
      return widely(
        page === 'is pushed aside' ? pushed(value, own, out) : smaller(value, own, out),
        conditions,
      );
    }),
  ];
}
