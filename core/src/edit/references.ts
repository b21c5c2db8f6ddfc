import { memoise } from '../base/memo.ts';
import { BOOK } from '../kinds/book.ts';
import { SITE_SHAPE } from '../kinds/catalogue.ts';
import type { Site } from '../kinds/site.ts';
import { refsOf } from '../kinds/placed.ts';
import { visitShape, type Reference } from '../model/shape/visit.ts';
import type { JsonPatch, PatchOperation } from './json-patch.ts';

const record = (site: Site) => site as unknown as Record<string, unknown>;

/** Every id with the JSON Pointer of what has it. */
const idPlaces = memoise((site: Site): readonly { readonly id: string; readonly path: string }[] => {
  const places: { id: string; path: string }[] = [];
  visitShape(SITE_SHAPE, record(site), '', BOOK, {
    field: ({ field, value, path }) => {
      if (field.spec.kind === 'id')
        places.push({ id: String(value), path: path.slice(0, path.lastIndexOf('/')) });
    },
  });
  return places;
});

/** Lists of bands in which something is shown, wherever they stand. */
export function bandLists(site: Site): { readonly path: string; readonly bands: readonly string[] }[] {
  const lists: { path: string; bands: readonly string[] }[] = [];
  visitShape(SITE_SHAPE, record(site), '', BOOK, {
    field: ({ field, value, path }) => {
      if (field.spec.kind === 'bands') lists.push({ path, bands: value as readonly string[] });
    },
  });
  return lists;
}

/** Whether a pointer leads to one of some places or into it. */
function isWithin(path: string, places: ReadonlySet<string>): boolean {
  for (let at = path; at !== ''; at = at.slice(0, at.lastIndexOf('/'))) if (places.has(at)) return true;
  return false;
}

const isNumber = (segment: string) => /^\d+$/.test(segment);

/** Document order of two pointers: what comes later, or lies deeper, is greater. */
function comparePointers(a: string, b: string): number {
  const [one, two] = [a.split('/'), b.split('/')];
  for (let index = 0; index < Math.min(one.length, two.length); index++) {
    const [left = '', right = ''] = [one[index], two[index]];
    if (left === right) continue;
    return isNumber(left) && isNumber(right) ? Number(left) - Number(right) : left < right ? -1 : 1;
  }
  return one.length - two.length;
}

/** From so many removals out of one list on, the list is replaced as a whole: single steps would each copy it. */
const MANY = 100;

/** Removals from the last to the first, so that no path is moved by an earlier one. */
function removals(site: Site, removed: ReadonlySet<string>): PatchOperation[] {
  const outermost = [...removed].filter((path) => !isWithin(path.slice(0, path.lastIndexOf('/')), removed));
  const pages = outermost.filter((path) => path.startsWith('/pages/'));
  if (pages.length <= MANY)
    return outermost
      .sort(comparePointers)
      .reverse()
      .map((path) => ({ op: 'remove', path }));
  const gone = new Set(pages.map((path) => Number(path.slice('/pages/'.length))));
  const others = outermost.filter((path) => !path.startsWith('/pages/'));
  return [
    ...others
      .sort(comparePointers)
      .reverse()
      .map((path): PatchOperation => ({ op: 'remove', path })),
    { op: 'replace', path: '/pages', value: site.pages.filter((_page, index) => !gone.has(index)) },
  ];
}

/** What a reference becomes where it loses what it leads to; null where nothing happens. */
function replacement(site: Site, { union, gone, path }: Reference): PatchOperation | null {
  if (union?.spec.freed) {
    const paths = new Map(site.pages.map((page) => [page.id, page.path]));
    return { op: 'replace', path: union.at, value: union.spec.freed(union.value as never, { paths }) };
  }
  return gone === 'emptied' ? { op: 'replace', path, value: null } : null;
}

/** What has to give way where ids are lost: those of `removed` places and of what they hold, and `lost` ones. */
function release(site: Site, places: readonly string[], gone: ReadonlySet<string>): JsonPatch {
  const removed = new Set(places);
  const replaced = new Map<string, PatchOperation>();
  for (let before = -1; before !== removed.size;) {
    before = removed.size;
    const lost = new Set(gone);
    for (const { id, path } of removed.size > 0 ? idPlaces(site) : [])
      if (isWithin(path, removed)) lost.add(id);
    for (const reference of refsOf(site)) {
      if (!lost.has(reference.id) || isWithin(reference.path, removed)) continue;
      const operation = replacement(site, reference);
      if (operation) replaced.set(operation.path, operation);
      else if (reference.gone === 'removed') removed.add(reference.removable);
    }
  }
  return [
    ...[...replaced.values()].filter((operation) => !isWithin(operation.path, removed)),
    ...removals(site, removed),
  ];
}

/**
 * Removes things by their places, and frees or takes along everything that refers to them or to something in them: links
 * to a page keep its path, an opener goes with its panel, a part that folded into it stays where it is.
 */
export const removeThings = (site: Site, places: readonly string[]): JsonPatch =>
  release(site, places, new Set());

/** Frees or takes along what refers to ids that are no longer there. */
export const releaseIds = (site: Site, gone: ReadonlySet<string>): JsonPatch => release(site, [], gone);
