import { tokenize, tokenTypes } from 'css-tree';
import {
  AttributeAction,
  isTraversal,
  parse,
  SelectorType,
  type PseudoSelector,
  type Selector,
} from 'css-what';
import { isMark } from './marks.ts';
import { PARENT, SCOPE } from './own-pseudos.ts';
import { isId, specificityOf, type Specificity } from './specificity.ts';
import { LIVE_NAMES, NEVER, OF_PAGE, OF_SELECTORS, PSEUDO_ELEMENTS, RENAMED } from './pseudos.ts';

/** One of the selectors that commas separate. */
export interface Branch {
  readonly tokens: readonly Selector[];
  readonly specificity: Specificity;
  /** The pseudo-element it styles, by name. */
  readonly pseudo: string | null;
  /** What the element itself must have, to find it quickly: `#id`, `.class` or a tag's name. */
  readonly key: string | null;
  /** What must be found around the element, by the same sort of keys; not all of it, and nothing that marks a state. */
  readonly around: readonly string[];
}

/** What a selector stands in. */
export interface Relation {
  /** Whether it belongs to a rule nested in another one. */
  readonly nested: boolean;
  /** Whether it stands in a scope. */
  readonly scoped: boolean;
  readonly parentSpecificity: () => Specificity;
}

/** Puts a pseudo-class in for `&`, and takes comments away; strings stay as they are. */
function prepare(text: string): string {
  if (!text.includes('&') && !text.includes('/*')) return text;
  let prepared = '';
  tokenize(text, (type: number, start: number, end: number) => {
    const token = text.slice(start, end);
    if (type === tokenTypes.Comment) return;
    prepared += type === tokenTypes.Delim && token === '&' ? `:${PARENT}` : token;
  });
  return prepared;
}

const holds = (tokens: readonly Selector[], name: string): boolean =>
  tokens.some(
    (token) =>
      token.type === SelectorType.Pseudo &&
      (token.name === name ||
        (Array.isArray(token.data) && token.data.some((branch) => holds(branch, name)))),
  );

const pseudo = (name: string): PseudoSelector => ({ type: SelectorType.Pseudo, name, data: null });

/** A place among siblings, and perhaps which of them count (Selectors 4, 13.3). */
const PLACE = /^\s*(?:odd|even|[+-]?\d+|[+-]?\d*n(?:\s*[+-]\s*\d+)?)\s*(?:\sof\s+(\S[\s\S]*))?$/i;

/** Whether a browser takes what stands in the brackets of `:nth-child` and its kin. */
function isPlace({ name, data }: PseudoSelector): boolean {
  const place = typeof data === 'string' ? PLACE.exec(data) : null;
  if (!place) return false;
  const list = place[1];
  if (list === undefined) return true;
  return !name.endsWith('-of-type') && parse(list).every((branch) => readTokens(branch, false) !== null);
}

/** What can be said of a pseudo-class: kept as it is, another form of it, or null for one that no browser takes. */
function readPseudo(token: PseudoSelector): PseudoSelector | null {
  const name = RENAMED.get(token.name) ?? token.name;
  if (name === 'scope') return { ...token, name: SCOPE };
  const list = OF_SELECTORS.get(name);
  if (list) {
    const given: Selector[][] | null = Array.isArray(token.data)
      ? token.data
      : typeof token.data === 'string'
        ? parse(token.data)
        : null;
    if (!given) return null;
    const read = given.map((branch) => readTokens(branch, name === 'has'));
    const known = read.filter((branch) => branch !== null);
    if (!list.forgiving && known.length < read.length) return null;
    // An empty list matches nothing.
    return {
      type: SelectorType.Pseudo,
      name,
      data: known.length > 0 ? known : [[pseudo(NEVER[0] as string)]],
    };
  }
  if (name.startsWith('nth-') && !isPlace(token)) return null;
  const isKnown = OF_PAGE.has(name) || LIVE_NAMES.has(name) || name === PARENT || name === SCOPE;
  return isKnown ? { ...token, name } : null;
}

/** The tokens of one selector as they can be matched; null where a browser would not take it. */
function readTokens(tokens: readonly Selector[], mayBeRelative: boolean): Selector[] | null {
  const [first] = tokens;
  if (!first || (!mayBeRelative && isTraversal(first))) return null;
  const last = tokens.at(-1);
  if (last && isTraversal(last)) return null;
  const read: Selector[] = [];
  for (const token of tokens) {
    if (token.type === SelectorType.PseudoElement || token.type === SelectorType.ColumnCombinator)
      return null;
    if (token.type === SelectorType.Attribute && token.action === AttributeAction.Not) return null;
    if (token.type === SelectorType.Pseudo) {
      const known = readPseudo(token);
      if (!known) return null;
      read.push(known);
    } else if (token.type === SelectorType.Tag || token.type === SelectorType.Universal)
      read.push({ ...token, namespace: null });
    else read.push(token);
  }
  return read;
}

const isPseudoElement = (name: string) => PSEUDO_ELEMENTS.has(name) || name.startsWith('-webkit-');

/** What an element must have that one compound selector finds. */
function keyOf(compound: readonly Selector[]): string | null {
  let key: string | null = null;
  for (const token of compound) {
    if (token.type === SelectorType.Attribute && isId(token)) return `#${token.value}`;
    if (
      token.type === SelectorType.Attribute &&
      token.name === 'class' &&
      token.action === AttributeAction.Element
    )
      key = `.${token.value}`;
    else if (token.type === SelectorType.Tag) key ??= token.name.toLowerCase();
  }
  return key;
}

/** The keys of what a selector looks for around the element that it finds, as far as only parents lead there. */
function keysAround(tokens: readonly Selector[]): readonly string[] {
  const keys: string[] = [];
  let end = tokens.findLastIndex(isTraversal);
  while (end >= 0) {
    const type = tokens[end]?.type;
    if (type !== SelectorType.Descendant && type !== SelectorType.Child) break;
    const start = tokens.slice(0, end).findLastIndex(isTraversal);
    const compound = tokens.slice(start + 1, end).filter((token) => !isMarkToken(token));
    const key = keyOf(compound);
    if (key !== null) keys.push(key);
    end = start;
  }
  return keys;
}

const isMarkToken = (token: Selector) => token.type === SelectorType.Attribute && isMark(token);

/** One selector with its pseudo-element told apart; null where a browser would not take it. */
function readBranch(all: readonly Selector[], relation: Relation): Branch | null {
  const at = all.findIndex(({ type }) => type === SelectorType.PseudoElement);
  const element = at === -1 ? null : (all[at] as Extract<Selector, { type: SelectorType.PseudoElement }>);
  if (element && !isPseudoElement(element.name)) return null;
  // What follows a pseudo-element is a state of that one alone, which nothing here is in.
  const hasState = at !== -1 && at < all.length - 1;
  let tokens: readonly Selector[] = at === -1 ? all : all.slice(0, at);
  if (tokens.length === 0 || (element && isTraversal(tokens.at(-1) as Selector)))
    tokens = [...tokens, { type: SelectorType.Universal, namespace: null }];
  const [first] = tokens;
  const isRelative = first !== undefined && isTraversal(first);
  const { nested, scoped } = relation;
  if (isRelative && !nested && !scoped) return null;
  if (nested && isRelative) tokens = [pseudo(PARENT), ...tokens];
  else if (nested && !holds(tokens, PARENT))
    tokens = [pseudo(PARENT), { type: SelectorType.Descendant }, ...tokens];
  // In a scope, what does not name its root is looked for within it; that adds nothing to how specific it is.
  const root: readonly Selector[] =
    nested || !scoped || holds(tokens, SCOPE) || holds(tokens, 'scope') || holds(tokens, PARENT)
      ? []
      : isRelative
        ? [pseudo(SCOPE)]
        : [pseudo(SCOPE), { type: SelectorType.Descendant }];
  const read = readTokens(tokens, root.length > 0);
  if (!read) return null;
  const [ids, classes, types] = specificityOf(read, relation.parentSpecificity);
  return {
    tokens: [...root, ...read, ...(hasState ? [pseudo(NEVER[0] as string)] : [])],
    specificity: [ids, classes, types + (element ? 1 : 0)],
    pseudo: element ? element.name : null,
    key: keyOf(read.slice(read.findLastIndex(isTraversal) + 1)),
    around: keysAround(read),
  };
}

/** Reads a list of selectors; null where a browser would not take it, which makes the whole rule void. */
export function readSelector(text: string, relation: Relation): readonly Branch[] | null {
  let parsed: Selector[][];
  try {
    parsed = parse(prepare(text));
  } catch {
    return null;
  }
  const branches: Branch[] = [];
  for (const tokens of parsed) {
    const branch = readQuietly(tokens, relation);
    if (!branch) return null;
    branches.push(branch);
  }
  return branches.length > 0 ? branches : null;
}

/** What stands in brackets may be no selector, at which the parser throws. */
function readQuietly(tokens: readonly Selector[], relation: Relation): Branch | null {
  try {
    return readBranch(tokens, relation);
  } catch {
    return null;
  }
}
