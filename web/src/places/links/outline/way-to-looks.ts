import { itemsOf, itemsWearing, placementsOf, type Site } from '@hamaca/core';

/** Where links are styled for themselves: the first placement that shows one of them, and those that are drawn alike there. */
export interface WayToLooks {
  readonly piece: string;
  readonly owner: string;
  readonly slot: string;
  readonly items: readonly string[];
}

/** The way to the look of some links; null where none of them is shown. */
export function wayToLooks(site: Site, ids: readonly string[]): WayToLooks | null {
  const first = ids.flatMap((id) => itemsOf(site).get(id) ?? [])[0];
  if (!first) return null;
  for (const { part, piece } of placementsOf(site, first.menu.id))
    for (const slot of ['action', 'heading', 'link']) {
      const worn = new Set(itemsWearing(site, { owner: part.id, slot }, null).map(({ id }) => id));
      const items = ids.filter((id) => worn.has(id));
      if (items[0] === ids[0] && items.length > 0) return { piece: piece.id, owner: part.id, slot, items };
    }
  return null;
}
