import { itemsOf, walkMenu, type ItemPlace, type Menu, type MenuItem, type Site } from '@hamaca/core';
import type { DropSide } from '../../../store/links-store.ts';

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

/** Where dragged links land when they are dropped at a line; null where they cannot (in themselves). */
export function dropPlace(
  site: Site,
  dragged: readonly string[],
  over: string,
  side: DropSide,
): ItemPlace | null {
  const items = itemsOf(site);
  const target = items.get(over);
  if (!target) return null;
  const moved = new Set(dragged);
  for (let at: string | null = over; at !== null; at = items.get(at)?.parent?.id ?? null)
    if (moved.has(at)) return null;
  const menu = target.menu.id;
  if (side === 'inside')
    return { menu, parent: over, index: target.item.children.filter((child) => !moved.has(child.id)).length };
  const siblings = target.siblings.filter((item) => !moved.has(item.id));
  const index = siblings.findIndex((item) => item.id === over) + (side === 'after' ? 1 : 0);
  return { menu, parent: target.parent?.id ?? null, index };
}

/** Where links go that are put in at the caret: behind its line, or as the first beneath an unfolded parent. */
export function placeAfter(
  site: Site,
  menu: Menu,
  caret: string | null,
  folded: ReadonlySet<string>,
): ItemPlace {
  const placed = caret === null ? undefined : itemsOf(site).get(caret);
  if (placed?.menu.id !== menu.id) return { menu: menu.id, parent: null, index: menu.items.length };
  if (placed.item.children.length > 0 && !folded.has(placed.item.id))
    return { menu: menu.id, parent: placed.item.id, index: 0 };
  return { menu: menu.id, parent: placed.parent?.id ?? null, index: placed.index + 1 };
}
