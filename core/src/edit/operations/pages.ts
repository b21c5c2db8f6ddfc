import { uniqueName } from '../../base/ids.ts';
import { refuse } from '../../base/result.ts';
import { LIMITS } from '../../values/limits.ts';
import type { Page } from '../../model/site-content.ts';
import type { Site } from '../../kinds/site.ts';
import { idsOf } from '../../kinds/placed.ts';
import { pagesByPath } from '../../kinds/content.ts';
import { titleOf } from '../../links/page-title.ts';
import { patched, type EditOperation } from '../draft.ts';
import { removeThings } from '../references.ts';
import type { PatchOperation } from '../json-patch.ts';

/** From so many pages on the list is replaced as a whole: thousands of single steps would each copy it. */
const MANY = 100;

/** Two accounts of one page as one: a title that somebody wrote counts more than one made from the path. */
function mergePage(known: Page, found: Page): Page {
  const ids = new Set(known.sections.map((section) => section.id));
  const sections = [...known.sections, ...found.sections.filter((section) => !ids.has(section.id))];
  const isWritten =
    found.listed && found.title !== '' && found.title !== found.path && found.title !== titleOf(found.path);
  const title = isWritten || known.title === '' || known.title === known.path ? found.title : known.title;
  const listed = known.listed || found.listed;
  const same = title === known.title && listed === known.listed && sections.length === known.sections.length;
  return same ? known : { ...known, title, sections, listed };
}

/** Operations that add pages or, by path, complete the ones that are there. */
export function pagesPatch(site: Site, pages: readonly Page[]): PatchOperation[] {
  const known = pagesByPath(site);
  const indexes = new Map(site.pages.map((page, index) => [page.id, index]));
  const taken = pages.length > 0 ? new Set(idsOf(site)) : new Set<string>();
  const changed = new Map<number, Page>();
  const added = new Map<string, Page>();
  for (const page of pages) {
    const existing = known.get(page.path);
    const index = existing ? indexes.get(existing.id) : undefined;
    if (existing && index !== undefined) {
      const merged = mergePage(changed.get(index) ?? existing, page);
      if (merged !== existing) changed.set(index, merged);
      continue;
    }
    const earlier = added.get(page.path);
    const id = earlier?.id ?? uniqueName(page.id, taken);
    taken.add(id);
    added.set(page.path, earlier ? mergePage(earlier, page) : { ...page, id });
  }
  if (changed.size + added.size > MANY) {
    const value = [...site.pages.map((page, index) => changed.get(index) ?? page), ...added.values()].slice(
      0,
      LIMITS.pages,
    );
    return [{ op: 'replace', path: '/pages', value }];
  }
  return [
    ...[...changed].map(([index, value]): PatchOperation => ({
      op: 'replace',
      path: `/pages/${index}`,
      value,
    })),
    ...[...added.values()]
      .slice(0, Math.max(0, LIMITS.pages - site.pages.length))
      .map((value): PatchOperation => ({ op: 'add', path: '/pages/-', value })),
  ];
}

/** Adds pages to the inventory; a path that is there already gains what is new of title and sections. */
export const addPages: EditOperation<{ readonly pages: readonly Page[] }> = (site, { pages }) =>
  patched(site, pagesPatch(site, pages));

/** Changes a page; every link to it follows. Two pages cannot share a path. */
export const setPage: EditOperation<{ readonly id: string; readonly fields: Partial<Omit<Page, 'id'>> }> = (
  site,
  { id, fields },
) => {
  const index = site.pages.findIndex((page) => page.id === id);
  if (index === -1)
    return refuse('gone', '/pages', 'The page is no longer there; it was removed in the meantime');
  const holder = fields.path === undefined ? undefined : pagesByPath(site).get(fields.path);
  if (holder && holder.id !== id)
    return refuse(
      'duplicate',
      `/pages/${index}/path`,
      `“${holder.title}” has the path ${holder.path} already`,
    );
  return patched(
    site,
    Object.entries(fields).map(([key, value]): PatchOperation => ({
      op: 'replace',
      path: `/pages/${index}/${key}`,
      value,
    })),
  );
};

/** Takes pages off the inventory. Links to them keep the path as a plain address, so that the checks can tell. */
export const removePages: EditOperation<{ readonly ids: readonly string[] }> = (site, { ids }) => {
  const wanted = new Set(ids);
  const places = site.pages.flatMap((page, index) => (wanted.has(page.id) ? [`/pages/${index}`] : []));
  return patched(site, removeThings(site, places));
};
