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
  for (const [name] of rule.rule.declarations)
    for (const [other] of declarations) if (overlaps(name, other)) return true;
  return false;
}

/** Whether a rule behind the place sets any of the same properties. */
function isTouchedAfter(
  merged: readonly ConditionalRule[],
  index: number,
  declarations: readonly Declaration[],
): boolean {
  for (let place = index + 1; place < merged.length; place++)
    if (touches(merged[place] as ConditionalRule, declarations)) return true;
  return false;
}

/**
 * Joins rules of the same selector and conditions where nothing between them sets the same properties, so that a part's
 * arrangement and look stand in one block.
 */
export function mergeRules(rules: readonly ConditionalRule[]): ConditionalRule[] {
  const merged: ConditionalRule[] = [];
  const places = new Map<string, number>();
  for (const entry of rules) {
    const key =
      entry.conditions.length === 0
        ? entry.rule.selector
        : `${entry.conditions.join('\n')}\n${entry.rule.selector}`;
    const index = places.get(key);
    const earlier = index === undefined ? undefined : merged[index];
    if (earlier && index !== undefined && !isTouchedAfter(merged, index, entry.rule.declarations)) {
      merged[index] = {
        ...earlier,
        rule: { ...earlier.rule, declarations: [...earlier.rule.declarations, ...entry.rule.declarations] },
      };
    } else {
      places.set(key, merged.push(entry) - 1);
    }
  }
  return merged;
}
