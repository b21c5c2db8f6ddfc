import {
  findPart,
  findPlaced,
  foldOf,
  opensOver,
  panelsFrom,
  type SlotRef,
  ownersOf,
  pieceKind,
  slotKind,
  firstSlot,
  type ElementMap,
  type Owner,
  type Piece,
  type Site,
} from '@hamaca/core';
import { useLayoutEffect, useMemo } from 'react';
import { NOTHING_SELECTED, selectionOf, type StageSelection } from '../../../stage/selection.ts';
import { benchStore, selectSlot, useBench } from '../../../store/bench-store.ts';

/** Selects what is looked at first in a piece: the links of its first menu, or the piece itself. */
export function selectFirst(site: Site, piece: Piece): void {
  const owners = [...ownersOf(site).values()].filter((owner) => owner.piece.id === piece.id);
  const menu = owners.find((owner) => owner.kind === 'menu');
  const first = menu ?? owners[0];
  if (!first) return;
  if (menu) selectSlot(menu.id, 'link', 1);
  else selectSlot(first.id, wholeSlot(first), null);
}

/** The slot of the whole thing: of a piece its root, of anything else its first one. */
const wholeSlot = (owner: Owner) =>
  owner.sort === 'piece' ? pieceKind(owner.piece).rootSlot : firstSlot(owner.kind);

/** Whether what is selected belongs to the piece that is worked at, folds into it, or is of a panel that opens from it. */
export function isOnBench(site: Site, piece: Piece, selected: SlotRef): boolean {
  const owner = ownersOf(site).get(selected.owner);
  const holder = owner?.piece ?? findPlaced(site, selected.owner)?.piece;
  if (!holder || (owner && slotKind(site, selected) === null && !findPart(site, selected.owner)))
    return false;
  if (holder.id === piece.id || foldOf(site, selected.owner)?.to?.piece.id === piece.id) return true;
  return !opensOver(piece) && panelsFrom(site, piece).includes(holder);
}

/** What is selected and frozen, as the stage finds it; a slot that is gone gives way to the menu's links. */
export function useSelection(site: Site, piece: Piece, elements: ElementMap | undefined): StageSelection {
  const selected = useBench((state) => state.selected);
  const opened = useBench((state) => state.opened);
  const pins = useBench((state) => state.pins);
  // Before anything of it is painted: nothing on the bench is ever about a piece that is not on it.
  useLayoutEffect(() => {
    // What was selected since this was drawn counts.
    if (!isOnBench(site, piece, benchStore.getState().selected)) selectFirst(site, piece);
  }, [site, piece, selected]);
  return useMemo(
    () =>
      elements ? selectionOf(site, elements, { slot: selected, opened, states: pins }) : NOTHING_SELECTED,
    [site, elements, selected, opened, pins],
  );
}
