import { countingIds } from '../../base/ids.ts';
import { refuse, type Result } from '../../base/result.ts';
import { LIMITS } from '../../values/limits.ts';
import type { ItemFields, MenuItem } from '../../model/menu-item.ts';
import type { Icon } from '../../model/site-content.ts';
import type { Site } from '../../kinds/site.ts';
import type { Target } from '../../model/target.ts';
import { findIcon, findPage, itemsOf, walkMenu, type PlacedItem } from '../../kinds/content.ts';
import { idsOf } from '../../kinds/placed.ts';
import { adoptItems, copyItems } from '../../links/adopt.ts';
import { mergeItems } from '../../links/merge.ts';
import type { NewItems } from '../../links/new-items.ts';
import { patched, startDraft, type Draft, type EditOperation } from '../draft.ts';
import type { PatchOperation } from '../json-patch.ts';
import { pagesPatch } from './pages.ts';

const gone = (what: string): Result<never> =>
  refuse('gone', '', `${what} is no longer there; it was removed in the meantime`);

/** A place among the links of a menu; `parent` null is the top of the menu. */
export interface ItemPlace {
  readonly menu: string;
  readonly parent: string | null;
  readonly index: number;
}

/** JSON Pointer of the list a place is in, and that list. */
function listAt(
  site: Site,
  place: ItemPlace,
): { path: string; list: readonly MenuItem[]; depth: number } | null {
  if (place.parent !== null) {
    const parent = itemsOf(site).get(place.parent);
    return parent
      ? { path: `${parent.path}/children`, list: parent.item.children, depth: parent.depth + 1 }
      : null;
  }
  const index = site.menus.findIndex((menu) => menu.id === place.menu);
  const menu = site.menus[index];
  return menu ? { path: `/menus/${index}/items`, list: menu.items, depth: 1 } : null;
}

function deepest(items: readonly MenuItem[]): number {
  let depth = 0;
  walkMenu({ id: '', name: '', items }, '', (placed) => {
    depth = Math.max(depth, placed.depth);
  });
  return depth;
}

const tooDeep = (): Result<never> =>
  refuse('too-deep', '', `Links can be nested at most ${LIMITS.depth} deep`);

/** Operations that add the icons a site has not yet. */
export const iconsPatch = (site: Site, icons: readonly Icon[]): PatchOperation[] =>
  icons
    .filter((icon) => !findIcon(site, icon.id))
    .map((icon) => ({ op: 'add', path: '/icons/-', value: icon }));

/** Puts new links (with their branches) at a place; an index past the end means the end. Ids in use are given anew. */
export const addItems: EditOperation<NewItems & { readonly place: ItemPlace }> = (
  site,
  { place, ...incoming },
) => {
  const at = listAt(site, place);
  if (!at) return gone('The place for the link');
  const { items, pages } = adoptItems(site, incoming.items, incoming.pages ?? []);
  if (at.depth + deepest(items) - 1 > LIMITS.depth) return tooDeep();
  const index = Math.min(place.index, at.list.length);
  return patched(site, [
    ...pagesPatch(site, pages),
    ...iconsPatch(site, incoming.icons ?? []),
    ...items.map((item, count): PatchOperation => ({
      op: 'add',
      path: `${at.path}/${index + count}`,
      value: item,
    })),
  ]);
};

/** What `set-item` changes; null takes a field away. */
export type ItemChange = { readonly label?: string; readonly target?: Target } & {
  readonly [Field in keyof ItemFields]?: ItemFields[Field] | null;
};

/** Changes a link; an icon that the site has not yet comes along. */
export const setItem: EditOperation<{
  readonly id: string;
  readonly fields: ItemChange;
  readonly icons?: readonly Icon[];
}> = (site, { id, fields, icons }) => {
  const placed = itemsOf(site).get(id);
  if (!placed) return gone('The link');
  const { target, label, ...rest } = fields;
  if (target?.kind === 'page' && !findPage(site, target.page)) return gone('The page');
  const patch: PatchOperation[] = [];
  if (label !== undefined)
    patch.push({ op: 'replace', path: `${placed.path}/label`, value: label.slice(0, LIMITS.label) });
  if (target !== undefined) patch.push({ op: 'replace', path: `${placed.path}/target`, value: target });
  for (const [field, value] of Object.entries(rest)) {
    const path = `${placed.path}/${field}`;
    const has = Object.hasOwn(placed.item, field);
    if (value === null) patch.push(...(has ? [{ op: 'remove', path } as const] : []));
    else patch.push({ op: has ? 'replace' : 'add', path, value });
  }
  return patched(site, [...iconsPatch(site, icons ?? []), ...patch]);
};

/** The given links in document order, without those inside another of them. */
export function topmostItems(site: Site, ids: readonly string[]): PlacedItem[] {
  const wanted = new Set(ids);
  const inside = (placed: PlacedItem) => {
    for (let parent = placed.parent; parent; parent = itemsOf(site).get(parent.id)?.parent ?? null)
      if (wanted.has(parent.id)) return true;
    return false;
  };
  return [...itemsOf(site).values()].filter((placed) => wanted.has(placed.item.id) && !inside(placed));
}

/** Removes links with everything nested in them. Links that are gone already are no error. */
export const removeItems: EditOperation<{ readonly ids: readonly string[] }> = (site, { ids }) =>
  // From the last to the first, so that no path is moved by an earlier removal.
  patched(
    site,
    topmostItems(site, ids)
      .reverse()
      .map(({ path }) => ({ op: 'remove', path })),
  );

function isInside(site: Site, id: string | null, branches: ReadonlySet<string>): boolean {
  for (let at = id; at !== null; at = itemsOf(site).get(at)?.parent?.id ?? null)
    if (branches.has(at)) return true;
  return false;
}

/** Moves links on a draft; answers why not, or null. */
function moveOn(draft: Draft, ids: readonly string[], place: ItemPlace): Result<never> | null {
  const moved = topmostItems(draft.site(), ids);
  if (moved.length === 0) return gone('The link');
  if (isInside(draft.site(), place.parent, new Set(moved.map(({ item }) => item.id))))
    return refuse('inside-itself', moved[0]?.path ?? '', 'A link cannot be moved into itself');
  const without = startDraft(draft.site());
  without.apply(...[...moved].reverse().map(({ path }) => ({ op: 'remove', path }) as const));
  const at = listAt(without.site(), place);
  if (!at) return gone('The place for the link');
  if (at.depth + deepest(moved.map(({ item }) => item)) - 1 > LIMITS.depth) return tooDeep();
  const path = (count: number) => `${at.path}/${Math.min(place.index, at.list.length) + count}`;
  const [only] = moved;
  if (moved.length === 1 && only) {
    if (only.path !== path(0)) draft.apply({ op: 'move', from: only.path, path: path(0) });
    return null;
  }
  if (moved.every((placed, count) => placed.path === path(count))) return null;
  draft.apply(
    ...without.patch(),
    ...moved.map(({ item }, count): PatchOperation => ({ op: 'add', path: path(count), value: item })),
  );
  return null;
}

/** Moves links with their branches to one place. `place.index` counts in the list as it is without them. */
export const moveItems: EditOperation<{ readonly ids: readonly string[]; readonly place: ItemPlace }> = (
  site,
  { ids, place },
) => {
  const draft = startDraft(site);
  return moveOn(draft, ids, place) ?? draft.done();
};

export type Step = 'up' | 'down' | 'in' | 'out';

/** Links that stand next to each other among the same siblings. */
function siblingGroups(placed: readonly PlacedItem[]): PlacedItem[][] {
  const groups: PlacedItem[][] = [];
  for (const item of placed) {
    const last = groups.at(-1);
    const before = last?.at(-1);
    if (last && before && before.siblings === item.siblings && before.index + 1 === item.index)
      last.push(item);
    else groups.push([item]);
  }
  return groups;
}

/** Where neighbouring links go when they are moved by one step; null where they cannot. */
function stepPlace(site: Site, group: readonly PlacedItem[], step: Step): ItemPlace | null {
  const [first] = group;
  if (!first) return null;
  const { id: menu } = first.menu;
  const parent = first.parent?.id ?? null;
  switch (step) {
    case 'up':
      return first.index > 0 ? { menu, parent, index: first.index - 1 } : null;
    case 'down':
      return first.index + group.length < first.siblings.length
        ? { menu, parent, index: first.index + 1 }
        : null;
    case 'in': {
      const above = first.siblings[first.index - 1];
      return above ? { menu, parent: above.id, index: above.children.length } : null;
    }
    case 'out': {
      const around = first.parent && itemsOf(site).get(first.parent.id);
      return around ? { menu, parent: around.parent?.id ?? null, index: around.index + 1 } : null;
    }
  }
}

/**
 * Moves links by one step, as lines of a text are: up and down among their siblings, in under the link above, out
 * behind their parent. Where nothing can move, nothing changes.
 */
export const stepItems: EditOperation<{ readonly ids: readonly string[]; readonly step: Step }> = (
  site,
  { ids, step },
) => {
  const groups = siblingGroups(topmostItems(site, ids));
  if (groups.length === 0) return gone('The link');
  if ((step === 'up' || step === 'down') && groups.length > 1) return patched(site, []);
  const draft = startDraft(site);
  // Outward from the end, so that neighbours keep their order behind their parents.
  for (const group of step === 'out' ? groups.reverse() : groups) {
    const now = group
      .map(({ item }) => itemsOf(draft.site()).get(item.id))
      .filter((placed) => placed !== undefined);
    const place = stepPlace(draft.site(), now, step);
    const refused =
      place &&
      moveOn(
        draft,
        group.map(({ item }) => item.id),
        place,
      );
    if (refused) return refused;
  }
  return draft.done();
};

/** Puts copies of links, with their branches, behind the last of each run of neighbours. */
export const duplicateItems: EditOperation<{ readonly ids: readonly string[] }> = (site, { ids }) => {
  const nextId = countingIds('link', idsOf(site));
  const groups = siblingGroups(topmostItems(site, ids));
  if (groups.length === 0) return gone('The link');
  return patched(
    site,
    groups.reverse().flatMap((group) => {
      const last = group.at(-1);
      if (!last) return [];
      const parent = last.path.slice(0, last.path.lastIndexOf('/'));
      return copyItems(
        group.map(({ item }) => item),
        nextId,
      ).map((item, count): PatchOperation => ({
        op: 'add',
        path: `${parent}/${last.index + 1 + count}`,
        value: item,
      }));
    }),
  );
};

/** Takes imported links into a menu: merged into what is there, or in place of it. */
export const importItems: EditOperation<
  NewItems & { readonly menu: string; readonly mode: 'merge' | 'replace' }
> = (site, { menu, mode, ...incoming }) => {
  const index = site.menus.findIndex((entry) => entry.id === menu);
  const existing = site.menus[index]?.items;
  if (!existing) return gone('The menu');
  const { items, pages } = adoptItems(site, incoming.items, incoming.pages ?? []);
  const value = mode === 'replace' ? items : mergeItems(existing, items).items;
  if (deepest(value) > LIMITS.depth) return tooDeep();
  return patched(site, [
    ...pagesPatch(site, pages),
    ...iconsPatch(site, incoming.icons ?? []),
    { op: 'replace', path: `/menus/${index}/items`, value },
  ]);
};
