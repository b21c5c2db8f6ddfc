import { AttributeAction, isTraversal, parse, SelectorType, type Selector } from 'css-what';

/*
 * Selectors of elements of the page a piece stands in (Selectors 4). They are given to the output's script, which asks of each
 * click whether it fell on such an element or on anything within one: so none may be broader than a control.
 */

const ALLOWED = 'selectors such as .open-menu, #contact or button.call, with commas between them';

/** Pseudo-classes that take selectors themselves. */
const OF_SELECTORS = new Set(['is', 'where', 'not']);
/** Where an element stands among its siblings; those that count take a number or a step. */
const OF_PLACE = new Set([
  'first-child',
  'last-child',
  'only-child',
  'first-of-type',
  'last-of-type',
  'only-of-type',
]);
const COUNTED = new Set(['nth-child', 'nth-last-child', 'nth-of-type', 'nth-last-of-type']);
const STEP = /^\s*(?:odd|even|[+-]?\d+|[+-]?\d*n(?:\s*[+-]\s*\d+)?)\s*$/i;

const COMBINATORS: ReadonlySet<SelectorType> = new Set([
  SelectorType.Descendant,
  SelectorType.Child,
  SelectorType.Sibling,
  SelectorType.Adjacent,
]);

/** Elements that are controls by themselves; all others may hold a whole page. */
const CONTROLS = new Set(['a', 'button', 'summary', 'label', 'input', 'img']);

/** Whether a browser takes a part of a selector: nothing in it that some know and others throw at. */
function isKnownToken(token: Selector): boolean {
  switch (token.type) {
    case SelectorType.Pseudo:
      if (OF_SELECTORS.has(token.name))
        return Array.isArray(token.data) && token.data.length > 0 && token.data.every(isKnown);
      if (COUNTED.has(token.name)) return typeof token.data === 'string' && STEP.test(token.data);
      return OF_PLACE.has(token.name) && token.data === null;
    case SelectorType.Attribute:
      return token.action !== AttributeAction.Not && token.namespace === null;
    case SelectorType.Tag:
    case SelectorType.Universal:
      return token.namespace === null;
    default:
      return COMBINATORS.has(token.type);
  }
}

/** Whether every browser of today takes a selector. */
function isKnown(selector: readonly Selector[]): boolean {
  const [first] = selector;
  const last = selector.at(-1);
  if (!first || !last || isTraversal(first) || isTraversal(last)) return false;
  return selector.every(isKnownToken);
}

/** Whether a part of a selector picks out few elements: an id, a class, or an attribute of a certain value. */
const isNarrow = (token: Selector): boolean =>
  token.type === SelectorType.Attribute &&
  (token.action !== AttributeAction.Exists || /^(?:data|aria)-/.test(token.name)) &&
  (token.action === AttributeAction.Exists || token.value !== '');

/** Whether what a selector means is a control or what a page names itself; never all elements of a sort. */
function isControl(selector: readonly Selector[]): boolean {
  const subject = selector.slice(selector.findLastIndex((token) => isTraversal(token)) + 1);
  if (subject.some(({ type }) => type === SelectorType.Universal)) return false;
  const tag = subject.find((token) => token.type === SelectorType.Tag)?.name ?? null;
  if (tag === 'html' || tag === 'body') return false;
  if (subject.some(isNarrow)) return true;
  return tag !== null && CONTROLS.has(tag) && selector.some(isNarrow);
}

const shown = (text: string) => `“${text.length > 40 ? `${text.slice(0, 39)}…` : text}”`;

/** Selectors as a library reads them; null for what is none. */
function parsed(text: string): readonly (readonly Selector[])[] | null {
  try {
    return parse(text);
  } catch {
    // Whatever the reason, it is no selector.
    return null;
  }
}

/** Why a text is no selectors of elements that may open something, or null. An empty text says none. */
export function refuseSelectors(text: string): string | null {
  const trimmed = text.trim();
  if (trimmed === '') return null;
  const selectors = parsed(trimmed);
  if (!selectors?.every(isKnown)) return `${ALLOWED}; ${shown(trimmed)} is none that every browser knows`;
  return selectors.every(isControl)
    ? null
    : `${ALLOWED}; ${shown(trimmed)} means nearly everything on a page`;
}
