import type { SlotKind } from '../model/slot.ts';
import { itemOf } from '../model/states.ts';
import { property, type PropertyId } from './properties/properties.ts';

/** What a slot wears at a key of its look: a single link stands as the others of its level do. */
export const wornAt = ({ properties }: SlotKind, key: string): readonly PropertyId[] =>
  itemOf(key) === null ? properties : properties.filter((id) => !property(id).arranged);
