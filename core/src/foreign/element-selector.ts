import type { Element } from 'domhandler';
import { ident } from 'css-tree';
import { isElement, parentOf } from './tree.ts';

/** The ids that stand once in a page. */
function singleIds(elements: readonly Element[]): ReadonlySet<string> {
  const counts = new Map<string, number>();
  for (const { attribs } of elements) {
    const { id } = attribs;
    if (id !== undefined && id !== '' && !/\s/.test(id)) counts.set(id, (counts.get(id) ?? 0) + 1);
  }
  return new Set([...counts].filter(([, count]) => count === 1).map(([id]) => id));
}

/** Makes selectors that find exactly one element of a page: from the nearest id that stands once, then child by child. */
export function createElementSelectors(elements: readonly Element[]): (element: Element) => string {
  const ids = singleIds(elements);
  const known = new Map<Element, string>();
  const selectorOf = (element: Element): string => {
    const made = known.get(element);
    if (made !== undefined) return made;
    const { id } = element.attribs;
    const parent = parentOf(element);
    const name = ident.encode(element.name);
    let selector: string;
    if (id !== undefined && ids.has(id)) selector = `#${ident.encode(id)}`;
    else if (!parent) selector = name;
    else {
      const siblings = parent.children.filter(isElement);
      const isOnly = siblings.filter((sibling) => sibling.name === element.name).length === 1;
      const place = isOnly ? name : `${name}:nth-child(${siblings.indexOf(element) + 1})`;
      selector = `${selectorOf(parent)} > ${place}`;
    }
    known.set(element, selector);
    return selector;
  };
  return selectorOf;
}
