import type { Element } from 'domhandler';
import type { ForeignPage } from '../page.ts';
import { lineage } from '../tree.ts';

/** Words by which pages mark the link of the page that is shown, alone or within a class (`is-active`, `current-menu-item`). */
const MARK = /(?:^|[-_])(?:active|current|selected|here)(?:$|[-_])/i;

const classesOf = (element: Element) =>
  (element.attribs['class'] ?? '').split(/\s+/).filter((name) => name !== '');
const marksOf = (element: Element) => classesOf(element).filter((name) => MARK.test(name));

/** The list, navigation or header that a link lies in, as far as links beside it go. */
function groupOf(element: Element): Element {
  let group = element;
  for (const around of lineage(element)) {
    group = around;
    if (/^(?:nav|header|footer|aside)$/.test(around.name) || around.attribs['role'] === 'navigation') break;
  }
  return group;
}

/** The classes a page's own rules know as such marks. */
function marksInRules({ rules }: ForeignPage): ReadonlySet<string> {
  const marks = new Set<string>();
  for (const { selector } of rules.styles)
    for (const [, name] of selector?.matchAll(/\.([a-z_][\w-]*)/gi) ?? [])
      if (name !== undefined && MARK.test(name)) marks.add(name);
  return marks;
}

/**
 * Answers a question as if a link were that of the page that is shown: it takes the marks that another one of its group bears,
 * on the link or on what it lies in, else those that the page's rules know; and `aria-current`. Afterwards all is as it was.
 */
export function asCurrent<Answer>(page: ForeignPage, element: Element, ask: () => Answer): Answer {
  const before: (readonly [Element, Element['attribs']])[] = [];
  const change = (target: Element, classes: readonly string[], isCurrent: boolean) => {
    before.push([target, target.attribs]);
    const { 'aria-current': _mark, ...others } = target.attribs;
    target.attribs = {
      ...others,
      ...(classes.length > 0 || 'class' in others ? { class: classes.join(' ') } : {}),
      ...(isCurrent ? { 'aria-current': 'page' } : {}),
    };
  };
  const inGroup = new Set(lineage(groupOf(element)));
  const group = groupOf(element);
  const path = [...lineage(element)].filter((around) => !inGroup.has(around));
  const others = page.elements.filter(
    (other) =>
      (marksOf(other).length > 0 || 'aria-current' in other.attribs) &&
      [...lineage(other)].includes(group) &&
      other !== group,
  );
  const known = new Map<string, readonly string[]>(others.map((other) => [other.name, marksOf(other)]));
  for (const other of others)
    change(
      other,
      classesOf(other).filter((name) => !MARK.test(name)),
      false,
    );
  const ofRules = known.size === 0 ? [...marksInRules(page)] : [];
  for (const at of path) {
    const marks = known.get(at.name) ?? (at === element || at.name === 'li' ? ofRules : []);
    change(at, [...classesOf(at), ...marks], at === element);
  }
  try {
    return ask();
  } finally {
    for (const [target, attribs] of before.reverse()) target.attribs = attribs;
  }
}
