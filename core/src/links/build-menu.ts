import { cutText } from '../base/well-formed.ts';
import { countingIds, slugify, uniqueName } from '../base/ids.ts';
import type { MenuItem } from '../model/menu-item.ts';
import type { Page } from '../model/site-content.ts';
import { isId } from '../model/shape/refuse-value.ts';
import { NO_TARGET, type Target } from '../model/target.ts';
import type { ImportNote, LinkLine } from './link-line.ts';
import { parseTarget } from './target.ts';

/** Links of an import as menu items, with the pages their site-relative targets name. */
export interface BuiltMenu {
  readonly items: readonly MenuItem[];
  readonly pages: readonly Page[];
  readonly notes: readonly ImportNote[];
}

interface OpenItem {
  readonly item: MenuItem & { children: MenuItem[] };
  readonly depth: number;
}

/** The path of a target on the site itself, without query and fragment; null for any other target. */
function sitePath(href: string, siteUrl: string): string | null {
  const base = siteUrl.replace(/\/+$/, '');
  const local =
    base !== '' && (href === base || href.startsWith(`${base}/`)) ? href.slice(base.length) || '/' : href;
  return /^\/(?!\/)[^\s<>"'?]*$/.test(local) ? (local.split('#')[0] ?? null) : null;
}

/**
 * Nested menu items out of link lines. A depth that skips levels hangs on the nearest link above; site-relative
 * targets become pages (one a path) so that a later change of path reaches every link; refused targets are left out
 * and noted.
 */
export function buildMenu(links: readonly LinkLine[], siteUrl: string, idPrefix = 'link'): BuiltMenu {
  const nextItem = countingIds(idPrefix);
  const pages = new Map<string, Page>();
  const pageIds = new Set<string>();
  const notes: ImportNote[] = [];
  const items: MenuItem[] = [];
  const open: OpenItem[] = [];

  const pageFor = (path: string, title: string): Page => {
    const known = pages.get(path);
    if (known) return known;
    const id = uniqueName(`page-${slugify(path, 'home')}`, pageIds);
    const page: Page = { id, path, title: title || path, sections: [], listed: false };
    pageIds.add(id);
    pages.set(path, page);
    return page;
  };

  const targetOf = (link: LinkLine, line: number): Target => {
    if (link.panel !== undefined && isId(link.panel)) return { kind: 'panel', panel: link.panel };
    if (link.href === null) return NO_TARGET;
    const path = sitePath(link.href, siteUrl);
    if (path !== null) {
      const section = link.href.split('#')[1];
      return { kind: 'page', page: pageFor(path, link.label).id, ...(section ? { section } : {}) };
    }
    const parsed = parseTarget({ pages: [] }, link.href);
    if (parsed.ok) return parsed.value;
    notes.push({ line, text: cutText(link.href, 80), reason: `The target was left out: ${parsed.error}.` });
    return NO_TARGET;
  };

  links.forEach((link, index) => {
    const item = {
      id: nextItem(),
      label: link.label,
      target: targetOf(link, index + 1),
      children: [],
      ...link.fields,
    };
    while ((open.at(-1)?.depth ?? 0) >= link.depth) open.pop();
    const siblings = open.at(-1)?.item.children ?? items;
    siblings.push(item);
    open.push({ item, depth: link.depth });
  });
  return { items, pages: [...pages.values()], notes };
}
