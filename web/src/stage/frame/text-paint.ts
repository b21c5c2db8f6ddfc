import type { TextPaint } from './protocol.ts';

/** Whether a colour, as browsers compute it, lets nothing through. */
const covers = (colour: string) =>
  !/^(?:transparent|rgba\(.*,\s*(?:0|0?\.\d+)\)|color\(.*\/.*\)|.*\/\s*[\d.]+\))$/.test(colour);

/** How the text of an element is painted just now, and what lies behind it, up to the page. */
export function textPaint(element: Element): Omit<TextPaint, 'state'> {
  const { color, fontSize, fontWeight } = getComputedStyle(element);
  const behind: string[] = [];
  let overPicture = false;
  for (let at: Element | null = element; at; at = at.parentElement) {
    const { backgroundColor, backgroundImage } = getComputedStyle(at);
    overPicture ||= backgroundImage !== 'none';
    behind.push(backgroundColor);
    if (overPicture || covers(backgroundColor)) break;
  }
  return {
    ink: color,
    behind: [...behind, 'rgb(255, 255, 255)'],
    overPicture,
    size: parseFloat(fontSize),
    weight: Number(fontWeight) || 400,
  };
}
