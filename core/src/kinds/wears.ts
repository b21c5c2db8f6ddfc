import type { SlotKind } from '../model/slot.ts';
import { itemOf } from '../model/states.ts';
import { property, type PropertyId } from './properties/properties.ts';

/** Whether a single link can say it for itself: it is arranged as the others of its level are, but for its submenu. */
function isOfLink(id: PropertyId): boolean {
  const { arranged, byLink } = property(id);
  return !arranged || byLink === true;
}

/** What a slot wears at a key of its look. */
export const wornAt = ({ properties, holdsLevel }: SlotKind, key: string): readonly PropertyId[] =>
  itemOf(key) === null || holdsLevel ? properties : properties.filter(isOfLink);
