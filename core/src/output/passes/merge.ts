import type { ConditionalRule, Declaration } from '../../print/trees.ts';

/** Whether two declarations could touch the same thing: equal names, or one the shorthand of the other. */
function overlaps(a: string, b: string): boolean {
  if (a === b || a === 'all' || b === 'all') return true;
  // Names of one family start alike, but for the shorthand of all.
  if (a.charCodeAt(0) !== b.charCodeAt(0)) return false;
  // The radius of all corners and those of single ones do not share the start of their names.
  if (a.endsWith('-radius') && b.endsWith('-radius')) return true;
  return a.length < b.length
    ? b.startsWith(a) && b[a.length] === '-'
    : a.startsWith(b) && a[b.length] === '-';
}

function touches(rule: ConditionalRule, declarations: readonly Declaration[]): boolean {
  if (rule.stays) return true;
  for (const [name] of rule.rule.declarations)
    for (const [other] of declarations) if (overlaps(name, other)) return true;
  return false;
}

/** Rules that stand in one block, in order. */
type Block = [ConditionalRule, ...ConditionalRule[]];

/** Whether a block behind the place sets any of the same properties. */
function isTouchedAfter(
  blocks: readonly Block[],
  index: number,
  declarations: readonly Declaration[],
): boolean {
  for (let place = index + 1; place < blocks.length; place++)
    for (const entry of blocks[place] as Block) if (touches(entry, declarations)) return true;
  return false;
}

/** Where the last block of a selector stands under some conditions. */
interface Place {
  readonly conditions: readonly string[];
  block: number;
}

/** The place of a rule's selector under its conditions; made where there is none yet. */
function placeOf(places: Map<string, Place[]>, { conditions, rule: { selector } }: ConditionalRule): Place {
  let under = places.get(selector);
  if (!under) places.set(selector, (under = []));
  const known = under.find((place) => isSameList(place.conditions, conditions, Object.is));
  if (known) return known;
  const place: Place = { conditions, block: -1 };
  under.push(place);
  return place;
}

/** Groups rules into blocks: the places of the rules that stand in each. */
function groupRules(rules: readonly ConditionalRule[]): number[][] {
  const blocks: Block[] = [];
  const groups: number[][] = [];
  const places = new Map<string, Place[]>();
  rules.forEach((entry, index) => {
    const place = entry.stays ? null : placeOf(places, entry);
    const earlier = place ? blocks[place.block] : undefined;
    if (place && earlier && !isTouchedAfter(blocks, place.block, entry.rule.declarations)) {
      earlier.push(entry);
      groups[place.block]?.push(index);
      return;
    }
    if (place) place.block = blocks.length;
    blocks.push([entry]);
    groups.push([index]);
  });
  return groups;
}

function join(block: Block): ConditionalRule {
  const [first, ...others] = block;
  if (others.length === 0) return first;
  const declarations = [...first.rule.declarations];
  for (const { rule } of others) declarations.push(...rule.declarations);
  return { ...first, rule: { ...first.rule, declarations } };
}

const isSameList = <T>(a: readonly T[], b: readonly T[], isSame: (a: T, b: T) => boolean): boolean =>
  a.length === b.length && a.every((entry, index) => isSame(entry, b[index] as T));

/** Whether two rules differ in values alone, so that they stand in the same block. */
const isSameBesideValues = (a: ConditionalRule, b: ConditionalRule): boolean =>
  a === b ||
  (a.rule.selector === b.rule.selector &&
    isSameList(a.conditions, b.conditions, Object.is) &&
    isSameList(a.rule.declarations, b.rule.declarations, ([name], [other]) => name === other));

/** Rules as they were joined, for the next time. */
export interface MergedRules {
  readonly rules: readonly ConditionalRule[];
  /** The places of the rules that stand in each block. */
  readonly groups: readonly (readonly number[])[];
  readonly blocks: readonly ConditionalRule[];
}

/**
 * Joins rules of the same selector and conditions where nothing between them sets the same properties, so that a part's
 * arrangement and look stand in one block. What was joined before the same way is kept: a block whose rules are the same
 * objects stays the same object.
 */
export function mergeRules(rules: readonly ConditionalRule[], last: MergedRules | null = null): MergedRules {
  const joined = (group: readonly number[]) => join(group.map((index) => rules[index]) as Block);
  if (last === null || !isSameList(rules, last.rules, isSameBesideValues)) {
    const groups = groupRules(rules);
    return { rules, groups, blocks: groups.map(joined) };
  }
  const isKept = (index: number) => rules[index] === last.rules[index];
  const blocks = last.groups.map((group, place) =>
    group.every(isKept) ? (last.blocks[place] as ConditionalRule) : joined(group),
  );
  return { rules, groups: last.groups, blocks };
}
