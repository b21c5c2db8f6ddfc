import { countingIds, uniqueTitle } from '../../base/ids.ts';
import { refuse, type Result } from '../../base/result.ts';
import type { Menu } from '../../model/site-content.ts';
import type { Site } from '../../kinds/site.ts';
import { idsOf, ownersOf } from '../../kinds/placed.ts';
import { isNamedAfter, type MenuPart } from '../../kinds/parts/menu/shape.ts';
import type { PatchOperation } from '../json-patch.ts';
import { adoptItems, copyItems } from '../../links/adopt.ts';
import { patched, type EditOperation } from '../draft.ts';
import { removeThings } from '../references.ts';
import type { NewItems } from '../../links/new-items.ts';
import { iconsPatch } from './items.ts';
import { pagesPatch } from './pages.ts';

const gone = (): Result<never> =>
  refuse('gone', '/menus', 'The menu is no longer there; it was removed in the meantime');
const indexOf = (site: Site, id: string) => site.menus.findIndex((menu) => menu.id === id);

/** Adds a menu behind the others, empty or with links from elsewhere. */
export const addMenu: EditOperation<NewItems & { readonly id: string; readonly name: string }> = (
  site,
  { id, name, ...incoming },
) => {
  if (idsOf(site).has(id))
    return refuse('duplicate', '/menus', `There is something with the id "${id}" already`);
  const { items, pages } = adoptItems(site, incoming.items, incoming.pages ?? []);
  const menu: Menu = { id, name, items };
  return patched(site, [
    ...pagesPatch(site, pages),
    ...iconsPatch(site, incoming.icons ?? []),
    { op: 'add', path: '/menus/-', value: menu },
  ]);
};

/** Renames a menu, and every placement of it that nobody has named otherwise. */
export const setMenuName: EditOperation<{ readonly id: string; readonly name: string }> = (
  site,
  { id, name },
) => {
  const index = indexOf(site, id);
  const menu = site.menus[index];
  if (!menu) return gone();
  const following = [...ownersOf(site).values()].filter(
    ({ kind, thing }) => kind === 'menu' && isNamedAfter(thing as MenuPart, menu),
  );
  return patched(
    site,
    [`/menus/${index}`, ...following.map((owner) => owner.path)].map((path): PatchOperation => ({
      op: 'replace',
      path: `${path}/name`,
      value: name,
    })),
  );
};

/** Makes a menu a draft, or lets it go. */
export const setMenuDraft: EditOperation<{ readonly id: string; readonly draft: boolean }> = (
  site,
  { id, draft },
) => {
  const index = indexOf(site, id);
  if (index === -1) return gone();
  if ((site.menus[index]?.draft ?? false) === draft) return patched(site, []);
  const path = `/menus/${index}/draft`;
  return patched(site, [draft ? { op: 'add', path, value: true } : { op: 'remove', path }]);
};

/** Adds a copy of a menu behind it; the copy is placed nowhere. */
export const duplicateMenu: EditOperation<{ readonly id: string; readonly copy: string }> = (
  site,
  { id, copy },
) => {
  const index = indexOf(site, id);
  const menu = site.menus[index];
  if (!menu) return gone();
  if (idsOf(site).has(copy))
    return refuse('duplicate', '/menus', `There is something with the id "${copy}" already`);
  const name = uniqueTitle(`${menu.name} copy`, new Set(site.menus.map((entry) => entry.name)));
  const items = copyItems(menu.items, countingIds('link', idsOf(site)));
  return patched(site, [{ op: 'add', path: `/menus/${index + 1}`, value: { id: copy, name, items } }]);
};

/** Removes a menu and every placement of it. */
export const removeMenu: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const index = indexOf(site, id);
  return index === -1 ? gone() : patched(site, removeThings(site, [`/menus/${index}`]));
};
