import type { SlotKind } from '../model/slot.ts';
import { itemOf } from '../model/states.ts';
import { property, type PropertyId } from './properties/properties.ts';

/** What a slot wears at a key of its look: a single link is arranged as the others of its level are, but for its submenu. */
export const wornAt = ({ properties, holdsLevel }: SlotKind, key: string): readonly PropertyId[] =>
  itemOf(key) === null || holdsLevel ? properties : properties.filter((id) => !property(id).arranged);
