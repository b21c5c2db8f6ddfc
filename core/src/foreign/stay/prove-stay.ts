import type { Element } from 'domhandler';
import { Cascade } from '../cascade/cascade.ts';
import { atRestIn } from '../cascade/situation.ts';
import { ownElements, rereadPage } from '../change/edited-page.ts';
import {
  PROVED_WIDTHS,
  prove,
  SCROLL_STATES,
  type ChangedValue,
  type ScrollState,
  type Spot,
} from '../change/prove.ts';
import type { ForeignPage, PageFiles } from '../page.ts';
import { withRootAddresses } from '../values/addresses.ts';
import { expand } from '../values/expand.ts';
import { physicalName } from '../values/longhands.ts';
import { attributeOf, type StayRule } from './stay-rules.ts';

export interface StayProof {
  readonly changed: readonly ChangedValue[];
  readonly sideEffects: readonly ChangedValue[];
  /** Rules, by their place among all, that others won over. */
  readonly losing: readonly number[];
}

/** The places of a page's own elements. */
const placesOf = (page: ForeignPage) => new Map(ownElements(page).map((element, at) => [element, at]));

/** A page with an attribute on one of its elements, as a script puts it there; a page of its own, so that nothing known is wrong. */
function marked(page: ForeignPage, files: PageFiles, at: number, name: string): ForeignPage {
  const copy = rereadPage(page, files, new Map());
  const element = ownElements(copy)[at];
  if (element) element.attribs = { ...element.attribs, [name]: '' };
  return copy;
}

/** What rules say of the element at a place in the page, by longhand: the value, and which rule says it. */
function wishesOf(page: ForeignPage, rules: readonly StayRule[]) {
  const cascade = new Cascade(page, atRestIn({ width: PROVED_WIDTHS[2], height: null }));
  return rules.map(({ element, declarations }) => {
    const flow = cascade.flowOf(element);
    const values = new Map<string, string>();
    for (const { property, value } of declarations)
      for (const said of expand(property, value) ?? [])
        values.set(physicalName(said.longhand, flow), withRootAddresses(said.value, page.source.file));
    return values;
  });
}

/**
 * Proves rules that make a header stay, at rest and in each state of scrolling that they ask for: every value of every element is
 * what it was, but for what the rules say.
 */
export function proveStay(
  before: ForeignPage,
  after: ForeignPage,
  { was, is }: { readonly was: PageFiles; readonly is: PageFiles },
  rules: readonly StayRule[],
  target: Element,
  isInBand: (width: number) => boolean,
): StayProof {
  const wishes = wishesOf(before, rules);
  const places = placesOf(before);
  const changed: ChangedValue[] = [];
  const sideEffects: ChangedValue[] = [];
  const losing = new Set<number>();
  const known = new Set<string>();
  const targetAt = places.get(target) ?? -1;

  const provePass = (state: ScrollState | null, old: ForeignPage, made: ForeignPage) => {
    const placeIn = placesOf(old);
    /** The last rule that says a value of a spot. */
    const ruleAt = ({ element, pseudo, state: pointed, viewport, property }: Spot): number => {
      if (pseudo !== null || !isInBand(viewport.width)) return -1;
      const place = placeIn.get(element);
      return rules.findLastIndex(
        (rule, at) =>
          places.get(rule.element) === place &&
          (rule.when === null || rule.when === state) &&
          !(rule.when === 'down' && pointed === 'focus') &&
          wishes[at]?.has(property) === true,
      );
    };
    const proof = prove(old, made, (value, newValue, spot) => {
      const at = ruleAt(spot);
      if (at === -1) return value === newValue;
      // Where something pointed at says a value of its own it goes on doing so.
      return newValue === wishes[at]?.get(spot.property) || (spot.state !== 'rest' && value === newValue);
    });
    for (const spot of proof.spots) {
      const at = ruleAt(spot);
      if (at !== -1) losing.add(at);
    }
    const take = (from: readonly ChangedValue[], into: ChangedValue[], sort: string) => {
      for (const value of from) {
        const key = `${sort} ${value.element} ${value.width} ${value.property} ${value.before ?? ''} ${value.after ?? ''}`;
        if (state !== null && (known.has(key) || value.state !== 'rest')) continue;
        known.add(key);
        into.push(state === null ? value : { ...value, state });
      }
    };
    take(proof.changed, changed, 'changed');
    take(proof.sideEffects, sideEffects, 'side effect');
  };

  provePass(null, before, after);
  for (const state of SCROLL_STATES)
    if (rules.some(({ when }) => when === state)) {
      const name = attributeOf(state);
      provePass(state, marked(before, was, targetAt, name), marked(after, is, targetAt, name));
    }
  return { changed, sideEffects, losing: [...losing] };
}
