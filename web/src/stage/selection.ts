import {
  askedAt,
  itemsWearing,
  opensOver,
  ownersOf,
  type ElementMap,
  type LevelKey,
  type Site,
  type SlotRef,
  type State,
} from '@hamaca/core';
import type { PinnedElement, Reveal } from './frame/protocol.ts';

/** A slot at a level, one of the elements it stands for, and what is opened besides. */
export interface Wanted {
  readonly slot: SlotRef & { readonly level: LevelKey; readonly index: number };
  /** Id of a panel that is open whatever is selected. */
  readonly opened: string | null;
  readonly states: readonly State[];
}

/** What is selected and frozen, as the stage finds it. */
export interface StageSelection {
  readonly selected: PinnedElement | null;
  readonly pinned: PinnedElement | null;
  readonly reveal: Reveal;
}

export const NOTHING_SELECTED: StageSelection = {
  selected: null,
  pinned: null,
  reveal: { panel: null, submenu: false },
};

/** The panel that is to be seen: the one that something is selected in, or that was opened. */
function revealedPanel(site: Site, elements: ElementMap, { slot, opened }: Wanted): string | null {
  const owner = ownersOf(site).get(slot.owner);
  const id = owner && opensOver(owner.piece) ? owner.piece.id : opened;
  const piece = id === null ? undefined : ownersOf(site).get(id)?.piece;
  const root = piece && elements.entries.find((entry) => entry.owner === piece.id);
  return root?.selector ?? null;
}

/** Where a slot is on the stage, and what must be open for it to be seen. */
export function selectionOf(site: Site, elements: ElementMap, wanted: Wanted): StageSelection {
  const { slot, states } = wanted;
  const { level, item } = askedAt(site, slot, slot.level);
  const places = item === undefined ? [] : itemsWearing(site, slot, level);
  const index = item === undefined ? slot.index : places.findIndex(({ id }) => id === item);
  const selector = elements.selectorOf(slot, level);
  const submenu = slot.slot === 'submenu' || (level !== null && level > 1);
  const reveal: Reveal = { panel: revealedPanel(site, elements, wanted), submenu };
  if (selector === null) return { ...NOTHING_SELECTED, reveal };
  const place = { selector, index: Math.max(0, index) };
  return { selected: { ...place, states: [] }, pinned: { ...place, states }, reveal };
}
