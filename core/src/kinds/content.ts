import { lazy, memoise } from '../base/memo.ts';
import type { MenuItem } from '../model/menu-item.ts';
import type { Icon, Menu, Page, SiteContent } from '../model/site-content.ts';
import { levelCount, type Level, type ShownLevels } from '../model/states.ts';

type Menus = Pick<SiteContent, 'menus'>;
type Pages = Pick<SiteContent, 'pages'>;

export function findMenu({ menus }: Menus, id: string): Menu | null {
  return menus.find((menu) => menu.id === id) ?? null;
}

/** A link with its place in its menu. */
export interface PlacedItem {
  readonly item: MenuItem;
  readonly menu: Menu;
  /** 1 at the top of the menu. */
  readonly depth: number;
  readonly index: number;
  readonly parent: MenuItem | null;
  readonly siblings: readonly MenuItem[];
  /** JSON Pointer of the item. */
  readonly path: string;
}

/** Calls `visit` for every link of a menu, parents before children, in order. No recursion: depth is not bounded. */
export function walkMenu(menu: Menu, menuPath: string, visit: (placed: PlacedItem) => void): void {
  interface Frame {
    siblings: readonly MenuItem[];
    next: number;
    parent: MenuItem | null;
    path: string;
  }
  const stack: Frame[] = [{ siblings: menu.items, next: 0, parent: null, path: `${menuPath}/items` }];
  for (let frame = stack.at(-1); frame; frame = stack.at(-1)) {
    const index = frame.next++;
    const item = frame.siblings[index];
    if (!item) {
      stack.pop();
      continue;
    }
    const path = `${frame.path}/${index}`;
    visit({ item, menu, depth: stack.length, index, parent: frame.parent, siblings: frame.siblings, path });
    stack.push({ siblings: item.children, next: 0, parent: item, path: `${path}/children` });
  }
}

const indexItems = memoise((menus: readonly Menu[]): ReadonlyMap<string, PlacedItem> => {
  const items = new Map<string, PlacedItem>();
  menus.forEach((menu, index) => {
    walkMenu(menu, `/menus/${index}`, (placed) => {
      items.set(placed.item.id, placed);
    });
  });
  return items;
});

/** Every link of every menu by id. */
export function itemsOf({ menus }: Menus): ReadonlyMap<string, PlacedItem> {
  return indexItems(menus);
}

/** What a placement of a menu shows: a menu or the branch beneath one of its links, so many levels deep. */
export interface Shown {
  readonly menu: string;
  readonly branch: string | null;
  readonly levels: ShownLevels;
  /** Which of its first links are drawn as calls to action here. */
  readonly actions?: 'none' | 'last' | 'last-two';
  /** Whether links show nothing but their labels here. */
  readonly plain?: boolean;
}

const ACTION_COUNTS = { none: 0, last: 1, 'last-two': 2 } as const;

/** What follows from the menus and a placement of one, worked out once for both. */
export function oncePerPlacement<T>(make: (site: Menus, placement: Shown) => T) {
  const known = memoise((_menus: readonly Menu[]) => new WeakMap<Shown, { readonly made: T }>());
  return (site: Menus, placement: Shown): T => {
    const byPlacement = known(site.menus);
    const found = byPlacement.get(placement) ?? { made: make(site, placement) };
    byPlacement.set(placement, found);
    return found.made;
  };
}

/** Links with the last ones that lead somewhere drawn as calls to action. */
function withActions(items: readonly MenuItem[], count: number): readonly MenuItem[] {
  const links = items.filter(({ role }) => role === undefined || role === 'action');
  const last = new Set(count === 0 ? [] : links.slice(-count));
  return items.map((item) => (last.has(item) ? { ...item, role: 'action' } : item));
}

/** What a link says of how it shows, besides its label. */
const SHOWS = ['icon', 'image', 'imageText', 'description', 'labelHidden'] as const;

/** A link without icon, picture and description, and no call to action; its label is in sight. */
function labelAlone(item: MenuItem): MenuItem {
  const hidden: readonly string[] = item.role === 'action' ? [...SHOWS, 'role'] : SHOWS;
  const kept = Object.entries(item).filter(([key]) => !hidden.includes(key));
  return { ...(Object.fromEntries(kept) as unknown as MenuItem), children: item.children.map(labelAlone) };
}

const changedItems = oncePerPlacement((site, placement) => {
  const items = placedItems(site, placement);
  return withActions(
    placement.plain ? items.map(labelAlone) : items,
    ACTION_COUNTS[placement.actions ?? 'none'],
  );
});

/** The links a placement starts with, as it draws them: the menu's own, or those beneath the link it starts from. */
export const shownItems = (site: Menus, placement: Shown): readonly MenuItem[] =>
  ACTION_COUNTS[placement.actions ?? 'none'] === 0 && !placement.plain
    ? placedItems(site, placement)
    : changedItems(site, placement);

function placedItems(site: Menus, { menu, branch }: Shown): readonly MenuItem[] {
  if (branch === null) return findMenu(site, menu)?.items ?? [];
  const placed = itemsOf(site).get(branch);
  return placed?.menu.id === menu ? placed.item.children : [];
}

/** Every link a placement shows, as deep as it shows them, in document order. */
export const shownLinks = oncePerPlacement((site, placement): readonly MenuItem[] => {
  const links: MenuItem[] = [];
  const most = levelCount(placement.levels);
  const visit = (items: readonly MenuItem[], depth: number) => {
    for (const item of items) {
      links.push(item);
      if (depth < most && item.children.length > 0) visit(item.children, depth + 1);
    }
  };
  visit(shownItems(site, placement), 1);
  return links;
});

/** How many levels a placement shows of what there is. */
export const shownDepth = oncePerPlacement((site, placement): number => {
  const most = levelCount(placement.levels);
  const depthOf = (items: readonly MenuItem[], depth: number): number =>
    depth >= most
      ? depth
      : Math.max(
          depth,
          ...items.map(({ children }) => (children.length > 0 ? depthOf(children, depth + 1) : depth)),
        );
  return depthOf(shownItems(site, placement), 1);
});

/** The level each link of a placement stands at, by its id; deeper ones count as the third. */
export const itemLevels = oncePerPlacement((site, placement): ReadonlyMap<string, Level> => {
  const levels = new Map<string, Level>();
  const visit = (items: readonly MenuItem[], level: number) => {
    for (const item of items) {
      levels.set(item.id, Math.min(3, level) as Level);
      if (level < levelCount(placement.levels)) visit(item.children, level + 1);
    }
  };
  visit(shownItems(site, placement), 1);
  return levels;
});

const indexPages = memoise((pages: readonly Page[]) => ({
  sections: lazy(() => new Set(pages.flatMap((page) => page.sections.map((section) => section.id)))),
  byId: new Map(pages.map((page) => [page.id, page])),
  byPath: lazy(() => new Map([...pages].reverse().map((page) => [page.path, page]))),
  byTitle: lazy(() => new Map([...pages].reverse().map((page) => [page.title.toLowerCase(), page]))),
}));

/** Pages by path; where two share one, the first. */
export function pagesByPath({ pages }: Pages): ReadonlyMap<string, Page> {
  return indexPages(pages).byPath();
}

/** The ids of all sections of all pages. */
export function sectionIds({ pages }: Pages): ReadonlySet<string> {
  return indexPages(pages).sections();
}

/** Pages by title in small letters; where two share one, the first. */
export function pagesByTitle({ pages }: Pages): ReadonlyMap<string, Page> {
  return indexPages(pages).byTitle();
}

export function findPage({ pages }: Pages, id: string): Page | null {
  return indexPages(pages).byId.get(id) ?? null;
}

const iconsById = memoise(
  (icons: readonly Icon[]): ReadonlyMap<string, Icon> => new Map(icons.map((icon) => [icon.id, icon])),
);

export function findIcon({ icons }: Pick<SiteContent, 'icons'>, id: string): Icon | null {
  return iconsById(icons).get(id) ?? null;
}
