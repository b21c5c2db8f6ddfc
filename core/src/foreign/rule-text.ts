import type { Condition, StyleRule } from './sheet/rules.ts';

/** A rule's selector with those of the rules around it put in. */
export function fullSelector({ selector, parent }: StyleRule): string | null {
  const around = parent ? fullSelector(parent) : null;
  const own = selector?.replace(/\s+/g, ' ') ?? null;
  if (own === null || around === null) return own ?? around;
  const parentAsOne = around.includes(',') ? `:is(${around})` : around;
  return own.includes('&') ? own.replaceAll('&', parentAsOne) : `${parentAsOne} ${own}`;
}

/** A condition as it is written in a stylesheet. */
export function conditionText(condition: Condition): string {
  if (condition.kind !== 'scope') return `@${condition.kind} ${condition.text}`;
  const from = condition.from === null ? '' : ` (${condition.from})`;
  return `@scope${from}${condition.to === null ? '' : ` to (${condition.to})`}`;
}
