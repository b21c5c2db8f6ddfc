import { lineage } from '../../tree.ts';
import { declare, type FindObstacles, type Obstacle } from '../obstacle.ts';

/** Boxes around the header that end before the page does, as `body { height: 100% }`. */
export const limitedHeight: FindObstacles = ({ within, isFixed, reader, selectorOf }) => {
  if (isFixed || !within) return [];
  const found: Obstacle[] = [];
  for (const element of lineage(within)) {
    if (element.name === 'html' || reader.isScroller(element)) break;
    const said = reader.limit(element);
    if (!said) continue;
    const { value } = said;
    found.push({
      kind: 'limited height',
      element,
      said,
      text: `${selectorOf(element)} is ${value} high however long the page is, and a header stays only as far as the box it is in`,
      ways: [
        {
          id: 'grow',
          text: `${selectorOf(element)} is at least ${value} high and grows with what is in it`,
          rules: [
            {
              element,
              declarations: [
                declare('height', 'auto'),
                ...(reader.value(element, 'min-height') === 'auto' ? [declare('min-height', value)] : []),
                ...(reader.value(element, 'max-height') === 'none' ? [] : [declare('max-height', 'none')]),
              ],
            },
          ],
        },
      ],
    });
  }
  return found;
};
