import type { ConditionalRule, Declaration } from '../../print/trees.ts';
import type { Names } from '../names.ts';
import { blockPlace, PAGE, type BlockPlace } from './block-place.ts';
import type { ElementSorts } from './elements.ts';
import { Precedence } from './ordered.ts';
import { familyOf } from './property-families.ts';
import { shortened } from './shorthands.ts';
import { listEntries } from './selector-parts.ts';

/*
 * A stylesheet as blocks: one an element, and in it what it says by itself and in its states. Rules come in an order in
 * which the later one wins; they are moved only past those that could not be about the same thing.
 */

/** Declarations under the same conditions, by the places of the rules they come from. */
export interface Saying {
  readonly conditions: readonly string[];
  readonly rules: readonly number[];
}

/** What is said of one selector in a block, at rest and in a state, at all widths and at some. */
export interface Paragraph {
  readonly selector: string;
  /** The selectors by themselves, as a flat sheet has them. */
  readonly flat: readonly string[];
  readonly sayings: readonly Saying[];
}

/** All that is said of one element, or once for several. */
export interface SheetBlock {
  /** Within the root; empty for the root itself. */
  readonly selectors: readonly string[];
  /** The classes that its elements are called by; none for what is no element of ours. */
  readonly called: readonly string[];
  /** What it does for several elements; null for what is said of one. */
  readonly shared: string | null;
  /** The place of its first rule. */
  readonly first: number;
  readonly paragraphs: readonly Paragraph[];
}

/** One selector of a rule with what it says, and where. */
interface Entry {
  readonly rule: number;
  readonly flat: string;
  readonly place: BlockPlace;
  /** The key of its block, what that is told by, and the selector within. */
  readonly block: string;
  readonly selector: string;
  readonly nested: string;
  readonly called: string | null;
  readonly shared: string | null;
  readonly conditions: readonly string[];
}

/** What may be about the same element, and has the same weight: the later one wins. */
interface Rivals {
  readonly last: Map<string, number>;
  /** What sets anything at all. */
  barrier: number | null;
}

type Rival = readonly [earlier: number, later: number];

/** Numbers for texts, from 0 on, in the order they are met. */
function numbering(): (text: string) => number {
  const numbers = new Map<string, number>();
  return (text) => {
    const known = numbers.get(text);
    if (known !== undefined) return known;
    numbers.set(text, numbers.size);
    return numbers.size - 1;
  };
}

/** More than any number of pseudo-elements. */
const PSEUDOS = 64;

/** The families of a rule’s properties; null where it sets anything at all. */
function familiesOf({ rule, stays }: ConditionalRule): ReadonlySet<string> | null {
  if (stays === true) return null;
  const families = new Set<string>();
  for (const [name] of rule.declarations) {
    const family = familyOf(name);
    if (family === null) return null;
    families.add(family);
  }
  return families;
}

/** Every two entries of which the first has to stay before the second. */
function findRivals(
  entries: readonly Entry[],
  rules: readonly ConditionalRule[],
  sorts: ElementSorts,
): Rival[] {
  const found: Rival[] = [];
  const pseudoNumber = numbering();
  const pageNumber = numbering();
  const bySort = new Map<number, Map<number, Rivals>>();
  const rivalsOf = (sort: number, key: number): Rivals => {
    let byKey = bySort.get(sort);
    if (!byKey) bySort.set(sort, (byKey = new Map<number, Rivals>()));
    let rivals = byKey.get(key);
    if (!rivals) byKey.set(key, (rivals = { last: new Map(), barrier: null }));
    return rivals;
  };
  entries.forEach(({ rule, place: { parts, block, own } }, index) => {
    const families = familiesOf(rules[rule] as ConditionalRule);
    const key = parts.weight * PSEUDOS + pseudoNumber(parts.pseudo);
    // What lies outside of our roots is no sort of element in them.
    const elements =
      block === PAGE
        ? [-1 - pageNumber(parts.compounds.at(-1)?.text.split(':')[0] ?? '')]
        : sorts.matching(own);
    for (const sort of elements) {
      const rivals = rivalsOf(sort, key);
      if (families === null) {
        for (const earlier of rivals.last.values()) found.push([earlier, index]);
        if (rivals.barrier !== null) found.push([rivals.barrier, index]);
        rivals.last.clear();
        rivals.barrier = index;
        continue;
      }
      for (const family of families) {
        const earlier = rivals.last.get(family) ?? rivals.barrier;
        if (earlier !== null) found.push([earlier, index]);
        rivals.last.set(family, index);
      }
    }
  });
  return found;
}

/** Entries in groups, in an order in which no two that are rivals change places. */
function grouped<Key>(
  entries: readonly number[],
  keyOf: (entry: number) => Key,
  rivals: readonly Rival[],
  rankOf: (key: Key) => number = () => 0,
): { readonly key: Key; readonly entries: readonly number[] }[] {
  const groups = new Map<Key, number[]>();
  for (const entry of entries) {
    const key = keyOf(entry);
    const known = groups.get(key);
    if (known) known.push(entry);
    else groups.set(key, [entry]);
  }
  const keys = [...groups.keys()];
  if (keys.length === 1) return [{ key: keys[0] as Key, entries }];
  const wanted = keys.map((key, index) => ({ key, index, rank: rankOf(key) }));
  wanted.sort((a, b) => a.rank - b.rank || a.index - b.index);
  const numbers = new Map(wanted.map(({ key }, number) => [key, number]));
  const precedence = new Precedence();
  const own = new Set(entries);
  for (const [earlier, later] of rivals)
    if (own.has(earlier) && own.has(later))
      precedence.note(numbers.get(keyOf(earlier)) ?? 0, numbers.get(keyOf(later)) ?? 0);
  const order = precedence.order(keys.length);
  const placed = order.map((number) => {
    const key = wanted[number]?.key as Key;
    return { key, entries: groups.get(key) ?? [] };
  });
  if (placed.length === keys.length) return placed;
  // Some have to stand on both sides of others: of these, neighbours alone are grouped.
  const done = new Set(placed.map(({ key }) => key));
  const runs: { key: Key; entries: number[] }[] = [];
  for (const entry of entries) {
    const key = keyOf(entry);
    if (done.has(key)) continue;
    const last = runs.at(-1);
    if (last?.key === key) last.entries.push(entry);
    else runs.push({ key, entries: [entry] });
  }
  return [...placed, ...runs];
}

/** What tells which blocks may be one where all they say is the same; null for what always stands by itself. */
export type AlikeKey = (called: string) => string | null;

/** What several blocks say alike under one name: the key of it, for each name and block; null where it is one block alone. */
function sharedKeys(
  rules: readonly ConditionalRule[],
  places: readonly (readonly BlockPlace[])[],
  alike: AlikeKey,
) {
  const nameOf = ({ shared }: ConditionalRule, { called }: BlockPlace): string | null =>
    shared ?? (called === null ? null : alike(called));
  const said = new Map<string, string>();
  const ofBlock = (name: string, block: string) => `${name} ${block}`;
  rules.forEach((entry, index) => {
    for (const place of places[index] ?? []) {
      const name = nameOf(entry, place);
      if (name === null) continue;
      const own = ofBlock(name, place.block);
      const one = JSON.stringify([place.nested, entry.conditions, entry.rule.declarations]);
      said.set(own, (said.get(own) ?? name) + one);
    }
  });
  const counts = new Map<string, number>();
  for (const key of said.values()) counts.set(key, (counts.get(key) ?? 0) + 1);
  return (entry: ConditionalRule, place: BlockPlace): string | null => {
    const name = nameOf(entry, place);
    const key = name === null ? undefined : said.get(ofBlock(name, place.block));
    return key !== undefined && (counts.get(key) ?? 0) > 1 ? key : null;
  };
}

/** The selectors of all rules one by one, each with the block it stands in. */
function entriesOf(rules: readonly ConditionalRule[], names: Names, alike: AlikeKey): Entry[] {
  const places = rules.map(({ rule }) => listEntries(rule.selector).map((flat) => blockPlace(flat, names)));
  const keyOf = sharedKeys(rules, places, alike);
  return rules.flatMap((made, index): Entry[] => {
    const { rule, conditions, shared } = made;
    const flats = listEntries(rule.selector);
    const own = places[index] ?? [];
    // What is called by no name stays one list.
    const isList = own.length > 1 && own.every(({ called, nested }) => called === null && nested === '&');
    return own.map((place, at) => {
      const { nested, called } = place;
      const key = keyOf(made, place);
      return {
        rule: index,
        flat: flats[at] ?? '',
        conditions,
        place,
        nested,
        block: key ?? (isList ? rule.selector : place.block),
        selector: place.block,
        called,
        shared: key === null ? null : (shared ?? null),
      };
    });
  });
}

/** Arranges rules as blocks; `rankOf` says in which order they are wanted, by class and by the place of the first rule. */
export function arrangeBlocks(
  rules: readonly ConditionalRule[],
  names: Names,
  sorts: ElementSorts,
  alike: AlikeKey,
  rankOf: (first: Pick<Entry, 'called' | 'shared' | 'rule'>) => number,
): SheetBlock[] {
  const entries = entriesOf(rules, names, alike);
  const rivals = findRivals(entries, rules, sorts);
  const entryAt = (entry: number) => entries[entry] as Entry;
  const firsts = new Map<string, Entry>();
  for (const entry of entries) if (!firsts.has(entry.block)) firsts.set(entry.block, entry);
  const between: Rival[] = [];
  const within = new Map<string, Rival[]>();
  for (const rival of rivals) {
    const { block } = entryAt(rival[0]);
    if (block !== entryAt(rival[1]).block) between.push(rival);
    else if (within.has(block)) within.get(block)?.push(rival);
    else within.set(block, [rival]);
  }
  const blocks = grouped(
    entries.map((_, index) => index),
    (entry) => entryAt(entry).block,
    between,
    (block) => rankOf(firsts.get(block) as Entry),
  );
  return blocks.map(({ key, entries: own }) => {
    const { shared, rule: first } = firsts.get(key) as Entry;
    const selectors = [...new Set(own.map((entry) => entryAt(entry).selector))];
    const called = [...new Set(own.flatMap((entry) => entryAt(entry).called ?? []))];
    return {
      selectors,
      called,
      shared,
      first,
      paragraphs: paragraphsOf(own, entries, within.get(key) ?? []),
    };
  });
}

function paragraphsOf(
  own: readonly number[],
  entries: readonly Entry[],
  rivals: readonly Rival[],
): readonly Paragraph[] {
  const entryAt = (entry: number) => entries[entry] as Entry;
  return grouped(
    own,
    (entry) => entryAt(entry).nested,
    rivals,
    (nested) => (nested === '&' ? 0 : 1),
  ).map(({ key, entries: alike }) => ({
    selector: key,
    flat: [...new Set(alike.map((entry) => entryAt(entry).flat))],
    sayings: grouped(
      alike,
      (entry) => entryAt(entry).conditions.join(' '),
      rivals,
      (conditions) => (conditions === '' ? 0 : 1),
    ).map(({ entries: said }) => ({
      conditions: entryAt(said[0] ?? 0).conditions,
      rules: [...new Set(said.map((entry) => entryAt(entry).rule))],
    })),
  }));
}

/** The places of all rules that a block says. */
export const rulesOf = ({ paragraphs }: SheetBlock): readonly number[] =>
  paragraphs.flatMap(({ sayings }) => sayings.flatMap(({ rules }) => rules));

/** Declarations of some rules together: of two of the same name the later one counts, and it stands where that was. */
export function declarationsOf(
  { rules: places }: Saying,
  rules: readonly ConditionalRule[],
): readonly Declaration[] {
  const [first] = places;
  if (places.length === 1 && first !== undefined) {
    const { rule, stays } = rules[first] as ConditionalRule;
    return stays === true ? rule.declarations : shortened(rule.declarations);
  }
  let said: Declaration[] = [];
  for (const place of places) {
    const { rule, stays } = rules[place] as ConditionalRule;
    // What a designer wrote may be there for browsers that cannot read what stands behind it.
    const names = stays === true ? [] : rule.declarations.map(([name]) => name);
    if (stays === true) said = [...shortened(said)];
    said = [...said.filter(([name]) => !names.includes(name)), ...rule.declarations];
  }
  return places.some((place) => rules[place]?.stays === true) ? said : shortened(said);
}
