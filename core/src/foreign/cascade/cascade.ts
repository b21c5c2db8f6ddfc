import type { Element } from 'domhandler';
import { memoise } from '../../base/memo.ts';
import { judgeContainer } from '../conditions/container.ts';
import { judgeMedia } from '../conditions/media.ts';
import { judgeSupports } from '../conditions/supports.ts';
import { every, type Truth } from '../conditions/truth.ts';
import type { ForeignPage } from '../page.ts';
import { compareSpecificity, type Specificity } from '../selectors/specificity.ts';
import type { Condition, Declaration, StyleRule } from '../sheet/rules.ts';
import { expand, longhandsOf } from '../values/expand.ts';
import { isTaken } from '../values/is-taken.ts';
import { physicalName, type Flow } from '../values/longhands.ts';
import { substitute } from '../values/substitute.ts';
import { directionOf, lineage, parentOf } from '../tree.ts';
import { layerRanks } from './layer-ranks.ts';
import type { Situation } from './situation.ts';

/** One declaration that meets an element. */
export interface Candidate {
  readonly declaration: Declaration;
  /** Null for the element's own `style`. */
  readonly rule: StyleRule | null;
  readonly specificity: Specificity;
  readonly proximity: number;
  /** False where it cannot be known whether its conditions hold. */
  readonly certain: boolean;
}

/** What one declaration says of one longhand of an element. */
export interface Value {
  readonly value: string;
  readonly candidate: Candidate;
  readonly certain: boolean;
}

const INLINE: Specificity = [0, 0, 0];

/** What is the same in every situation of a page: the order of its layers, and whether any rule turns its text. */
const factsOf = memoise(({ rules }: ForeignPage) => ({
  ranks: layerRanks(rules.layers),
  turns: rules.styles.some(({ declarations }) =>
    declarations.some(({ property }) => property === 'direction' || property === 'writing-mode'),
  ),
}));

/** Works out which declarations meet the elements of a page in one situation, in which order, and what they come to. */
export class Cascade {
  private readonly page: ForeignPage;
  private readonly situation: Situation;
  private readonly ranks: ReadonlyMap<string, number>;
  private readonly found = new Map<Element, Map<string | null, readonly Candidate[]>>();
  private readonly custom = new Map<Element, Map<string | null, Map<string, string | null>>>();
  private readonly applies = new Map<string, Truth>();
  private readonly turns: boolean;

  constructor(page: ForeignPage, situation: Situation) {
    this.page = page;
    this.situation = situation;
    ({ ranks: this.ranks, turns: this.turns } = factsOf(page));
  }

  /** All declarations that meet an element or its pseudo-element, the one that counts most first. */
  candidates(element: Element, pseudo: string | null = null): readonly Candidate[] {
    const known = this.found.get(element)?.get(pseudo);
    if (known) return known;
    this.page.matcher.setLive(this.situation.live);
    const all: Candidate[] = [];
    for (const { rule, specificity, proximity } of this.page.matcher.matches(element, pseudo)) {
      if (rule.declarations.length === 0) continue;
      const truth = this.judge(rule, element);
      if (truth === false) continue;
      for (const declaration of rule.declarations)
        all.push({ declaration, rule, specificity, proximity, certain: truth === true });
    }
    if (pseudo === null)
      for (const declaration of this.page.inline(element))
        all.push({ declaration, rule: null, specificity: INLINE, proximity: Infinity, certain: true });
    // Later ones come first where nothing else decides: sorting keeps the order it finds.
    const sorted = all.reverse().sort((a, b) => this.compare(b, a));
    const ofElement = this.found.get(element) ?? new Map<string | null, readonly Candidate[]>();
    this.found.set(element, ofElement.set(pseudo, sorted));
    return sorted;
  }

  /** The value of a custom property on an element, everything put in; null where it has none. */
  customValue(element: Element, name: string, pseudo: string | null = null): string | null {
    const ofElement = this.custom.get(element) ?? new Map<string | null, Map<string, string | null>>();
    this.custom.set(element, ofElement);
    const values = ofElement.get(pseudo) ?? new Map<string, string | null>();
    ofElement.set(pseudo, values);
    const known = values.get(name);
    if (known !== undefined) return known;
    // One that leads back to itself has no value.
    values.set(name, null);
    const value = this.workOutCustom(element, name, pseudo);
    values.set(name, value);
    return value;
  }

  /** What is said of every longhand of an element, the value that wins first. Inherited values are those of other elements. */
  values(element: Element, pseudo: string | null = null): ReadonlyMap<string, readonly Value[]> {
    const flow = this.flowOf(element);
    const values = new Map<string, Value[]>();
    for (const candidate of this.candidates(element, pseudo)) {
      if (candidate.declaration.property.startsWith('--')) continue;
      for (const { longhand, value, certain } of this.saidBy(element, pseudo, candidate)) {
        const name = physicalName(longhand, flow);
        const list = values.get(name) ?? [];
        if (list.length === 0) values.set(name, list);
        list.push({ value, candidate, certain: certain && candidate.certain });
      }
    }
    return values;
  }

  /** Which way text runs in an element. */
  flowOf(element: Element): Flow {
    if (!this.turns) return { mode: 'horizontal-tb', direction: directionOf(element) };
    const said = (property: string): string | null => {
      for (const at of lineage(element)) {
        const value = this.candidates(at).find(
          ({ declaration }) =>
            declaration.property === property && isTaken(property, declaration.value) !== false,
        )?.declaration.value;
        if (value !== undefined && value !== 'inherit' && value !== 'unset') return value;
        if (property === 'direction' && at.attribs['dir'] !== undefined) return directionOf(at);
      }
      return null;
    };
    return {
      mode: said('writing-mode') ?? 'horizontal-tb',
      direction: said('direction') === 'rtl' ? 'rtl' : 'ltr',
    };
  }

  private saidBy(
    element: Element,
    pseudo: string | null,
    { declaration: { property, value } }: Candidate,
  ): readonly { readonly longhand: string; readonly value: string; readonly certain: boolean }[] {
    if (!/var\(/i.test(value)) return expand(property, value) ?? [];
    if (isTaken(property, value) === false) return [];
    const filled = substitute(value, (name) => this.customValue(element, name, pseudo));
    const said = filled === null ? null : expand(property, filled);
    // What turns out to be no value at all is as if nothing were said (CSS Custom Properties 1, 3.1).
    return said ?? longhandsOf(property).map((longhand) => ({ longhand, value: 'unset', certain: true }));
  }

  private workOutCustom(element: Element, name: string, pseudo: string | null): string | null {
    const winner = this.candidates(element, pseudo).find(({ declaration }) => declaration.property === name);
    const registered = this.page.rules.registered.get(name);
    const inherits = registered?.inherits ?? true;
    const initial = registered?.initial ?? null;
    const inherited = () => {
      if (!inherits) return initial;
      if (pseudo !== null) return this.customValue(element, name);
      const around = parentOf(element);
      return around ? this.customValue(around, name) : initial;
    };
    if (!winner) return inherited();
    const { value } = winner.declaration;
    if (/^(?:inherit|unset|revert|revert-layer)$/i.test(value))
      return value.toLowerCase() === 'inherit' || inherits ? inherited() : initial;
    if (/^initial$/i.test(value)) return initial;
    return (
      substitute(value, (inner) => this.customValue(element, inner, pseudo)) ??
      (registered ? inherited() : null)
    );
  }

  private judge(rule: StyleRule, element: Element): Truth {
    return every(rule.conditions.map((condition) => this.judgeOne(condition, element)));
  }

  private judgeOne(condition: Condition, element: Element): Truth {
    if (condition.kind === 'scope') return true;
    if (condition.kind === 'container') {
      const around = parentOf(element);
      return judgeContainer(condition.text, (name) => (around ? this.customValue(around, name) : null));
    }
    const key = `${condition.kind} ${condition.text}`;
    const known = this.applies.get(key);
    if (known !== undefined) return known;
    const truth =
      condition.kind === 'media'
        ? judgeMedia(condition.text, this.situation.viewport)
        : judgeSupports(condition.text);
    this.applies.set(key, truth);
    return truth;
  }

  private rankOf({ rule, declaration }: Candidate): number {
    const layer = rule?.layer ?? null;
    const rank = layer === null ? this.ranks.size : (this.ranks.get(layer) ?? 0);
    return declaration.important ? -rank : rank;
  }

  /** More than nought where `a` counts more (CSS Cascading and Inheritance 6, 2.1). */
  private compare(a: Candidate, b: Candidate): number {
    const important = Number(a.declaration.important) - Number(b.declaration.important);
    if (important !== 0) return important;
    const inline = Number(a.rule === null) - Number(b.rule === null);
    if (inline !== 0) return inline;
    return (
      this.rankOf(a) - this.rankOf(b) ||
      compareSpecificity(a.specificity, b.specificity) ||
      (a.proximity === b.proximity ? 0 : b.proximity - a.proximity)
    );
  }
}
