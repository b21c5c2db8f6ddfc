import type { MarkPaint } from '@hamaca/core';

const CLEAR = /^(?:transparent|none|rgba\(.*, 0\)|.*\/ 0\))$/;

const isClear = (colour: string) => CLEAR.test(colour);

/** Whether a computed colour lets nothing through. */
const isOpaque = (colour: string) => !isClear(colour) && !/^rgba\(|\//.test(colour);

/** The grounds behind an element, innermost first, down to one that lets nothing through; null where that cannot be told. */
function groundsOf(element: Element, end: Element): readonly string[] | null {
  const grounds: string[] = [];
  for (let at: Element | null = element; at && at !== end; at = at.parentElement) {
    const { backgroundImage, backgroundColor, backdropFilter, opacity, position } = getComputedStyle(at);
    if (backgroundImage !== 'none' || backdropFilter !== 'none' || opacity !== '1') return null;
    if (!isClear(backgroundColor)) grounds.push(backgroundColor);
    if (isOpaque(backgroundColor)) return grounds;
    // What is behind what floats is not its parent.
    if (position === 'absolute' || position === 'fixed' || position === 'sticky') return null;
  }
  return null;
}

/** The colours of a drawing; null where it is painted with anything else. */
function coloursOf(drawing: SVGElement): readonly string[] | null {
  const shapes = [...drawing.querySelectorAll('path, circle, ellipse, rect, line, polyline, polygon, text')];
  const paints = shapes.flatMap((shape) => {
    const { fill, stroke } = getComputedStyle(shape);
    return [fill, stroke].filter((paint) => !isClear(paint));
  });
  return paints.length === 0 || paints.some((paint) => paint.startsWith('url')) ? null : [...new Set(paints)];
}

/** The colours of a control's drawing and of what is behind it; null where it has none, or they cannot be told. */
export function paintOf(mark: Element, end: Element): MarkPaint | null {
  const isDrawing = mark instanceof SVGElement;
  const sign = isDrawing ? null : getComputedStyle(mark, '::before');
  // A sign is a shape filled with one colour.
  if (sign && (sign.content === 'none' || sign.clipPath === 'none' || isClear(sign.backgroundColor)))
    return null;
  const colours = isDrawing ? coloursOf(mark) : [sign?.backgroundColor ?? ''];
  const grounds = colours && groundsOf(mark, end);
  return colours && grounds ? { mark: colours, grounds } : null;
}
