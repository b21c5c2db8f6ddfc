import type { PropertyId } from '../kinds/properties/properties.ts';
import type { ItemKey, LevelKey, State } from './states.ts';
import type { Value } from '../values/values.ts';

export type Values = { readonly [P in PropertyId]?: Value };

/** A look's band key: the id of a band that is not the widest, or all widths. */
export type BandKey = string;

/** The values of one level, or one link, by state and band. A band's values reach narrower bands too. */
export type LevelLook = { readonly [S in State]?: { readonly [band: BandKey]: Values } };

/** The values of one slot by level, and by link where one has a look of its own. */
export type SlotLook = { readonly [L in Exclude<LevelKey, ItemKey>]?: LevelLook } & {
  readonly [item: ItemKey]: LevelLook;
};

/** The values given to the slots of one piece or part; keys are slot ids. */
export interface Look {
  readonly [slot: string]: SlotLook;
}

/** Which slot of which piece or part is meant. */
export interface SlotRef {
  /** Id of the piece, row or part that carries the look. */
  readonly owner: string;
  readonly slot: string;
}

/** One cell of the sheet. `level` 'all' and `band` 'all' mean every one of them. */
export interface Cell extends SlotRef {
  readonly property: PropertyId;
  readonly level: LevelKey;
  readonly state: State;
  readonly band: BandKey;
}
