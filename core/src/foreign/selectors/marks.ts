import { AttributeAction, type AttributeSelector } from 'css-what';

/*
 * Pages mark some states in their markup, by classes and attributes. Whatever is put into the markup for such a state is one of these,
 * so that all other selectors find the same with it.
 */

/** States that a page marks in its markup. */
export type MarkedState = 'current' | 'open';

/** Words by which pages mark a state, alone or within a class (`is-active`, `current-menu-item`, `is-open`). */
export const MARK_WORDS: Readonly<Record<MarkedState, RegExp>> = {
  current: /(?:^|[-_])(?:active|current|selected|here)(?:$|[-_])/i,
  open: /(?:^|[-_])(?:open|opened|show|shown|showing|expand|expanded|visible|unfolded|dropped)(?:$|[-_])/i,
};

const MARK_ATTRIBUTES: ReadonlySet<string> = new Set([
  'aria-current',
  'aria-expanded',
  'aria-hidden',
  'checked',
  'hidden',
  'open',
]);

/** Pseudo-classes that such marks decide. */
export const MARKED_PSEUDOS: ReadonlySet<string> = new Set(['checked', 'open', 'default']);

/** Whether a selector asks for something that can be such a mark. */
export function isMark({ name, action, value }: AttributeSelector): boolean {
  if (name !== 'class') return MARK_ATTRIBUTES.has(name);
  // Only a class by its whole name is known to be no mark.
  return action !== AttributeAction.Element || MARK_WORDS.current.test(value) || MARK_WORDS.open.test(value);
}
