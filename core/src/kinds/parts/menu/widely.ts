import type { ConditionalRule } from '../../../print/trees.ts';

/** Rules under further conditions, those outermost. */
export const widely = (
  rules: readonly ConditionalRule[],
  conditions: readonly string[],
): ConditionalRule[] =>
  conditions.length === 0
    ? [...rules]
    : rules.map((entry) => ({ ...entry, conditions: [...conditions, ...entry.conditions] }));
