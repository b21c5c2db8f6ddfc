import { sameJson } from '../base/json.ts';
import type { MenuItem } from '../model/menu-item.ts';

/** What a merge makes of a menu, and how many links it added or found again. */
export interface Merged {
  readonly items: readonly MenuItem[];
  readonly added: number;
  readonly matched: number;
}

const wordsOf = (label: string) => label.trim().toLowerCase();

/** How many links there are in some branches. */
export function countItems(items: readonly MenuItem[]): number {
  return items.reduce((sum, item) => sum + 1 + countItems(item.children), 0);
}

/** Whether two links say the same in words; of lines and others without words, whether they are of one sort. */
function saysTheSame(a: MenuItem, b: MenuItem): boolean {
  if (a.label !== '' || b.label !== '') return wordsOf(a.label) === wordsOf(b.label);
  return a.role === b.role && a.target.kind === 'none' && b.target.kind === 'none';
}

const leadsTheSame = (a: MenuItem, b: MenuItem) => a.target.kind !== 'none' && sameJson(a.target, b.target);

/** What makes two links one, surest first. Merging again finds the same pairs, so that it changes nothing. */
const SAME: readonly ((a: MenuItem, b: MenuItem) => boolean)[] = [
  (a, b) => a.role === b.role && wordsOf(a.label) === wordsOf(b.label) && sameJson(a.target, b.target),
  leadsTheSame,
  saysTheSame,
];

/** The links among siblings that incoming ones are the same as, each at most once. */
function findPairs(
  siblings: readonly MenuItem[],
  incoming: readonly MenuItem[],
): ReadonlyMap<MenuItem, MenuItem> {
  const pairs = new Map<MenuItem, MenuItem>();
  const taken = new Set<MenuItem>();
  for (const isSame of SAME) {
    for (const item of incoming) {
      if (pairs.has(item)) continue;
      const found = siblings.find((candidate) => !taken.has(candidate) && isSame(candidate, item));
      if (!found) continue;
      pairs.set(item, found);
      taken.add(found);
    }
  }
  return pairs;
}

/**
 * Merges links into others: one that is there already keeps its label, target and settings (an empty target is
 * filled) and takes in what is new beneath it; a new one stands behind the neighbour it had.
 */
export function mergeItems(existing: readonly MenuItem[], incoming: readonly MenuItem[]): Merged {
  const items = [...existing];
  const pairs = findPairs(existing, incoming);
  let at = items.length;
  let added = 0;
  let matched = 0;
  for (const item of incoming) {
    const known = pairs.get(item);
    if (!known) {
      items.splice(at, 0, item);
      at++;
      added += 1 + countItems(item.children);
      continue;
    }
    const index = items.indexOf(known);
    const below = mergeItems(known.children, item.children);
    const target = known.target.kind === 'none' && item.target.kind !== 'none' ? item.target : known.target;
    if (
      below.added > 0 ||
      target !== known.target ||
      below.items.some((child, place) => child !== known.children[place])
    ) {
      items[index] = { ...known, target, children: below.items };
    }
    at = index + 1;
    added += below.added;
    matched += 1 + below.matched;
  }
  return { items, added, matched };
}
