import { slotsOf } from '../kinds/catalogue.ts';
import { itemsWearing } from '../kinds/wearers.ts';
import { hasSlot, levelsOf, type Owner } from '../kinds/placed.ts';
import type { SlotRef } from '../model/look.ts';
import type { MenuItem } from '../model/menu-item.ts';
import { levelKey, type Level } from '../model/states.ts';
import { outputOwners, type CompileContext } from './context.ts';
import { slotSelector } from './selectors.ts';

/** Which elements stand for a slot of an owner, at one level of its menu. */
export interface ElementEntry extends SlotRef {
  readonly level: Level | null;
  /** CSS selector; of a backdrop, that of its pseudo-element. */
  readonly selector: string;
}

/** Which selector stands for which owner, slot, level and link. */
export interface ElementMap {
  /** Every slot that is there, in document order. */
  readonly entries: readonly ElementEntry[];
  /** The selector of a slot; of several levels the one asked for, or the first. Null where it is not in the output. */
  readonly selectorOf: (ref: SlotRef, level?: Level | null) => string | null;
  /** The links that wear a slot at a level, in the order their elements stand in the markup. */
  readonly itemsOf: (ref: SlotRef, level: Level | null) => readonly MenuItem[];
}

function entriesOf(context: CompileContext, owner: Owner): ElementEntry[] {
  return Object.entries(slotsOf(owner.kind))
    .filter(([slot]) => hasSlot(context.site, owner, slot))
    .flatMap(([slot, kind]) =>
      (kind.levels.length === 0 ? [null] : levelsOf(context.site, owner, slot)).map((level): ElementEntry => {
        const selector = slotSelector(context, owner, slot, levelKey(level), 'rest');
        return { owner: owner.id, slot, level, selector };
      }),
    );
}

/** The one place that tells which elements of the output stand for what. */
export function createElementMap(context: CompileContext): ElementMap {
  const owners = outputOwners(context);
  const entries = owners.flatMap((owner) => entriesOf(context, owner));
  return {
    entries,
    selectorOf: (ref, level = null) => {
      const found = entries.filter((entry) => entry.owner === ref.owner && entry.slot === ref.slot);
      return (found.find((entry) => entry.level === level) ?? found[0])?.selector ?? null;
    },
    itemsOf: (ref, level) => itemsWearing(context.site, ref, level),
  };
}
