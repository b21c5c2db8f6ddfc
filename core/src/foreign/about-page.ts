import { isText } from 'domhandler';
import { formatColour, parseColour } from '../colour/colour.ts';
import type { ForeignPage } from './page.ts';
import { BoxReader } from './stay/box-reader.ts';

/** What a page calls itself; nothing where it has no title. */
export function titleOf({ elements }: ForeignPage): string {
  const title = elements.find(({ name }) => name === 'title');
  const parts = title?.children.map((node) => (isText(node) ? node.data : '')) ?? [];
  return parts.join('').replace(/\s+/g, ' ').trim();
}

/** A window as wide as most, in px. */
const USUAL = 1280;

/** The colour that a page is filled with, as a literal; white where it says none that can be known. */
export function groundOf(page: ForeignPage): string {
  const reader = new BoxReader(page, USUAL);
  for (const name of ['body', 'html']) {
    const element = page.elements.find((one) => one.name === name);
    const colour = element ? parseColour(reader.value(element, 'background-color')) : null;
    if (colour && colour.a === 1) return formatColour(colour);
  }
  return '#ffffff';
}
