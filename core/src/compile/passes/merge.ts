import { memoiseText } from '../../base/memo.ts';
import type { ConditionalRule } from '../trees.ts';

/** A property's name and the shorthands it belongs to: `padding-inline` and `padding`. */
const namesOf = memoiseText((property: string): readonly string[] => {
  const segments = property.split('-');
  return segments.map((_, index) => segments.slice(0, index + 1).join('-'));
});

/** Where properties were set last, so that a rule can tell whether anything since could touch the same. */
function createLedger() {
  /** Index of the last rule that set just this name, and of the last that set it or a longhand of it. */
  const exact = new Map<string, number>();
  const within = new Map<string, number>();
  return {
    note: (property: string, index: number) => {
      exact.set(property, index);
      for (const name of namesOf(property)) within.set(name, index);
    },
    lastTouched: (property: string) => {
      let last = Math.max(within.get(property) ?? -1, exact.get('all') ?? -1);
      for (const name of namesOf(property)) last = Math.max(last, exact.get(name) ?? -1);
      return last;
    },
  };
}

/**
 * Joins rules of the same selector and conditions where nothing between them sets the same properties, so that a part's
 * arrangement and look stand in one block.
 */
export function mergeRules(rules: readonly ConditionalRule[]): ConditionalRule[] {
  const merged: ConditionalRule[] = [];
  const places = new Map<string, number>();
  const ledger = createLedger();
  for (const entry of rules) {
    const key = [...entry.conditions, entry.rule.selector].join('\n');
    const index = places.get(key);
    const earlier = index === undefined ? undefined : merged[index];
    const canJoin = earlier !== undefined && index !== undefined && entry.rule.declarations.every(([name]) => ledger.lastTouched(name) <= index);
    if (canJoin) merged[index] = { ...earlier, rule: { ...earlier.rule, declarations: [...earlier.rule.declarations, ...entry.rule.declarations] } };
    else places.set(key, merged.push(entry) - 1);
    const place = canJoin ? index : merged.length - 1;
    for (const [name] of entry.rule.declarations) ledger.note(name, place);
  }
  return merged;
}
