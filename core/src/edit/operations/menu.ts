import { refuse, succeed, type Result } from '../../base/result.ts';
import { LIMITS } from '../../document/limits.ts';
import type { MenuItem, Page, Site } from '../../document/site.ts';
import type { Target } from '../../document/target.ts';
import { findPage, itemsOf, walkMenu, type PlacedItem } from '../../document/walk.ts';
import { startDraft, type EditOperation } from '../draft.ts';
import type { PatchOperation } from '../json-patch.ts';

const gone = (what: string): Result<never> => refuse('gone', '', `${what} is no longer there; it was removed in the meantime`);

/** A place among the links of a menu; `parent` null is the top of the menu. */
export interface ItemPlace {
  readonly menu: string;
  readonly parent: string | null;
  readonly index: number;
}

/** JSON Pointer of the list a place is in, and that list. */
function listAt(site: Site, place: ItemPlace): { path: string; list: readonly MenuItem[]; depth: number } | null {
  if (place.parent !== null) {
    const parent = itemsOf(site).get(place.parent);
    return parent ? { path: `${parent.path}/children`, list: parent.item.children, depth: parent.depth + 1 } : null;
  }
  const index = site.menus.findIndex((menu) => menu.id === place.menu);
  const menu = site.menus[index];
  return menu ? { path: `/menus/${index}/items`, list: menu.items, depth: 1 } : null;
}

function deepest(item: MenuItem): number {
  let depth = 0;
  walkMenu({ id: '', name: '', items: [item] }, '', (placed) => { depth = Math.max(depth, placed.depth); });
  return depth;
}

const tooDeep = (): Result<never> => refuse('too-deep', '', `Links can be nested at most ${LIMITS.depth} deep`);

/** Puts a new link (with its branch) at a place; an index past the end means the end. */
export const addItem: EditOperation<{ readonly place: ItemPlace; readonly item: MenuItem; readonly pages?: readonly Page[] }> = (site, { place, item, pages }) => {
  const at = listAt(site, place);
  if (!at) return gone('The place for the link');
  if (at.depth + deepest(item) - 1 > LIMITS.depth) return tooDeep();
  const index = Math.min(place.index, at.list.length);
  const newPages = (pages ?? []).filter((page) => !findPage(site, page.id));
  return succeed([
    ...newPages.map((page): PatchOperation => ({ op: 'add', path: '/pages/-', value: page })),
    { op: 'add', path: `${at.path}/${index}`, value: item },
  ]);
};

/** Changes a link's label or target. */
export const setItem: EditOperation<{ readonly id: string; readonly label?: string; readonly target?: Target }> = (site, { id, label, target }) => {
  const placed = itemsOf(site).get(id);
  if (!placed) return gone('The link');
  if (target?.kind === 'page' && !findPage(site, target.page)) return gone('The page');
  return succeed([
    ...(label === undefined ? [] : [{ op: 'replace', path: `${placed.path}/label`, value: label.slice(0, LIMITS.label) } as const]),
    ...(target === undefined ? [] : [{ op: 'replace', path: `${placed.path}/target`, value: target } as const]),
  ]);
};

/** Removes links with everything nested in them. Links that are gone already are no error. */
export const removeItems: EditOperation<{ readonly ids: readonly string[] }> = (site, { ids }) => {
  const draft = startDraft(site);
  for (const id of ids) {
    const placed = itemsOf(draft.site()).get(id);
    if (placed) draft.apply({ op: 'remove', path: placed.path });
  }
  return succeed(draft.patch());
};

function isInside(site: Site, id: string | null, branch: string): boolean {
  for (let at = id; at !== null; at = itemsOf(site).get(at)?.parent?.id ?? null) if (at === branch) return true;
  return false;
}

/** Moves a link with its branch. `place.index` counts in the list as it is without the link. */
export const moveItem: EditOperation<{ readonly id: string; readonly place: ItemPlace }> = (site, { id, place }) => {
  const placed = itemsOf(site).get(id);
  if (!placed) return gone('The link');
  if (isInside(site, place.parent, id)) return refuse('inside-itself', placed.path, 'A link cannot be moved into itself');
  const draft = startDraft(site);
  draft.apply({ op: 'remove', path: placed.path });
  const at = listAt(draft.site(), place);
  if (!at) return gone('The place for the link');
  if (at.depth + deepest(placed.item) - 1 > LIMITS.depth) return tooDeep();
  const path = `${at.path}/${Math.min(place.index, at.list.length)}`;
  return succeed(path === placed.path ? [] : [{ op: 'move', from: placed.path, path }]);
};

/** Where a link goes when it is moved by one step in the outline; null where it cannot. */
export function stepPlace(site: Site, id: string, step: 'up' | 'down' | 'in' | 'out'): ItemPlace | null {
  const placed = itemsOf(site).get(id);
  if (!placed) return null;
  const menu = placed.menu.id;
  const parent = placed.parent?.id ?? null;
  switch (step) {
    case 'up': return placed.index > 0 ? { menu, parent, index: placed.index - 1 } : null;
    case 'down': return placed.index < placed.siblings.length - 1 ? { menu, parent, index: placed.index + 1 } : null;
    case 'in': {
      const above = placed.siblings[placed.index - 1];
      return above ? { menu, parent: above.id, index: above.children.length } : null;
    }
    case 'out': return outPlace(site, placed);
  }
}

function outPlace(site: Site, placed: PlacedItem): ItemPlace | null {
  const parent = placed.parent && itemsOf(site).get(placed.parent.id);
  return parent ? { menu: placed.menu.id, parent: parent.parent?.id ?? null, index: parent.index + 1 } : null;
}

/** Renames a menu. */
export const setMenuName: EditOperation<{ readonly id: string; readonly name: string }> = (site, { id, name }) => {
  const index = site.menus.findIndex((menu) => menu.id === id);
  return index === -1 ? gone('The menu') : succeed([{ op: 'replace', path: `/menus/${index}/name`, value: name }]);
};
