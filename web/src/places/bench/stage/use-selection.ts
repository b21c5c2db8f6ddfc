import {
  askedAt,
  findPart,
  itemsWearing,
  opensOver,
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
import type { PinnedElement, Reveal } from '../../../stage/frame/protocol.ts';
import { benchStore, selectSlot, useBench, type BenchState } from '../../../store/bench-store.ts';

/** What is selected where nothing is yet: the links of a piece's first menu, or the piece itself. */
function selectFirst(site: Site, piece: Piece): void {
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

/** The panel that is to be seen: the one that is selected in, or that was opened on the stage. */
function revealedPanel(
  site: Site,
  elements: ElementMap,
  { selected, opened }: Pick<BenchState, 'selected' | 'opened'>,
) {
  const owner = ownersOf(site).get(selected.owner);
  const id = owner && opensOver(owner.piece) ? owner.piece.id : opened;
  const piece = id === null ? undefined : ownersOf(site).get(id)?.piece;
  const root = piece && elements.entries.find((entry) => entry.owner === piece.id);
  return root?.selector ?? null;
}

export interface StageSelection {
  readonly selected: PinnedElement | null;
  readonly pinned: PinnedElement | null;
  readonly reveal: Reveal;
}

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
  return useMemo(() => {
    const nothing = { selected: null, pinned: null, reveal: { panel: null, submenu: false } };
    if (!elements) return nothing;
    const { level, item } = askedAt(site, selected, selected.level);
    const places = item === undefined ? [] : itemsWearing(site, selected, level);
    const index = item === undefined ? selected.index : places.findIndex(({ id }) => id === item);
    const selector = elements.selectorOf(selected, level);
    const submenu = selected.slot === 'submenu' || (level !== null && level > 1);
    const reveal: Reveal = { panel: revealedPanel(site, elements, { selected, opened }), submenu };
    if (selector === null) return { ...nothing, reveal };
    const place = { selector, index: Math.max(0, index) };
    return { selected: { ...place, states: [] }, pinned: { ...place, states: pins }, reveal };
  }, [site, elements, selected, opened, pins]);
}
