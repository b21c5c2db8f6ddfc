import { styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { MAY_MOVE, widely, type PartOut } from '../../out.ts';
import type { Arrival } from '../../properties/motion.ts';
import type { Opening } from '../../properties/placement.ts';
import type { Boxes } from './boxes.ts';

/*
 * How boxes come and go. What is not displayed has a style to start from (CSS Transitions 2, `@starting-style`), and stays
 * displayed while it goes; engines that know neither show and hide it at once.
 */

const BEFORE = '@starting-style';

/** How many links come one by one; those behind come with the last. */
const MOST_APART = 12;
/** Time between two of them, in ms. */
const APART = 40;

/** What is away from its place: how far, and which properties bring it there. */
const AWAY: Readonly<Record<Exclude<Arrival, 'at once' | 'one by one'>, readonly Declaration[]>> = {
  fading: [['opacity', '0']],
  sliding: [
    ['opacity', '0'],
    ['translate', '0 -12px'],
  ],
  growing: [
    ['opacity', '0'],
    ['scale', '.94'],
  ],
  unrolling: [['clip-path', 'inset(0 -100vmax 100%)']],
};

/** What takes part in a motion besides, while the box is in its place. */
const IN_PLACE: Readonly<Partial<Record<Arrival, readonly Declaration[]>>> = {
  growing: [['transform-origin', '50% 0']],
  unrolling: [['clip-path', 'inset(0 -100vmax -100vmax)']],
};

const awayOf = (arrival: Arrival): readonly Declaration[] =>
  arrival === 'at once' ? [] : arrival === 'one by one' ? AWAY.fading : AWAY[arrival];

const moved = (arrivals: readonly Arrival[]): string[] => [
  ...new Set(arrivals.flatMap((arrival) => awayOf(arrival).map(([name]) => name))),
];

/** The links of a box that come one after another. */
function oneByOne(box: string, out: PartOut): ConditionalRule[] {
  const opened = out.within(`${box}[${out.attribute('open')}]`);
  const start: readonly Declaration[] = [
    ['opacity', '0'],
    ['translate', '0 -8px'],
  ];
  const behind = Array.from({ length: MOST_APART - 1 }, (_, index) => index + 2);
  return [
    styleRule(`${opened}>li`, start, BEFORE),
    styleRule(
      out.within(`${box}>li`),
      [
        ['transition-property', 'opacity, translate'],
        ['transition-duration', 'inherit'],
        ['transition-timing-function', 'inherit'],
      ],
      MAY_MOVE,
    ),
    ...behind.map((place) =>
      styleRule(
        `${opened}>li:nth-child(${place === MOST_APART ? `n + ${place}` : place})`,
        [['transition-delay', `${(place - 1) * APART}ms`]],
        MAY_MOVE,
      ),
    ),
  ];
}

/** The rules of one way to come and one to go. */
function motionRules(box: string, arrives: Arrival, leaves: Arrival, out: PartOut): ConditionalRule[] {
  if (arrives === 'at once' && leaves === 'at once') return [];
  const opened = out.within(`${box}[${out.attribute('open')}]`);
  const closed = `${out.ready} ${box}:not([${out.attribute('open')}])`;
  const lasting = [...moved([arrives, leaves]), 'display'];
  const inPlace = new Map([...(IN_PLACE[arrives] ?? []), ...(IN_PLACE[leaves] ?? [])]);
  return [
    ...(inPlace.size > 0 ? [styleRule(out.within(box), [...inPlace])] : []),
    styleRule(
      out.within(box),
      [
        ['transition-property', lasting.join(', ')],
        ['transition-behavior', 'allow-discrete'],
      ],
      MAY_MOVE,
    ),
    ...(leaves === 'at once'
      ? [styleRule(closed, [['transition-property', 'none']], MAY_MOVE)]
      : [styleRule(closed, awayOf(leaves), MAY_MOVE)]),
    ...(arrives === 'at once' ? [] : [styleRule(opened, awayOf(arrives), BEFORE)]),
    ...(arrives === 'one by one' ? oneByOne(box, out) : []),
  ];
}

/** How some boxes come and go. */
export function arrivalRules({ box, said }: Boxes, out: PartOut): ConditionalRule[] {
  const always = said<Opening>('opens').every(({ value }) => value === 'always open');
  if (always || !(out.says('submenu', 'arrives') || out.says('submenu', 'leaves'))) return [];
  return said<Arrival>('arrives').flatMap((arrives) =>
    said<Arrival>('leaves').flatMap((leaves) =>
      widely(motionRules(box, arrives.value, leaves.value, out), [
        ...arrives.conditions,
        ...leaves.conditions,
      ]),
    ),
  );
}
