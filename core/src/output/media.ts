import type { CompileContext } from './context.ts';
import { rule, type ConditionalRule, type Declaration } from '../print/trees.ts';

type Rules = readonly (readonly [selector: string, declarations: readonly Declaration[]])[];

const under = (rules: Rules, ...conditions: readonly string[]): ConditionalRule[] =>
  rules.map(([selector, declarations]) => rule(selector, declarations, ...conditions));

/** Rules for the widths at which the menu stands in the bar: all of them where nothing folds. */
export function unfolded(context: CompileContext, rules: Rules): ConditionalRule[] {
  return context.fold ? under(rules, `@media (width >= ${context.fold.below}px)`) : under(rules);
}

/** Rules for the widths at which the menu is folded; none where nothing folds. */
export function folded(context: CompileContext, rules: Rules): ConditionalRule[] {
  return context.fold ? under(rules, `@media (width < ${context.fold.below}px)`) : [];
}

/**
 * Rules for folded widths in browsers that run scripts. Without scripts, or where a browser is too old to say so, the
 * menu stays in the page, every link in sight.
 */
export function foldedWithScript(context: CompileContext, rules: Rules): ConditionalRule[] {
  return context.fold
    ? under(rules, `@media (width < ${context.fold.below}px) and (scripting: enabled)`)
    : [];
}

/** How a placement is arranged at which widths: in the bar and folded, or always as in a panel. */
export interface Arranged {
  readonly unfolded: (rules: Rules) => ConditionalRule[];
  readonly folded: (rules: Rules) => ConditionalRule[];
}

export function arrangedOf(context: CompileContext, inPanel: boolean): Arranged {
  if (inPanel) return { unfolded: () => [], folded: (rules) => under(rules) };
  return { unfolded: (rules) => unfolded(context, rules), folded: (rules) => folded(context, rules) };
}
