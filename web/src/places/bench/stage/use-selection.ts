import { ownersOf, slotKind, type Header, type Level, type Site } from '@hamaca/core';
import { useEffect, useMemo } from 'react';
import { slotClass } from '../../../stage/slot-class.ts';
import { selectSlot, useBench } from '../bench-state.ts';

/** What is selected and frozen, as the stage finds it; a slot that is gone gives way to the menu's links. */
export function useSelection(site: Site, header: Header) {
  const selected = useBench((state) => state.selected);
  const pins = useBench((state) => state.pins);
  useEffect(() => {
    if (slotKind(site, selected)) return;
    const menu = [...ownersOf(site).values()].find(
      (owner) => owner.kind === 'menu' && owner.piece === header,
    );
    if (menu) selectSlot(menu.id, 'link', 1);
    else selectSlot(header.id, 'bar', null);
  }, [site, header, selected]);
  return useMemo(() => {
    const level = selected.level === 'all' ? null : (Number(selected.level) as Level);
    const place = { className: slotClass(site, selected.owner, selected.slot), level, index: selected.index };
    const inPanel = ownersOf(site).get(selected.owner)?.kind === 'panel';
    const inSubmenu =
      selected.slot === 'submenu' || (selected.slot === 'link' && level !== null && level > 1);
    const reveal: 'panel' | 'submenu' | null = inPanel ? 'panel' : inSubmenu ? 'submenu' : null;
    return { selected: { ...place, states: [] }, pinned: { ...place, states: pins }, reveal };
  }, [site, selected, pins]);
}
