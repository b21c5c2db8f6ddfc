import type { Element } from 'domhandler';
import { ident } from 'css-tree';
import { classesIn, isElement, parentOf } from './tree.ts';

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

/** Elements that stand for a place of their own on every page of a site. */
const LANDMARKS = new Set(['html', 'body', 'header', 'main', 'nav', 'footer', 'aside']);

/** Selectors as one would write them: a landmark's name, an id or a class where that finds it alone, else as `createElementSelectors` says. */
export function createShortSelectors(elements: readonly Element[]): (element: Element) => string {
  const exact = createElementSelectors(elements);
  const ids = singleIds(elements);
  const counts = new Map<string, number>();
  const namesOf = ({ name, attribs }: Element): string[] => {
    const classes = classesIn(attribs);
    return [
      ...(LANDMARKS.has(name) ? [name] : []),
      ...new Set(classes.map((one) => `.${ident.encode(one)}`)),
    ];
  };
  for (const element of elements)
    for (const name of namesOf(element)) counts.set(name, (counts.get(name) ?? 0) + 1);
  return (element) => {
    const { id } = element.attribs;
    const isRoot = element.name === 'html' || element.name === 'body';
    if (id !== undefined && ids.has(id) && !isRoot) return exact(element);
    return namesOf(element).find((name) => counts.get(name) === 1) ?? exact(element);
  };
}
