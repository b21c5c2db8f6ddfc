import type { Element } from 'domhandler';
import { lineage, parentOf } from '../../tree.ts';
import type { BoxReader } from '../box-reader.ts';
import { declare, type FindObstacles, type Obstacle } from '../obstacle.ts';

/** What makes a box the window of what hangs in it (CSS Transforms 1, 2; Filter Effects 1, 5; CSS Containment 2, 3). */
const CAPTURING: readonly (readonly [property: string, values: RegExp])[] = [
  ['transform', /^(?!none$)/],
  ['translate', /^(?!none$)/],
  ['rotate', /^(?!none$)/],
  ['scale', /^(?!none$)/],
  ['perspective', /^(?!none$)/],
  ['filter', /^(?!none$)/],
  ['backdrop-filter', /^(?!none$)/],
  ['contain', /paint|layout|strict|content/],
  ['content-visibility', /auto|hidden/],
  ['will-change', /transform|translate|rotate|scale|perspective|filter|contain/],
];

/** Values that draw nothing otherwise: what is there for speed can go. */
const HARMLESS =
  /^(?:translate(?:3d|z|x|y)?\([\s0px,%]*\)|translate\([\s0px,%]*\)|scale(?:3d)?\([\s1,]*\)|rotate\(0(?:deg)?\)|matrix\(1,\s*0,\s*0,\s*1,\s*0,\s*0\)|0(?:px)?(?:\s0(?:px)?)*|1|blur\(0(?:px)?\))$/;

const NONE: Readonly<Record<string, string>> = { 'will-change': 'auto' };

/** What the box did besides: it places what is placed in it, and is stacked as one. */
const keptBy = (element: Element, reader: BoxReader) => [
  ...(reader.value(element, 'position') === 'static' ? [declare('position', 'relative')] : []),
  declare('isolation', 'isolate'),
];

/** Boxes around a header that hang what should hang in the window. */
export const captured: FindObstacles = ({ target, isFixed, reader, selectorOf }) => {
  const around = parentOf(target);
  if (!isFixed || !around) return [];
  const found: Obstacle[] = [];
  for (const element of lineage(around)) {
    if (element.name === 'html') break;
    for (const [property, values] of CAPTURING) {
      const value = reader.value(element, property);
      if (!values.test(value)) continue;
      const none = NONE[property] ?? 'none';
      const canGo = property === 'will-change' || HARMLESS.test(value);
      found.push({
        kind: 'captured',
        element,
        said: reader.said(element, property),
        text: `${selectorOf(element)} has ${property}: ${value}, so that what should hang in the window hangs in this box`,
        ways: canGo
          ? [
              {
                id: 'let go',
                text: `${selectorOf(element)} has ${property}: ${none}, which draws the same`,
                rules: [{ element, declarations: [declare(property, none), ...keptBy(element, reader)] }],
              },
            ]
          : [],
      });
    }
  }
  return found;
};
