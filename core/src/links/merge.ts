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

/** The link among siblings that says the same: the same target, else the same label. */
function findSame(siblings: readonly MenuItem[], item: MenuItem, used: ReadonlySet<string>): number {
  const free = (candidate: MenuItem) => !used.has(candidate.id);
  const byTarget =
    item.target.kind === 'none'
      ? -1
      : siblings.findIndex((candidate) => free(candidate) && sameJson(candidate.target, item.target));
  return byTarget !== -1
    ? byTarget
    : siblings.findIndex(
        (candidate) =>
          free(candidate) && item.label !== '' && wordsOf(candidate.label) === wordsOf(item.label),
      );
}

/**
 * Merges links into others: one that is there already keeps its label, target and settings (an empty target is
 * filled) and takes in what is new beneath it; a new one stands behind the neighbour it had.
 */
export function mergeItems(existing: readonly MenuItem[], incoming: readonly MenuItem[]): Merged {
  const items = [...existing];
  const used = new Set<string>();
  let at = items.length;
  let added = 0;
  let matched = 0;
  for (const item of incoming) {
    const index = findSame(items, item, used);
    const known = items[index];
    if (!known) {
      items.splice(at, 0, item);
      used.add(item.id);
      at++;
      added += 1 + countItems(item.children);
      continue;
    }
    used.add(known.id);
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
