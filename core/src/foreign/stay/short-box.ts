import type { Element } from 'domhandler';
import { lineage, parentOf } from '../tree.ts';
import type { BoxReader } from './box-reader.ts';
import { declare, type Obstacle, type Way } from './obstacle.ts';

/** What is made to stay, and in which box. */
export interface Staying {
  readonly target: Element;
  /** The box whose end is the end of its staying; null for a page without one. */
  readonly within: Element | null;
  readonly isFixed: boolean;
  readonly obstacles: readonly Obstacle[];
}

/** Whether a box holds most of what follows something in it: it goes on as far as the page does. */
function goesOn(box: Element, following: readonly Element[]): boolean {
  const inside = following.filter((element) => [...lineage(element)].includes(box));
  return inside.length * 2 >= following.length;
}

/**
 * Finds what has to stay for a header to stay: a header stays only as far as the box it is in, and that is often no longer than the
 * header. `chosen` is the way out that was asked for; without one, the first that there is.
 */
export function findStaying(
  header: Element,
  reader: BoxReader,
  selectorOf: (element: Element) => string,
  chosen: string | null,
): Staying {
  const obstacles: Obstacle[] = [];
  let target = header;
  let box = parentOf(header);
  while (box && box.name !== 'html') {
    const goesBy = reader.value(box, 'display') === 'contents';
    if (!goesBy && goesOn(box, reader.after(target))) break;
    if (!goesBy) {
      const isAlone = !reader.hasMoreThan(box, target);
      const ways = isAlone ? [around(box, selectorOf)] : waysOut(box, target, reader, selectorOf);
      const way = ways.find(({ id }) => id === chosen) ?? ways[0];
      obstacles.push({
        kind: 'short box',
        element: box,
        said: null,
        text: isAlone
          ? `${selectorOf(box)} is as tall as the header alone, and a header stays only as far as the box it is in`
          : `${selectorOf(box)} ends long before the page does, and a header stays only as far as the box it is in`,
        ways,
      });
      if (way?.id === 'hang') return { target, within: box, isFixed: true, obstacles };
      if (way?.id !== 'no box') target = box;
    }
    box = parentOf(box);
  }
  return { target, within: box, isFixed: false, obstacles };
}

const around = (box: Element, selectorOf: (element: Element) => string): Way => ({
  id: 'around',
  text: `${selectorOf(box)} stays instead, with the header in it`,
  rules: [],
});

/** Whether anything in the flow of a box stands before, or after, one of its children. */
function hasBeside(box: Element, child: Element, reader: BoxReader, side: 'before' | 'after'): boolean {
  const at = box.children.indexOf(child);
  const nodes = side === 'before' ? box.children.slice(0, at) : box.children.slice(at + 1);
  return nodes.some((node) => reader.isContent(node));
}

/** Whether an element is the first thing of the page that takes room. */
const isFirst = (element: Element, reader: BoxReader): boolean =>
  [...lineage(element)].every((one) => {
    const box = parentOf(one);
    return !box || !hasBeside(box, one, reader, 'before');
  });

/** Ways out of a box that holds other things, too. */
function waysOut(
  box: Element,
  target: Element,
  reader: BoxReader,
  selectorOf: (element: Element) => string,
): readonly Way[] {
  const noBox: Way = {
    id: 'no box',
    text: `${selectorOf(box)} makes no box of its own (display: contents), as it has no look of its own`,
    rules: [{ element: box, declarations: [declare('display', 'contents')] }],
  };
  const hang: Way = {
    id: 'hang',
    text: 'The header hangs in the window (position: fixed), and its room is kept free',
    rules: [],
  };
  const whole: Way = { id: 'around', text: `${selectorOf(box)} stays as a whole`, rules: [] };
  return [
    ...(reader.isPlain(box) ? [noBox] : []),
    // Elsewhere it would jump to the top at once.
    ...(isFirst(target, reader) ? [hang] : []),
    // What follows the header in it would stay as well.
    ...(hasBeside(box, target, reader, 'after') ? [] : [whole]),
  ];
}
