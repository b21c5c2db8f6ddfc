import { memoise } from '../base/memo.ts';
import { ZONES, type Header, type Row } from './pieces/header.ts';
import { slotsOf, type OwnerKind } from './catalogue.ts';
import type { Look, SlotRef } from '../model/look.ts';
import type { Part } from './part.ts';
import type { Piece } from './piece.ts';
import type { Panel } from './pieces/panel.ts';
import type { MenuPart } from './parts/menu.ts';
import type { MenuItem } from '../model/menu-item.ts';
import type { Icon, Menu, Page, Site } from '../model/site.ts';
import type { SlotKind } from '../model/slot.ts';
import { levelCount } from '../model/states.ts';
import type { Target } from '../model/target.ts';

/** A piece, row or part that carries a look, with where it stands in the document. */
export interface Owner {
  readonly kind: OwnerKind;
  readonly id: string;
  readonly look: Look;
  readonly piece: Piece;
  /** Id of the row a part stands in; null for anything else. */
  readonly row: string | null;
  /** JSON Pointer of the owner. */
  readonly path: string;
}

/** The parts of a row from start to end. */
export const rowParts = memoise((row: Row): readonly Part[] => ZONES.flatMap((zone) => row.zones[zone]));

/** All parts of a header, row by row. */
export const headerParts = memoise((header: Header): readonly Part[] => header.rows.flatMap(rowParts));

/** The panel that a header's first opener opens; null where it has none. */
export function openedPanel(site: Site, header: Header): Panel | null {
  const opener = headerParts(header).find((part) => part.kind === 'opener');
  return (
    (site.pieces.find((piece) => piece.kind === 'panel' && piece.id === opener?.panel) as
      Panel | undefined) ?? null
  );
}

/** A part with the piece it stands in and its JSON Pointer. */
export interface PlacedPart {
  readonly part: Part;
  readonly piece: Piece;
  readonly path: string;
}

/** Every part of every piece in document order. */
export const placedParts = memoise((site: Site): readonly PlacedPart[] =>
  site.pieces.flatMap((piece, index): PlacedPart[] => {
    const path = `/pieces/${index}`;
    if (piece.kind === 'panel')
      return piece.parts.map((part, place) => ({ part, piece, path: `${path}/parts/${place}` }));
    return piece.rows.flatMap((row, place) =>
      ZONES.flatMap((zone) =>
        row.zones[zone].map((part, at) => ({
          part,
          piece,
          path: `${path}/rows/${place}/zones/${zone}/${at}`,
        })),
      ),
    );
  }),
);

const partsById = memoise(
  (site: Site): ReadonlyMap<string, Part> => new Map(placedParts(site).map(({ part }) => [part.id, part])),
);

/** A part of any piece by its id. */
export function findPart(site: Site, id: string): Part | null {
  return partsById(site).get(id) ?? null;
}

/** What has an id of its own inside a part. */
export function partEntries(part: Part): readonly { readonly id: string }[] {
  if (part.kind === 'social') return part.links;
  return part.kind === 'text' ? part.entries : [];
}

/** A menu as one placement shows it. */
export interface Placement {
  readonly part: MenuPart;
  readonly piece: Piece;
}

/** Where a menu is placed, in document order. */
export function placementsOf(site: Site, menu: string): Placement[] {
  return placedParts(site).flatMap(({ part, piece }) =>
    part.kind === 'menu' && part.menu === menu ? [{ part, piece }] : [],
  );
}

const shownByPart = memoise((_site: Site) => new Map<MenuPart, readonly MenuItem[]>());

/** Every link a placement shows, as deep as it shows them. */
export function shownLinks(site: Site, part: MenuPart): readonly MenuItem[] {
  const known = shownByPart(site).get(part);
  if (known) return known;
  const links: MenuItem[] = [];
  const most = levelCount(part.levels);
  const visit = (items: readonly MenuItem[], depth: number) => {
    for (const item of items) {
      links.push(item);
      if (depth < most && item.children.length > 0) visit(item.children, depth + 1);
    }
  };
  visit(shownItems(site, part), 1);
  shownByPart(site).set(part, links);
  return links;
}

/** The panels a header can open: first, unless openers do not count, the one its menu folds into, then those that buttons and links lead to. */
export function panelsOf(site: Site, header: Header, withOpeners = true): readonly Panel[] {
  const ids = new Set<string>();
  const add = (target: Target) => {
    if (target.kind === 'panel') ids.add(target.panel);
  };
  const parts = headerParts(header);
  for (const part of parts) if (withOpeners && part.kind === 'opener') ids.add(part.panel);
  for (const part of parts) {
    if (part.kind === 'button') add(part.target);
    if (part.kind === 'menu') for (const item of shownLinks(site, part)) add(item.target);
  }
  const panels: Panel[] = [];
  // A panel's own links may open further ones.
  for (const id of ids) {
    const panel = site.pieces.find((piece) => piece.id === id);
    if (panel?.kind !== 'panel') continue;
    panels.push(panel);
    for (const part of panel.parts) for (const item of shownLinks(site, part)) add(item.target);
  }
  return panels;
}

/** The links a placement starts with: the menu's own, or those beneath the link it starts from. */
export function shownItems(site: Site, part: MenuPart): readonly MenuItem[] {
  if (part.branch === null) return findMenu(site, part.menu)?.items ?? [];
  const placed = itemsOf(site).get(part.branch);
  return placed?.menu.id === part.menu ? placed.item.children : [];
}

function listOwners(site: Site): ReadonlyMap<string, Owner> {
  const owners = new Map<string, Owner>();
  const parts = new Map<Piece, PlacedPart[]>();
  for (const placed of placedParts(site))
    parts.set(placed.piece, [...(parts.get(placed.piece) ?? []), placed]);
  site.pieces.forEach((piece, index) => {
    const path = `/pieces/${index}`;
    owners.set(piece.id, { kind: piece.kind, id: piece.id, look: piece.look, piece, row: null, path });
    const own = parts.get(piece) ?? [];
    const add = ({ part, path: at }: PlacedPart, row: string | null) => {
      owners.set(part.id, { kind: part.kind, id: part.id, look: part.look, piece, row, path: at });
    };
    if (piece.kind === 'panel') for (const placed of own) add(placed, null);
    else
      piece.rows.forEach((row, place) => {
        const rowPath = `${path}/rows/${place}`;
        owners.set(row.id, { kind: 'row', id: row.id, look: row.look, piece, row: null, path: rowPath });
        for (const placed of own) if (placed.path.startsWith(`${rowPath}/`)) add(placed, row.id);
      });
  });
  return owners;
}

/** Every look carrier of a site by id, in document order. */
export const ownersOf = memoise(listOwners);

/** The catalogue's entry for a slot of this site, or null where owner or slot are gone. */
export function slotKind(site: Site, ref: SlotRef): SlotKind | null {
  const owner = ownersOf(site).get(ref.owner);
  return owner ? (slotsOf(owner.kind)[ref.slot] ?? null) : null;
}

export function findHeader(site: Site): Header | null {
  return site.pieces.find((piece) => piece.kind === 'header') ?? null;
}

export function findPiece(site: Site, id: string): Piece | null {
  return site.pieces.find((piece) => piece.id === id) ?? null;
}

export function findMenu(site: Site, id: string): Menu | null {
  return site.menus.find((menu) => menu.id === id) ?? null;
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

function indexItems(site: Site): ReadonlyMap<string, PlacedItem> {
  const items = new Map<string, PlacedItem>();
  site.menus.forEach((menu, index) => {
    walkMenu(menu, `/menus/${index}`, (placed) => {
      items.set(placed.item.id, placed);
    });
  });
  return items;
}

/** Every link of every menu by id. */
export const itemsOf = memoise(indexItems);

const indexPages = memoise((pages: readonly Page[]) => ({
  sections: new Set(pages.flatMap((page) => page.sections.map((section) => section.id))),
  byId: new Map(pages.map((page) => [page.id, page])),
  byPath: new Map([...pages].reverse().map((page) => [page.path, page])),
  byTitle: new Map([...pages].reverse().map((page) => [page.title.toLowerCase(), page])),
}));

/** Pages by path; where two share one, the first. */
export function pagesByPath({ pages }: Pick<Site, 'pages'>): ReadonlyMap<string, Page> {
  return indexPages(pages).byPath;
}

/** The ids of all sections of all pages. */
export function sectionIds({ pages }: Pick<Site, 'pages'>): ReadonlySet<string> {
  return indexPages(pages).sections;
}

/** Pages by title in small letters; where two share one, the first. */
export function pagesByTitle({ pages }: Pick<Site, 'pages'>): ReadonlyMap<string, Page> {
  return indexPages(pages).byTitle;
}

export function findPage({ pages }: Pick<Site, 'pages'>, id: string): Page | null {
  return indexPages(pages).byId.get(id) ?? null;
}

const iconsById = memoise(
  (site: Site): ReadonlyMap<string, Icon> => new Map(site.icons.map((icon) => [icon.id, icon])),
);

export function findIcon(site: Site, id: string): Icon | null {
  return iconsById(site).get(id) ?? null;
}

/** Every id in use anywhere in the site. */
export const idsOf = memoise((site: Site): ReadonlySet<string> => {
  const lists = [
    site.palette,
    site.typefaces,
    site.typeStyles,
    site.bands,
    site.pages,
    site.icons,
    site.menus,
    site.scenes,
  ];
  const ids = new Set(lists.flatMap((list) => list.map((entry) => entry.id)));
  for (const id of ownersOf(site).keys()) ids.add(id);
  for (const id of itemsOf(site).keys()) ids.add(id);
  for (const { part } of placedParts(site)) for (const entry of partEntries(part)) ids.add(entry.id);
  return ids;
});
