import type { Element } from 'domhandler';
import { isElement, lineage, parentOf } from '../../tree.ts';
import type { BoxReader } from '../box-reader.ts';
import { declare, type FindObstacles } from '../obstacle.ts';

const isClear = (value: string) =>
  /^(?:transparent|rgba?\([^)]*[,/]\s*0%?\s*\)|#\w{3}0|#\w{6}00)$/.test(value);

const isFilled = (element: Element, reader: BoxReader) =>
  !isClear(reader.value(element, 'background-color')) || reader.value(element, 'background-image') !== 'none';

/** The element that fills a header: itself, or what is alone in it. */
function fillOf(header: Element, reader: BoxReader): Element | null {
  let at: Element | undefined = header;
  while (at) {
    if (isFilled(at, reader)) return at;
    const inside: Element[] = at.children.filter(isElement).filter((child) => reader.isInFlow(child));
    at = inside.length === 1 ? inside[0] : undefined;
  }
  return null;
}

/** A header without a fill, through which what scrolls beneath it is seen. */
export const seeThrough: FindObstacles = ({ header, fillsItself, reader, selectorOf }) => {
  if (fillsItself || fillOf(header, reader)) return [];
  const around = parentOf(header);
  const ground = around ? [...lineage(around)].find((box) => isFilled(box, reader)) : undefined;
  const colour = ground ? reader.value(ground, 'background-color') : 'transparent';
  const fill = isClear(colour) ? 'canvas' : colour;
  return [
    {
      kind: 'see-through',
      element: header,
      said: reader.said(header, 'background-color'),
      text: `${selectorOf(header)} has no fill, so that what scrolls beneath it shines through`,
      ways: [
        {
          id: 'fill',
          text: `${selectorOf(header)} is filled with the ground of the page (${fill})`,
          rules: [{ element: header, declarations: [declare('background-color', fill)] }],
        },
      ],
    },
  ];
};
