import { itemsOf } from '../kinds/content.ts';
import type { Site } from '../kinds/site.ts';
import { placementsOf } from '../kinds/placed.ts';
import { levelCount } from '../model/states.ts';
import { partLinks } from './part-links.ts';

/** The deepest level of a menu that any of its placements shows. */
export function shownDepth(site: Site, menu: string): number | null {
  const depths = placementsOf(site, menu).map(({ part }) => {
    const start = part.branch === null ? 0 : (itemsOf(site).get(part.branch)?.depth ?? 0);
    return start + levelCount(part.levels);
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
