import type { Element } from 'domhandler';
import { isElement, lineage, parentOf } from '../../tree.ts';
import type { BoxReader } from '../box-reader.ts';
import { declare, type FindObstacles, type Obstacle, type WayRule } from '../obstacle.ts';

/** Above this nothing can be put. */
const HIGHEST = 2147483647;

const isPositioned = (element: Element, reader: BoxReader) => reader.value(element, 'position') !== 'static';

function levelOf(element: Element, reader: BoxReader): number | null {
  const value = reader.value(element, 'z-index');
  const around = parentOf(element);
  const isItem = around !== null && /flex|grid/.test(reader.value(around, 'display'));
  if (!/^-?\d+$/.test(value) || !(isPositioned(element, reader) || isItem)) return null;
  return Number(value);
}

/** Whether what lies in a box is stacked within it alone (CSS Positioned Layout 3; CSS Color 4; CSS Transforms 1). */
function stacksAlone(element: Element, reader: BoxReader): boolean {
  const has = (property: string, nothing: RegExp) => !nothing.test(reader.value(element, property));
  return (
    levelOf(element, reader) !== null ||
    /^(?:fixed|sticky)$/.test(reader.value(element, 'position')) ||
    has('opacity', /^(?:1|100%)$/) ||
    has('transform', /^none$/) ||
    has('filter', /^none$/) ||
    has('isolation', /^auto$/) ||
    has('mix-blend-mode', /^normal$/) ||
    has('will-change', /^(?:auto|scroll-position|contents)$/) ||
    has('contain', /^(?:none|size|style|inline-size)$/)
  );
}

/** The highest level of what is stacked in a box, but for one branch of it and for what hangs in the window by itself. */
function highestIn(box: Element, but: Element, reader: BoxReader): number | null {
  let highest: number | null = null;
  const waiting = box.children.filter(isElement);
  for (let element = waiting.pop(); element; element = waiting.pop()) {
    if (element === but || reader.value(element, 'position') === 'fixed') continue;
    const level = levelOf(element, reader) ?? (isPositioned(element, reader) ? 0 : null);
    if (level !== null) highest = Math.max(highest ?? level, level);
    if (!stacksAlone(element, reader)) waiting.push(...element.children.filter(isElement));
  }
  return highest;
}

/** The highest level beside something, in the box it is stacked in; null where nothing is stacked there. */
function highestBeside(element: Element, reader: BoxReader): number | null {
  const around = parentOf(element);
  const boxes = around ? [...lineage(around)] : [];
  const box = boxes.find((one) => stacksAlone(one, reader) || one.name === 'html');
  return box ? highestIn(box, element, reader) : null;
}

/** The level something needs to lie above all others in the box it is stacked in. */
export const levelAbove = (target: Element, reader: BoxReader): number =>
  Math.min(Math.max(levelOf(target, reader) ?? 1, (highestBeside(target, reader) ?? 0) + 1, 1), HIGHEST);

/** Boxes around the header that are stacked as one, beneath others that would scroll over them. */
export const stacking: FindObstacles = ({ target, reader, selectorOf }) => {
  const found: Obstacle[] = [];
  const around = parentOf(target);
  for (const element of around ? lineage(around) : []) {
    if (element.name === 'html' || element.name === 'body' || !stacksAlone(element, reader)) continue;
    const needed = levelAbove(element, reader);
    const level = levelOf(element, reader);
    if (level !== null && level >= needed) continue;
    // Nothing else is stacked beside it.
    if (level === null && needed === 1 && highestBeside(element, reader) === null) continue;
    const rules: WayRule[] = [
      {
        element,
        declarations: [
          ...(isPositioned(element, reader) ? [] : [declare('position', 'relative')]),
          declare('z-index', String(needed)),
        ],
      },
    ];
    found.push({
      kind: 'stacking',
      element,
      said: reader.said(element, 'z-index') ?? reader.said(element, 'opacity'),
      text: `${selectorOf(element)} is stacked as one beneath other things, which would scroll over the header however high it is put`,
      ways: [{ id: 'raise', text: `${selectorOf(element)} is put above them (z-index: ${needed})`, rules }],
    });
  }
  return found;
};
