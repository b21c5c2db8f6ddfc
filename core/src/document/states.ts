/**
 * The states a slot can be in, weakest first: where several apply, the later one that has a value wins.
 * Written once here; the sheet's columns, the resolve order and the stylesheet's order all follow it.
 */
export const STATES = ['rest', 'scrolled', 'current', 'open', 'hover', 'focus', 'pressed'] as const;

export type State = (typeof STATES)[number];

export function isState(value: unknown): value is State {
  return STATES.includes(value as State);
}

/** Menu levels that carry a look of their own; deeper links are not placed by a piece. */
export const LEVELS = [1, 2, 3] as const;

export type Level = (typeof LEVELS)[number];

/** A look's level key: one level, or all of them. */
export type LevelKey = 'all' | '1' | '2' | '3';

export const LEVEL_KEYS: readonly LevelKey[] = ['all', '1', '2', '3'];
