import { itemsOf, walkMenu, type ItemPlace, type Menu, type MenuItem, type Site } from '@hamaca/core';

/** One line of the outline. */
export interface OutlineRow {
  readonly item: MenuItem;
  readonly depth: number;
  readonly hasChildren: boolean;
  readonly folded: boolean;
}

/** The lines of a menu that are not folded away. */
export function outlineRows(menu: Menu, folded: ReadonlySet<string>): OutlineRow[] {
  const rows: OutlineRow[] = [];
  let hiddenBelow = Infinity;
  walkMenu(menu, '', ({ item, depth }) => {
    if (depth > hiddenBelow) return;
    const isFolded = folded.has(item.id) && item.children.length > 0;
    hiddenBelow = isFolded ? depth : Infinity;
    rows.push({ item, depth, hasChildren: item.children.length > 0, folded: isFolded });
  });
  return rows;
}

export type DropSide = 'before' | 'inside' | 'after';

/** Where a dragged link lands when it is dropped at a line; null where it cannot (on itself or its own branch). */
export function dropPlace(site: Site, menu: string, dragged: string, over: string, side: DropSide): ItemPlace | null {
  const items = itemsOf(site);
  const target = items.get(over);
  if (!target) return null;
  for (let at: string | null = over; at !== null; at = items.get(at)?.parent?.id ?? null) if (at === dragged) return null;
  if (side === 'inside') return { menu, parent: over, index: target.item.children.filter((child) => child.id !== dragged).length };
  const siblings = target.siblings.filter((item) => item.id !== dragged);
  const index = siblings.findIndex((item) => item.id === over) + (side === 'after' ? 1 : 0);
  return { menu, parent: target.parent?.id ?? null, index };
}
