import type { ConditionalRule } from '../trees.ts';

/** Whether two declarations could touch the same thing: equal names, or one the shorthand of the other. */
const overlaps = (a: string, b: string) => a === 'all' || b === 'all' || a === b || a.startsWith(`${b}-`) || b.startsWith(`${a}-`);

const sets = (rule: ConditionalRule, properties: readonly string[]) =>
  rule.rule.declarations.some(([name]) => properties.some((property) => overlaps(name, property)));

const at = ({ conditions, rule }: ConditionalRule) => [...conditions, rule.selector].join('\n');

/**
 * Joins rules of the same selector and conditions where nothing between them sets the same properties, so that a part's
 * arrangement and look stand in one block.
 */
export function mergeRules(rules: readonly ConditionalRule[]): ConditionalRule[] {
  const merged: ConditionalRule[] = [];
  for (const rule of rules) {
    const index = merged.findLastIndex((earlier) => at(earlier) === at(rule));
    const earlier = merged[index];
    const properties = rule.rule.declarations.map(([name]) => name);
    if (earlier && !merged.slice(index + 1).some((between) => sets(between, properties))) {
      merged[index] = { ...earlier, rule: { ...earlier.rule, declarations: [...earlier.rule.declarations, ...rule.rule.declarations] } };
    } else {
      merged.push(rule);
    }
  }
  return merged;
}
