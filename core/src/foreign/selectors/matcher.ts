import { compile } from 'css-select';
import { isTraversal, SelectorType, type Selector } from 'css-what';
import { isTag, type AnyNode, type Element } from 'domhandler';
import * as domUtils from 'domutils';
import type { Condition, StyleRule } from '../sheet/rules.ts';
import { PARENT, SCOPE } from './own-pseudos.ts';
import { classesIn, lineage, parentOf } from '../tree.ts';
import { isMark, MARKED_PSEUDOS } from './marks.ts';
import { AT_REST, attributesOf, liveTests, OF_PAGE, type Live } from './pseudos.ts';
import { readSelector, type Branch, type Relation } from './read-selector.ts';
import { compareSpecificity, type Specificity } from './specificity.ts';

/** How one rule meets an element: by its most specific selector that does. */
export interface Match {
  readonly rule: StyleRule;
  readonly specificity: Specificity;
  /** How many elements lie between this one and the root of the nearest scope; endless where there is none. */
  readonly proximity: number;
}

type Test = (element: Element) => boolean;

interface Entry {
  readonly rule: StyleRule;
  readonly branch: Branch;
  /** Keys that must be found around the element. */
  readonly around: readonly string[];
}

type Scope = Extract<Condition, { readonly kind: 'scope' }>;

const NONE: Specificity = [0, 0, 0];
const NO_KEYS: ReadonlySet<string> = new Set();

/** Selectors by the name, id or class that what they find must have. */
class EntryIndex {
  private readonly byKey = new Map<string, Entry[]>();
  private readonly anywhere: Entry[] = [];

  add(key: string | null, entry: Entry): void {
    const list = key === null ? this.anywhere : (this.byKey.get(key) ?? []);
    if (key !== null && list.length === 0) this.byKey.set(key, list);
    list.push(entry);
  }

  /** What could find an element that has some keys and lies in something that has others. */
  candidates(keys: ReadonlySet<string>, inside: ReadonlySet<string>): Entry[] {
    const found: Entry[] = [];
    const take = (list: readonly Entry[]) => {
      for (const entry of list) if (entry.around.every((key) => inside.has(key))) found.push(entry);
    };
    for (const key of keys) take(this.byKey.get(key) ?? []);
    take(this.anywhere);
    return found;
  }
}

/** Of several ways in which rules meet an element the most specific of each rule, in the order of the rules. */
function bestOfRules(matches: readonly Match[]): readonly Match[] {
  const found = new Map<StyleRule, Match>();
  for (const match of matches) {
    const before = found.get(match.rule);
    if (!before || compareSpecificity(before.specificity, match.specificity) < 0)
      found.set(match.rule, match);
  }
  return [...found.values()].sort((a, b) => a.rule.order - b.rule.order);
}

/** Finds the rules of a page that meet an element, in a state of the page. Selectors are compiled once they are asked for. */
export class Matcher {
  private live: Live = AT_REST;
  private scopeRoot: Element | null = null;
  private readonly branches = new Map<StyleRule, readonly Branch[]>();
  private readonly tests = new Map<Branch, Test>();
  private readonly scopes = new Map<Scope, { readonly from: Test; readonly to: Test | null }>();
  /** What finds the same in every state of the page, and what does not. */
  private readonly steady = new EntryIndex();
  private readonly changing = new EntryIndex();
  private readonly inside = new Map<Element, ReadonlySet<string>>();
  private readonly steadyMatches = new Map<Element, ReadonlyMap<string | null, readonly Match[]>>();
  private readonly pseudos: Record<string, (element: Element, argument?: string | null) => boolean>;
  /** Whose `&` is asked for just now. */
  private asked: StyleRule | null = null;
  private readonly isQuirky: boolean;
  /** How the matching library asks about elements: their attributes are those of the state. */
  private readonly adapter = {
    ...domUtils,
    isTag,
    getAttributeValue: (element: Element, name: string): string | undefined => {
      const attributes = attributesOf(element, this.live.marks);
      return Object.hasOwn(attributes, name) ? attributes[name] : undefined;
    },
    hasAttrib: (element: Element, name: string): boolean =>
      Object.hasOwn(attributesOf(element, this.live.marks), name),
  };
  /** Rules whose selector no browser takes, or that cannot be read here. */
  readonly refused: StyleRule[] = [];

  constructor(rules: readonly StyleRule[], isQuirky: boolean) {
    this.isQuirky = isQuirky;
    this.pseudos = {
      ...liveTests(() => this.live),
      [SCOPE]: (element) => (this.scopeRoot ? element === this.scopeRoot : parentOf(element) === null),
      [PARENT]: (element) => this.meetsParent(element),
    };
    for (const rule of rules) {
      for (const branch of this.branchesOf(rule)) {
        const key = branch.key === null ? null : this.fold(branch.key);
        const index = this.isSteady(rule, branch) ? this.steady : this.changing;
        index.add(key, { rule, branch, around: branch.around.map((one) => this.fold(one)) });
      }
    }
  }

  /** Sets what is going on with the page for what is asked next. */
  setLive(live: Live): void {
    this.live = live;
  }

  /** The rules that meet an element or one of its pseudo-elements, in their order; conditions but scopes are not asked. */
  matches(element: Element, pseudo: string | null): readonly Match[] {
    const always = this.steadyOf(element).get(pseudo) ?? [];
    const keys = this.keysOf(attributesOf(element, this.live.marks), element);
    const now: Match[] = [];
    const inside = this.keysAround(element);
    for (const { rule, branch } of this.changing.candidates(keys, inside)) {
      if (branch.pseudo !== pseudo) continue;
      const proximity = this.meets(element, rule, branch);
      if (proximity !== null) now.push({ rule, specificity: branch.specificity, proximity });
    }
    return now.length === 0 ? always : bestOfRules([...always, ...now]);
  }

  /** What meets an element and its pseudo-elements in every state, looked for once. */
  private steadyOf(element: Element): ReadonlyMap<string | null, readonly Match[]> {
    const known = this.steadyMatches.get(element);
    if (known) return known;
    const before = this.live;
    this.live = AT_REST;
    const found = new Map<string | null, Match[]>();
    const keys = this.keysOf(element.attribs, element);
    for (const { rule, branch } of this.steady.candidates(keys, this.keysAround(element))) {
      const proximity = this.meets(element, rule, branch);
      if (proximity === null) continue;
      const list = found.get(branch.pseudo) ?? [];
      if (list.length === 0) found.set(branch.pseudo, list);
      list.push({ rule, specificity: branch.specificity, proximity });
    }
    this.live = before;
    const made = new Map([...found].map(([pseudo, list]) => [pseudo, bestOfRules(list)] as const));
    this.steadyMatches.set(element, made);
    return made;
  }

  /** Whether a selector finds the same in every state: it asks for none, and for no mark of one. */
  private isSteady(rule: StyleRule, { tokens }: Branch): boolean {
    if (this.scopeOf(rule)) return false;
    const isSteadyToken = (token: Selector): boolean => {
      if (token.type === SelectorType.Attribute) return !isMark(token);
      if (token.type !== SelectorType.Pseudo) return true;
      if (token.name === PARENT) {
        const { parent } = rule;
        return parent !== null && this.branchesOf(parent).every((branch) => this.isSteady(parent, branch));
      }
      if (Array.isArray(token.data)) return token.data.every((selector) => selector.every(isSteadyToken));
      return OF_PAGE.has(token.name) && !MARKED_PSEUDOS.has(token.name);
    };
    return tokens.every(isSteadyToken);
  }

  /** Whether a rule could meet one of these elements, in some state. */
  couldMeet(rule: StyleRule, elements: readonly Element[]): boolean {
    return this.branchesOf(rule).some(({ tokens }) => {
      const test = this.compileBranch(withoutStates(tokens));
      return this.ask(rule, null, () => elements.some((element) => test(element)));
    });
  }

  /** The pseudo-elements that rules style. */
  pseudoElements(): ReadonlySet<string> {
    const names = new Set<string>();
    for (const branches of this.branches.values())
      for (const { pseudo } of branches) if (pseudo !== null) names.add(pseudo);
    return names;
  }

  /** The elements of a list that a selector of somebody's own finds, the page at rest; null where it is none. */
  select(text: string, elements: readonly Element[]): { elements: Element[]; pseudo: string | null } | null {
    const relation: Relation = { nested: false, scoped: false, parentSpecificity: () => NONE };
    const branches = readSelector(text, relation);
    if (!branches) return null;
    const tests = branches.map((branch) => this.compileBranch(branch.tokens));
    this.live = AT_REST;
    return {
      elements: elements.filter((element) => tests.some((test) => test(element))),
      pseudo: branches[0]?.pseudo ?? null,
    };
  }

  private fold(key: string): string {
    return this.isQuirky && /^[.#]/.test(key) ? key.toLowerCase() : key;
  }

  /** By what rules can look for an element: its name, its id, its classes. */
  private keysOf(attributes: Readonly<Record<string, string>>, element: Element): Set<string> {
    const keys = new Set([element.name.toLowerCase()]);
    const { id } = attributes;
    if (id !== undefined) keys.add(this.fold(`#${id}`));
    for (const name of classesIn(attributes)) keys.add(this.fold(`.${name}`));
    return keys;
  }

  /** The keys of all that an element lies in; those beside it have the same. */
  private keysAround(element: Element): ReadonlySet<string> {
    const unknown: Element[] = [];
    let keys: ReadonlySet<string> | undefined;
    for (let at = parentOf(element); at && !keys; at = parentOf(at)) {
      keys = this.inside.get(at);
      if (!keys) unknown.push(at);
    }
    let around = keys ?? NO_KEYS;
    // Without recursion, as pages may be nested deeper than a call stack.
    for (const at of unknown.reverse()) {
      const own = this.keysOf(at.attribs, at);
      const outer = around;
      if (![...own].every((key) => outer.has(key))) around = new Set([...outer, ...own]);
      this.inside.set(at, around);
    }
    return around;
  }

  private scopeOf(rule: StyleRule): Scope | null {
    const last = rule.conditions.findLast((condition) => condition.kind === 'scope');
    return last?.kind === 'scope' ? last : null;
  }

  private branchesOf(rule: StyleRule): readonly Branch[] {
    const known = this.branches.get(rule);
    if (known) return known;
    const { parent } = rule;
    const scope = this.scopeOf(rule);
    let read: readonly Branch[] | null;
    if (rule.selector !== null)
      read = readSelector(rule.selector, {
        nested: parent !== null,
        scoped: scope !== null,
        parentSpecificity: () => (parent ? this.mostSpecific(parent) : NONE),
      });
    else if (parent) read = this.branchesOf(parent);
    // Declarations that stand in a scope alone are of its root.
    else read = scope ? readSelector(':where(:scope)', ROOTED) : null;
    if (read === null) this.refused.push(rule);
    this.branches.set(rule, read ?? []);
    return read ?? [];
  }

  private mostSpecific(rule: StyleRule): Specificity {
    return this.branchesOf(rule).reduce<Specificity>(
      (best, { specificity }) => (compareSpecificity(specificity, best) > 0 ? specificity : best),
      NONE,
    );
  }

  private compileBranch(tokens: Branch['tokens']): Test {
    try {
      return compile<AnyNode, Element>([[...tokens]], {
        adapter: this.adapter,
        pseudos: this.pseudos,
        quirksMode: this.isQuirky,
        relativeSelector: false,
        cacheResults: false,
      });
    } catch {
      // What the library cannot make of it finds nothing.
      return () => false;
    }
  }

  private testOf(branch: Branch): Test {
    const known = this.tests.get(branch);
    if (known) return known;
    const made = this.compileBranch(branch.tokens);
    this.tests.set(branch, made);
    return made;
  }

  /** Whether an element is what `&` stands for in the rule that is asked for. */
  private meetsParent(element: Element): boolean {
    const { asked } = this;
    const parent = asked?.parent;
    if (!parent) return this.pseudos[SCOPE]?.(element) === true;
    return this.meetsRule(element, parent);
  }

  private meetsRule(element: Element, rule: StyleRule): boolean {
    return this.branchesOf(rule).some(
      (branch) =>
        branch.pseudo === null && this.ask(rule, this.scopeRoot, () => this.testOf(branch)(element)),
    );
  }

  /** Asks something as the rule would see it, and leaves everything as it was. */
  private ask(rule: StyleRule | null, root: Element | null, question: () => boolean): boolean {
    const before = { asked: this.asked, root: this.scopeRoot };
    // Declarations without a selector stand for the rule around them, and relate to what that one relates to.
    this.asked = rule && rule.selector === null ? rule.parent : rule;
    this.scopeRoot = root;
    try {
      return question();
    } finally {
      this.asked = before.asked;
      this.scopeRoot = before.root;
    }
  }

  /** How near the root of the rule's scope is, endless without one; null where the rule does not meet the element. */
  private meets(element: Element, rule: StyleRule, branch: Branch): number | null {
    const test = this.testOf(branch);
    const isAlone = rule.parent === null && rule.selector !== null && rule.conditions.length === 0;
    if (isAlone) return test(element) ? Infinity : null;
    const scopes = rule.conditions.filter((condition) => condition.kind === 'scope');
    if (scopes.length === 0) return this.ask(rule, null, () => test(element)) ? Infinity : null;
    const outer = scopes.slice(0, -1);
    if (!outer.every((scope) => this.rootsOf(element, scope).length > 0)) return null;
    for (const { root, distance } of this.rootsOf(element, scopes.at(-1) as Scope))
      if (this.ask(rule, root, () => test(element))) return distance;
    return null;
  }

  /** The roots of a scope that an element lies in, the nearest first, but beyond its limit. */
  private rootsOf(element: Element, scope: Scope): { root: Element; distance: number }[] {
    const { from, to } = this.scopeTests(scope);
    const roots: { root: Element; distance: number }[] = [];
    const path = [...lineage(element)];
    path.forEach((root, distance) => {
      if (!from(root)) return;
      const isCut =
        to !== null && path.slice(0, distance).some((inner) => this.ask(null, root, () => to(inner)));
      if (!isCut) roots.push({ root, distance });
    });
    return roots;
  }

  private scopeTests(scope: Scope): { readonly from: Test; readonly to: Test | null } {
    const known = this.scopes.get(scope);
    if (known) return known;
    const testFor = (text: string, isLimit: boolean): Test => {
      const relation = isLimit ? ROOTED : { ...ROOTED, nested: scope.parent !== null, scoped: false };
      const tests = (readSelector(text, relation) ?? []).map(({ tokens }) => this.compileBranch(tokens));
      return (element) =>
        this.ask({ parent: scope.parent, selector: '' } as StyleRule, this.scopeRoot, () =>
          tests.some((test) => test(element)),
        );
    };
    const made = {
      from:
        scope.from === null ? (element: Element) => parentOf(element) === null : testFor(scope.from, false),
      to: scope.to === null ? null : testFor(scope.to, true),
    };
    this.scopes.set(scope, made);
    return made;
  }
}

/** Whether any part of a selector asks for a state. */
const asksState = (tokens: Branch['tokens']): boolean =>
  tokens.some(
    (token) =>
      token.type === SelectorType.Pseudo &&
      (Array.isArray(token.data) ? token.data.some(asksState) : !OF_PAGE.has(token.name)),
  );

/** A selector without what comes and goes: it finds all that the whole one could ever find, and perhaps more. */
function withoutStates(tokens: Branch['tokens']): Selector[] {
  const kept = tokens.flatMap((token): Selector[] => {
    if (token.type !== SelectorType.Pseudo || !asksState([token])) return [token];
    const isChoice = token.name === 'is' || token.name === 'where';
    return isChoice && Array.isArray(token.data) ? [{ ...token, data: token.data.map(withoutStates) }] : [];
  });
  // A combinator needs something on both its sides.
  const any: Selector = { type: SelectorType.Universal, namespace: null };
  return kept
    .flatMap((token, index) => {
      const before = kept[index - 1];
      return isTraversal(token) && (!before || isTraversal(before)) ? [any, token] : [token];
    })
    .concat(kept.length === 0 || isTraversal(kept.at(-1) as Selector) ? [any] : []);
}

const ROOTED: Relation = { nested: false, scoped: true, parentSpecificity: () => NONE };
