import type { Element } from 'domhandler';
import { memoise } from '../../base/memo.ts';
import type { ForeignPage } from '../page.ts';
import { fullSelector, splitSelectors } from '../rule-text.ts';
import { MARK_WORDS as WORDS, type MarkedState } from '../selectors/marks.ts';
import type { Marks } from '../selectors/pseudos.ts';
import { classesIn, isElement, lineage, parentOf } from '../tree.ts';

/*
 * States that no pseudo-class tells: a page marks them in its markup, by a class or an attribute. What a page uses is read off its
 * elements and its rules.
 */

/** Attributes by which pages mark a state, as selectors name them. */
const ATTRIBUTES: Readonly<Record<MarkedState, RegExp>> = {
  current: /\[aria-current/i,
  open: /\[aria-(?:expanded|hidden)|\[open\]|\[hidden\]|:open\b|:checked\b/i,
};

const classesOf = ({ attribs }: Element) => classesIn(attribs);

/** The list, navigation or header that an element lies in, as far as what stands beside it goes. */
function groupOf(element: Element): Element {
  let group = element;
  for (const around of lineage(element)) {
    group = around;
    if (/^(?:nav|header|footer|aside)$/.test(around.name) || around.attribs['role'] === 'navigation') break;
  }
  return group;
}

/** An element and what it lies in, the nearest first, up to its group. */
function pathOf(element: Element): readonly Element[] {
  const outside = new Set(lineage(groupOf(element)));
  return [...lineage(element)].filter((around) => !outside.has(around));
}

/** A class that rules of a page know as the mark of a state, and whether they look for it on what they style or around it. */
interface ClassMark {
  readonly name: string;
  readonly isOnItself: boolean;
}

/** The last compound of a selector: what the rule styles. */
const subjectOf = (selector: string) => /[^\s>+~]*$/.exec(selector.replace(/\([^()]*\)/g, ''))?.[0] ?? '';

const marksInRules = memoise(({ rules }: ForeignPage) => {
  const classes: Record<MarkedState, Map<string, ClassMark>> = { current: new Map(), open: new Map() };
  const isByAttribute = { current: false, open: false };
  for (const rule of rules.styles) {
    const selector = fullSelector(rule);
    if (selector === null) continue;
    for (const state of ['current', 'open'] as const) {
      isByAttribute[state] ||= ATTRIBUTES[state].test(selector);
      for (const part of splitSelectors(selector))
        for (const [, name = ''] of part.matchAll(/\.([a-z_][\w-]*)/gi))
          if (WORDS[state].test(name) && !classes[state].has(name))
            classes[state].set(name, {
              name,
              isOnItself: new RegExp(`\\.${name}(?![\\w-])`).test(subjectOf(part)),
            });
    }
  }
  return { classes, isByAttribute };
});

/** Whether any rule of a page looks for the mark of a state. */
export function marksState(page: ForeignPage, state: MarkedState): boolean {
  const { classes, isByAttribute } = marksInRules(page);
  return classes[state].size > 0 || isByAttribute[state];
}

/** The classes by which rules of a page tell a state. */
export const classNames = (page: ForeignPage, state: MarkedState): readonly string[] => [
  ...marksInRules(page).classes[state].keys(),
];

const withClasses = (
  attributes: Readonly<Record<string, string>>,
  names: readonly string[],
): Record<string, string> => {
  const has = 'class' in attributes || names.length > 0;
  return has ? { ...attributes, class: names.join(' ') } : { ...attributes };
};

/** The elements of a group that bear a mark of the page that is shown. */
const currentOnes = (page: ForeignPage, group: Element): readonly Element[] =>
  page.elements.filter(
    (other) =>
      (classesOf(other).some((name) => WORDS.current.test(name)) || 'aria-current' in other.attribs) &&
      other !== group &&
      [...lineage(other)].includes(group),
  );

/**
 * A link as if it were that of the page that is shown: it takes the marks that another one of its group bears, on the link or on what
 * it lies in, else those that the page's rules know; and `aria-current`. The others bear none.
 */
function currentMarks(page: ForeignPage, element: Element): Marks {
  const marks = new Map<Element, Readonly<Record<string, string>>>();
  const others = currentOnes(page, groupOf(element));
  const known = new Map<string, readonly string[]>();
  for (const other of others) {
    known.set(
      other.name,
      classesOf(other).filter((name) => WORDS.current.test(name)),
    );
    const { 'aria-current': _mark, ...rest } = other.attribs;
    marks.set(
      other,
      withClasses(
        rest,
        classesOf(other).filter((name) => !WORDS.current.test(name)),
      ),
    );
  }
  const ofRules = known.size === 0 ? classNames(page, 'current') : [];
  for (const at of pathOf(element)) {
    const added = known.get(at.name) ?? (at === element || at.name === 'li' ? ofRules : []);
    const before = marks.get(at) ?? at.attribs;
    const made = withClasses(before, [...classesIn(before), ...added]);
    if (at === element) made['aria-current'] = 'page';
    if (at === element || added.length > 0) marks.set(at, made);
  }
  return marks;
}

const isToggle = ({ name, attribs }: Element) =>
  'aria-expanded' in attribs || (name === 'input' && attribs['type'] === 'checkbox');

/** The attributes of an element that is open, or that opens something; null where it would bear no mark. */
function openAttributes(element: Element, classes: readonly string[]): Record<string, string> | null {
  const { hidden, ...shown } = element.attribs;
  const made: Record<string, string> = { ...shown };
  if ('aria-expanded' in shown) made['aria-expanded'] = 'true';
  if ('aria-hidden' in shown && element.children.some(isElement)) made['aria-hidden'] = 'false';
  if (element.name === 'details' || element.name === 'dialog') made['open'] = '';
  if (element.name === 'input' && shown['type'] === 'checkbox') made['checked'] = '';
  const all = [...new Set([...classesOf(element), ...classes])];
  const marked = classes.length > 0 ? withClasses(made, all) : made;
  const isSame =
    hidden === undefined &&
    Object.entries(marked).every(([name, value]) => element.attribs[name] === value) &&
    Object.keys(marked).length === Object.keys(shown).length;
  return isSame ? null : marked;
}

/** An element with all that it lies in unfolded, as the page marks that: on them, on what opens them, or on a box that is ticked. */
function openMarks(page: ForeignPage, element: Element): Marks {
  const classes = classNames(page, 'open');
  const marks = new Map<Element, Readonly<Record<string, string>>>();
  for (const at of pathOf(element)) {
    const toggles = (parentOf(at)?.children ?? []).filter(isElement).filter(isToggle);
    for (const one of new Set([at, ...toggles])) {
      const made = openAttributes(one, one === at ? classes : []);
      if (made) marks.set(one, made);
    }
  }
  return marks;
}

/** What a page would write into its markup for an element to be in a state. */
export const marksOf = (page: ForeignPage, element: Element, state: MarkedState): Marks =>
  state === 'current' ? currentMarks(page, element) : openMarks(page, element);

/** Everything in a state at once, by all marks that the rules of some pages know. */
export function marksEverywhere(
  page: ForeignPage,
  state: MarkedState,
  known: readonly ForeignPage[] = [page],
): Marks {
  const classes = [...new Set(known.flatMap((one) => classNames(one, state)))];
  const marks = new Map<Element, Readonly<Record<string, string>>>();
  for (const element of page.elements) {
    if (state === 'open') {
      const made = openAttributes(element, classes);
      if (made) marks.set(element, made);
    } else if (element.name === 'a' || element.name === 'li') {
      const made = withClasses(element.attribs, [...new Set([...classesOf(element), ...classes])]);
      if (element.name === 'a') made['aria-current'] = 'page';
      marks.set(element, made);
    }
  }
  return marks;
}

/** Properties by which something that was hidden comes into sight. */
const SHOWING =
  /^(?:display|visibility|opacity|transform|scale|translate|clip-path|clip|(?:max-)?height|left|right|top|inset.*|pointer-events|grid-template-rows)$/;

/** Whether menus of a page open where one points at what they belong to, or comes there by keyboard. */
export const opensByPointing = memoise((page: ForeignPage) => ({
  value: page.rules.styles.some(
    (rule) =>
      rule.declarations.some(({ property }) => SHOWING.test(property)) &&
      splitSelectors(fullSelector(rule) ?? '').some((part) =>
        /:(?:hover|focus-within)\S*[\s>+~]+\S/.test(part),
      ),
  ),
}));

/** How the rules of a page tell an element in a state; null where it marks none. */
export function markSelector(page: ForeignPage, element: Element, state: MarkedState): string | null {
  const { classes, isByAttribute } = marksInRules(page);
  const path = pathOf(element);
  if (state === 'current') {
    const others = currentOnes(page, groupOf(element));
    if (others.some((other) => other.name === element.name && 'aria-current' in other.attribs))
      return '[aria-current="page"]';
    for (const at of path) {
      const like = others.find(({ name }) => name === at.name);
      const mark = like && classesOf(like).find((name) => WORDS.current.test(name));
      if (mark !== undefined) return at === element ? `.${mark}` : `:is(.${mark} *)`;
    }
    if (isByAttribute.current) return '[aria-current="page"]';
  }
  if (state === 'open') {
    if ('aria-expanded' in element.attribs) return '[aria-expanded="true"]';
    if (path.some(({ name }) => name === 'details')) return ':is(details[open] *)';
  }
  const [known] = classes[state].values();
  if (known) return known.isOnItself ? `.${known.name}` : `:is(.${known.name} *)`;
  return state === 'current' ? '[aria-current="page"]' : null;
}
