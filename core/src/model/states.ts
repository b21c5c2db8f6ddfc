/**
 * The states a slot can be in, weakest first: where several apply, the later one that has a value wins.
 * Written once here; the sheet's columns, the resolve order and the stylesheet's order all follow it.
 */
export const STATES = ['rest', 'scrolled', 'current', 'open', 'hover', 'focus', 'pressed'] as const;

export type State = (typeof STATES)[number];

export function isState(value: unknown): value is State {
  return STATES.includes(value as State);
}

/** Menu levels that carry a look of their own; deeper links wear the third one's. */
export const LEVELS = [1, 2, 3] as const;

export type Level = (typeof LEVELS)[number];

/** A look's key for a single link: its id behind an at sign. It goes before that of its level. */
export type ItemKey = `@${string}`;

/** A look's level key: one level, all of them, or a single link. */
export type LevelKey = 'all' | '1' | '2' | '3' | ItemKey;

export const LEVEL_KEYS: readonly LevelKey[] = ['all', '1', '2', '3'];

export const itemKey = (item: string): ItemKey => `@${item}`;

/** The link a key of a look stands for; null where it is that of a level. */
export const itemOf = (key: string): string | null => (key.startsWith('@') ? key.slice(1) : null);

/** The keys of the single links that a look has, as they stand in it. */
export const itemKeysIn = (look: object): ItemKey[] =>
  Object.keys(look).filter((key): key is ItemKey => itemOf(key) !== null);

/** The single links that a look has, by their ids. */
export const itemsIn = (look: object): string[] => itemKeysIn(look).map((key) => key.slice(1));

/** The keys a look has: levels in order, then single links. */
export const keysIn = (look: object): LevelKey[] => [
  ...LEVEL_KEYS.filter((key) => Object.hasOwn(look, key)),
  ...itemKeysIn(look),
];

/** The key of a level; outside of menus there is one look for all. */
export const levelKey = (level: Level | null): LevelKey => (level === null ? 'all' : `${level}`);

/** The level a key of a look stands for; null for all of them, and for a single link. */
export const levelOf = (key: LevelKey): Level | null =>
  key === 'all' || itemOf(key) !== null ? null : (Number(key) as Level);

/** How many levels of a menu a placement shows; beyond the third they are drawn like the third, indented. */
export const SHOWN_LEVELS = [1, 2, 3, 'all'] as const;

export type ShownLevels = (typeof SHOWN_LEVELS)[number];

/** Shown levels as a number to compare with. */
export function levelCount(levels: ShownLevels): number {
  return levels === 'all' ? Infinity : levels;
}
