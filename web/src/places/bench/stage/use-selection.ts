import {
  findPart,
  ownersOf,
  pieceKind,
  slotKind,
  slotsOf,
  type ElementMap,
  type Owner,
  type Piece,
  type Site,
} from '@hamaca/core';
import { useEffect, useMemo } from 'react';
import { NOTHING_SELECTED, selectionOf, type StageSelection } from '../../../stage/selection.ts';
import { benchStore, selectSlot, useBench } from '../../../store/bench-store.ts';

/** Selects what is looked at first in a piece: the links of its first menu, or the piece itself. */
export function selectFirst(site: Site, piece: Piece): void {
  const owners = [...ownersOf(site).values()].filter((owner) => owner.piece === piece);
  const menu = owners.find((owner) => owner.kind === 'menu');
  const first = menu ?? owners[0];
  if (!first) return;
  if (menu) selectSlot(menu.id, 'link', 1);
  else selectSlot(first.id, firstSlot(first), null);
}

/** The slot of the whole thing: of a piece its root, of anything else its first one. */
const firstSlot = (owner: Owner) =>
  owner.sort === 'piece' ? pieceKind(owner.piece).rootSlot : (Object.keys(slotsOf(owner.kind))[0] ?? '');

/** What is selected and frozen, as the stage finds it; a slot that is gone gives way to the menu's links. */
export function useSelection(site: Site, piece: Piece, elements: ElementMap | undefined): StageSelection {
  const selected = useBench((state) => state.selected);
  const opened = useBench((state) => state.opened);
  const pins = useBench((state) => state.pins);
  useEffect(() => {
    // What was selected since this was drawn counts.
    const now = benchStore.getState().selected;
    if (!slotKind(site, now) && !findPart(site, now.owner)) selectFirst(site, piece);
  }, [site, piece, selected]);
  return useMemo(
    () =>
      elements ? selectionOf(site, elements, { slot: selected, opened, states: pins }) : NOTHING_SELECTED,
    [site, elements, selected, opened, pins],
  );
}
