import { element, text, type HtmlElement } from '../print/trees.ts';
import { printMarkup } from '../print/html.ts';
import type { DrawingElement } from './drawing.ts';

/** A value that refers to an id of the drawing. */
const withPrefix = (value: string, prefix: string) =>
  value.replace(/^(url\(\s*)?#/, (start) => `${start}${prefix}`);

function nodeOf({ name, attributes, children }: DrawingElement, prefix: string): HtmlElement {
  const renamed = Object.entries(attributes).map(([key, value]) => [
    key,
    key === 'id'
      ? prefix + value
      : key === 'href' || value.startsWith('url(')
        ? withPrefix(value, prefix)
        : value,
  ]);
  return element(
    name,
    Object.fromEntries(renamed) as Record<string, string>,
    ...children.map((child) => (typeof child === 'string' ? text(child) : nodeOf(child, prefix))),
  );
}

/** What is in a drawing as markup; `prefix` goes before every id, so that two drawings of a page share none. */
export const drawingNodes = (root: DrawingElement, prefix: string): readonly HtmlElement[] =>
  nodeOf(root, prefix).children.filter((child): child is HtmlElement => child.node === 'element');

/** A drawing as source of its own. */
export function printDrawing(root: DrawingElement): string {
  const { attributes, children } = nodeOf(root, '');
  return printMarkup(element('svg', { xmlns: 'http://www.w3.org/2000/svg', ...attributes }, ...children));
}
