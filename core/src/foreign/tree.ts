import type { ChildNode, Element } from 'domhandler';

/** Whether a node of the document is an element. */
export const isElement = (node: ChildNode): node is Element => 'attribs' in node;

/** The element that another one lies in; null for the outermost. */
export const parentOf = ({ parent }: Element): Element | null =>
  parent && 'attribs' in parent ? parent : null;

/** The element and everything it lies in, from the inside. */
export function* lineage(element: Element): Generator<Element> {
  for (let at: Element | null = element; at; at = parentOf(at)) yield at;
}

/** The classes among the attributes of an element. */
export const classesIn = (attributes: Readonly<Record<string, string>>): string[] =>
  (attributes['class'] ?? '').split(/\s+/).filter((name) => name !== '');

/** The direction of text by `dir` attributes; what `auto` finds is not asked for. */
export function directionOf(element: Element): 'ltr' | 'rtl' {
  for (const { attribs } of lineage(element)) {
    const said = attribs['dir']?.toLowerCase();
    if (said === 'rtl' || said === 'ltr') return said;
  }
  return 'ltr';
}
