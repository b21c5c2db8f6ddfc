import type { Element } from 'domhandler';
import { lineage } from '../../tree.ts';
import { declare, type FindObstacles, type Obstacle, type StayView } from '../obstacle.ts';

/** Cutting keeps what `hidden` was for, and makes no box that scrolls; what scrolls nothing may be seen whole. */
export const unscrolled = (value: string): string =>
  value === 'hidden' ? 'clip' : value === 'clip' ? value : 'visible';

function obstacleOf(element: Element, { reader, selectorOf }: StayView): Obstacle {
  const axes = ['overflow-x', 'overflow-y'] as const;
  const said = axes.map((property) => reader.said(element, property)).find((value) => value !== null) ?? null;
  const values = axes.map((property) => reader.value(element, property));
  const declarations = axes.map((property, at) => declare(property, unscrolled(values[at] ?? 'visible')));
  return {
    kind: 'clipped box',
    element,
    said,
    text: `${selectorOf(element)} cuts or scrolls what does not fit (overflow: ${[...new Set(values)].join(' ')}), so a header within it stays in that box instead of the window`,
    ways: [
      {
        id: 'clip',
        text: `${selectorOf(element)} cuts with overflow: clip, which looks the same and scrolls nothing`,
        rules: [{ element, declarations }],
      },
    ],
  };
}

/** Boxes around the header that would scroll it, though they do not scroll by themselves. */
export const clippedBox: FindObstacles = (view) => {
  if (view.isFixed || !view.within) return [];
  const found: Obstacle[] = [];
  for (const element of lineage(view.within)) {
    if (view.reader.isScroller(element)) break;
    if (view.reader.clips(element)) found.push(obstacleOf(element, view));
  }
  return found;
};
