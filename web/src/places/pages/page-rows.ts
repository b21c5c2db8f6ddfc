import { isOnPage, isUnder, type Page, type Piece, type Site } from '@hamaca/core';

/** A line of the table: a page, or all that lies beneath a path. */
export type PageRow =
  | { readonly kind: 'page'; readonly key: string; readonly page: Page; readonly nested: boolean }
  | {
      readonly kind: 'group';
      readonly key: string;
      /** As a rule of paths: `/learn/*`. */
      readonly path: string;
      readonly pages: readonly Page[];
      readonly isOpen: boolean;
    };

/** Whether a piece is shown on a line's pages: on all, on none, or on some of them. */
export type Shown = 'all' | 'none' | 'some';

export const pagesOf = (row: PageRow): readonly Page[] => (row.kind === 'page' ? [row.page] : row.pages);

export function shownOn(piece: Piece, row: PageRow): Shown {
  let shown = 0;
  const pages = pagesOf(row);
  for (const page of pages) if (isOnPage(piece, page)) shown++;
  return shown === pages.length ? 'all' : shown === 0 ? 'none' : 'some';
}

/** The first part of a path, with all that lies beneath it; null for the home page. */
function groupPath(path: string): string | null {
  const [, first = ''] = path.split('/');
  return first === '' ? null : `/${first}/*`;
}

/** Groups with more pages than this are folded until somebody asks for them. */
const FOLDED_FROM = 12;

/** The pages of the inventory, those beneath one path together; `toggled` are the groups that were opened or folded by hand. */
export function pageRows(site: Pick<Site, 'pages'>, toggled: ReadonlySet<string>): readonly PageRow[] {
  const groups = new Map<string, Page[]>();
  for (const page of site.pages) {
    const path = groupPath(page.path);
    if (path !== null) groups.set(path, [...(groups.get(path) ?? []), page]);
  }
  const rows: PageRow[] = [];
  const done = new Set<string>();
  for (const page of site.pages) {
    const path = groupPath(page.path);
    const pages = path === null ? [] : (groups.get(path) ?? []);
    if (path === null || pages.length < 2) {
      rows.push({ kind: 'page', key: page.id, page, nested: false });
      continue;
    }
    if (done.has(path)) continue;
    done.add(path);
    const isOpen = toggled.has(path) === pages.length > FOLDED_FROM;
    rows.push({
      kind: 'group',
      key: path,
      path,
      pages: pages.filter((one) => isUnder(one.path, path)),
      isOpen,
    });
    if (isOpen)
      rows.push(...pages.map((one): PageRow => ({ kind: 'page', key: one.id, page: one, nested: true })));
  }
  return rows;
}

/** On how many pages a piece is, in words. */
export function ruleWords(site: Pick<Site, 'pages'>, piece: Piece): string {
  if (piece.pages === undefined) return 'on all pages';
  const count = site.pages.filter((page) => isOnPage(piece, page)).length;
  if (count === 0) return 'on no page';
  return piece.pages.shown === 'only'
    ? `on ${count} ${count === 1 ? 'page' : 'pages'}`
    : `on all but ${site.pages.length - count}`;
}
