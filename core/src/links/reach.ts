import { itemsOf } from '../kinds/content.ts';
import type { Site } from '../kinds/site.ts';
import { partsShowing } from '../kinds/placed.ts';
import { levelCount } from '../model/states.ts';
import { partLinks } from './part-links.ts';

/** The deepest level of a menu that anything shows of it; null where nothing does. A ring shows one level. */
export function shownDepth(site: Site, menu: string): number | null {
  const depths = partsShowing(site, menu).map(({ part }) => {
    const branch = 'branch' in part ? part.branch : null;
    const start = branch === null ? 0 : (itemsOf(site).get(branch)?.depth ?? 0);
    return start + ('levels' in part ? levelCount(part.levels) : 1);
  });
  return depths.length === 0 ? null : Math.max(...depths);
}

/** Ids of the listed pages that no link of any menu leads to. */
export function unreachedPages(site: Site): ReadonlySet<string> {
  const reached = new Set<string>();
  for (const { item } of itemsOf(site).values())
    if (item.target.kind === 'page') reached.add(item.target.page);
  for (const { target } of partLinks(site)) if (target.kind === 'page') reached.add(target.page);
  return new Set(site.pages.filter((page) => !reached.has(page.id)).map((page) => page.id));
}
