import {
  itemsOf,
  placedParts,
  unreachedPages,
  type MenuItem,
  type Page,
  type PageSection,
  type Site,
} from '@hamaca/core';
import { newLinkId } from '../../../store/pending.ts';

/** Which pages of the inventory are looked at. */
export type PageView = 'all' | 'unreached' | 'unlisted';

/** One line of the inventory: a page, or a section of an opened one. */
export interface PageRow {
  readonly key: string;
  readonly page: Page;
  readonly section: PageSection | null;
  /** Names of the menus that lead to it. */
  readonly menus: readonly string[];
  /** Whether it is known from links alone, though others are known from elsewhere. */
  readonly doubtful: boolean;
}

/** The pages that only links tell of, where others are known from elsewhere: those may be missing. */
export const doubtfulPages = ({ pages }: Pick<Site, 'pages'>): readonly Page[] =>
  pages.some((page) => page.listed) ? pages.filter((page) => !page.listed) : [];

/**
 * The pages that whoever lists the first one by hand takes over with it: so far links alone told of them, and nobody meant that
 * they are missing now. None where others are listed already.
 */
export const takenOver = ({ pages }: Pick<Site, 'pages'>): readonly Page[] =>
  pages.some((page) => page.listed) ? [] : pages.map((page) => ({ ...page, listed: true }));

/** What leads to each page: menus by name, and buttons. */
export function menusByPage(site: Site): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  for (const { item, menu } of itemsOf(site).values()) {
    if (item.target.kind !== 'page') continue;
    const names = found.get(item.target.page) ?? [];
    if (!names.includes(menu.name)) found.set(item.target.page, [...names, menu.name]);
  }
  for (const { part } of placedParts(site)) {
    if (part.kind === 'button' && part.target.kind === 'page')
      found.set(part.target.page, [...(found.get(part.target.page) ?? []), 'a button']);
  }
  return found;
}

const NO_MENUS: readonly string[] = [];

/** The lines of the inventory in a view, by path, with every word of the filter in path or title. */
export function pageRows(site: Site, view: PageView, filter: string, opened: ReadonlySet<string>): PageRow[] {
  const menus = menusByPage(site);
  const unreached = view === 'unreached' ? unreachedPages(site) : null;
  const doubtful = new Set(doubtfulPages(site));
  const words = filter
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const pages = site.pages.filter(
    (page) =>
      (view !== 'unreached' || unreached?.has(page.id) === true) &&
      (view !== 'unlisted' || doubtful.has(page)) &&
      words.every(
        (word) => page.path.toLowerCase().includes(word) || page.title.toLowerCase().includes(word),
      ),
  );
  const sorted = [...pages].sort((a, b) => (a.path < b.path ? -1 : a.path > b.path ? 1 : 0));
  return sorted.flatMap((page): PageRow[] => [
    {
      key: page.id,
      page,
      section: null,
      menus: menus.get(page.id) ?? NO_MENUS,
      doubtful: doubtful.has(page),
    },
    ...(opened.has(page.id)
      ? page.sections.map((section): PageRow => ({
          key: `${page.id}#${section.id}`,
          page,
          section,
          menus: NO_MENUS,
          doubtful: false,
        }))
      : []),
  ]);
}

/** Lines as links: a page's title, or a section's. */
export function rowLinks(rows: readonly Pick<PageRow, 'page' | 'section'>[]): MenuItem[] {
  return rows.map(({ page, section }) => ({
    id: newLinkId(),
    label: section ? section.title || section.id : page.title || page.path,
    children: [],
    target: { kind: 'page', page: page.id, ...(section ? { section: section.id } : {}) } as const,
  }));
}

/** Sections as they are typed: ids, or ids with a title behind them, separated by commas. Known titles stay. */
export function parseSections(text: string, known: readonly PageSection[]): PageSection[] | string {
  const sections: PageSection[] = [];
  for (const part of text
    .split(',')
    .map((entry) => entry.trim())
    .filter((entry) => entry !== '')) {
    const [, id = '', title = ''] = /^#?(\S+)\s*(.*)$/.exec(part) ?? [];
    if (sections.some((section) => section.id === id)) return `#${id} is there twice.`;
    sections.push({ id, title: title || known.find((section) => section.id === id)?.title || '' });
  }
  return sections;
}
