import { countingIds, uniqueName, type IdSource } from '../base/ids.ts';
import type { MenuItem } from '../model/menu-item.ts';
import type { Page } from '../model/site-content.ts';
import type { Site } from '../kinds/site.ts';
import { NO_TARGET, type Target } from '../model/target.ts';
import { findIcon, findPage, pagesByPath } from '../kinds/content.ts';
import { idsOf, panelsOf } from '../kinds/placed.ts';

/** Changes every link of some branches, parents before children. Depth is bounded by the document. */
export function mapItems(items: readonly MenuItem[], change: (item: MenuItem) => MenuItem): MenuItem[] {
  return items.map((item) => {
    const changed = change(item);
    return changed.children.length === 0
      ? changed
      : { ...changed, children: mapItems(changed.children, change) };
  });
}

/** Copies of branches with ids of their own. */
export function copyItems(items: readonly MenuItem[], nextId: IdSource): MenuItem[] {
  return mapItems(items, (item) => ({ ...item, id: nextId() }));
}

/**
 * Links from elsewhere as this site can hold them: ids in use are given anew, targets lead to the page the site has
 * at that path or to the new one; what the site does not have (an icon, a panel, a band) is left out.
 */
export function adoptItems(
  site: Site,
  items: readonly MenuItem[],
  pages: readonly Page[],
): { items: MenuItem[]; pages: Page[] } {
  const taken = new Set(idsOf(site));
  const nextId = countingIds('link', taken);
  const known = pagesByPath(site);
  const pageIds = new Map<string, string>();
  const newPages = new Map<string, Page>();
  for (const page of pages) {
    const there = known.get(page.path) ?? newPages.get(page.path);
    if (there) {
      pageIds.set(page.id, there.id);
      // It may know more about the page than the site does.
      if (!newPages.has(page.path)) newPages.set(page.path, { ...page, id: there.id });
      continue;
    }
    const id = uniqueName(page.id, taken);
    taken.add(id);
    pageIds.set(page.id, id);
    newPages.set(page.path, { ...page, id });
  }
  const bands = new Set(site.bands.map((band) => band.id));
  const panels = new Set(panelsOf(site).map((panel) => panel.id));
  const targetOf = (target: Target): Target => {
    if (target.kind === 'panel') return panels.has(target.panel) ? target : NO_TARGET;
    if (target.kind !== 'page') return target;
    const page = pageIds.get(target.page) ?? findPage(site, target.page)?.id;
    return page === undefined ? NO_TARGET : { ...target, page };
  };
  const seen = new Set<string>();
  const adopted = mapItems(items, (item) => {
    const id = taken.has(item.id) || seen.has(item.id) ? nextId() : item.id;
    seen.add(id);
    const { icon, bands: shown, ...rest } = item;
    return {
      ...rest,
      id,
      target: targetOf(item.target),
      ...(icon !== undefined && findIcon(site, icon) ? { icon } : {}),
      ...(shown?.every((band) => bands.has(band)) === true ? { bands: shown } : {}),
    };
  });
  return { items: adopted, pages: [...newPages.values()] };
}
