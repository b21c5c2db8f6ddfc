import { element, type HtmlElement } from './trees.ts';

/** Line drawings on a 24 by 24 grid, stroked with the text colour. */
const DRAWINGS = {
  bars: 'M3 6h18M3 12h18M3 18h18',
  cross: 'M5 5l14 14M19 5L5 19',
} as const;

/** An icon that only decorates: hidden from assistive technology. */
export function icon(className: string, drawing: keyof typeof DRAWINGS): HtmlElement {
  return element('svg', { class: className, viewBox: '0 0 24 24', 'aria-hidden': 'true' }, element('path', { d: DRAWINGS[drawing] }));
}
