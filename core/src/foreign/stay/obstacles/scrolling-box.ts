import type { Element } from 'domhandler';
import { lineage, parentOf } from '../../tree.ts';
import type { BoxReader } from '../box-reader.ts';
import { declare, type FindObstacles, type Way } from '../obstacle.ts';
import { unscrolled } from './clipped-box.ts';

/** Whether a box is all that there is of the page: nothing stands beside it, or beside what it lies in. */
const isWhole = (box: Element, reader: BoxReader): boolean =>
  [...lineage(box)].every((one) => {
    const around = parentOf(one);
    return !around || around.name === 'html' || one.name === 'html' || !reader.hasMoreThan(around, one);
  });

/** Lets the window scroll instead. */
function windowScrolls(element: Element, name: string, height: string, reader: BoxReader): Way {
  const axes = ['overflow-x', 'overflow-y'] as const;
  return {
    id: 'window',
    text: `${name} grows with what is in it (at least ${height} high), so that the window scrolls`,
    rules: [
      {
        element,
        declarations: [
          ...axes.map((property) => declare(property, unscrolled(reader.value(element, property)))),
          declare('height', 'auto'),
          declare('min-height', height),
          ...(reader.value(element, 'max-height') === 'none' ? [] : [declare('max-height', 'none')]),
        ],
      },
    ],
  };
}

/** A box that scrolls instead of the window: a script that asks the window hears nothing. */
export const scrollingBox: FindObstacles = ({ within, needsScroll, isFixed, reader, selectorOf }) => {
  if (!needsScroll || isFixed || !within) return [];
  const element = [...lineage(within)].find((box) => reader.isScroller(box));
  const said = element ? reader.limit(element) : null;
  if (!element || !said) return [];
  const name = selectorOf(element);
  return [
    {
      kind: 'scrolling box',
      element,
      said,
      text: `${name} scrolls instead of the window, so nothing can follow how far the page is scrolled`,
      ways: isWhole(element, reader) ? [windowScrolls(element, name, said.value, reader)] : [],
    },
  ];
};
