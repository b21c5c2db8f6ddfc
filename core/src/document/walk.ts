import { memoise } from '../base/memo.ts';
import { ZONES, type Header, type Row } from './pieces/header.ts';
import { slotsOf, type OwnerKind } from './catalogue.ts';
import type { Look, SlotRef } from './look.ts';
import type { Part } from './part.ts';
import type { Piece } from './piece.ts';
import type { Panel } from './pieces/panel.ts';
import type { Menu, MenuItem, Page, Site } from './site.ts';
import type { SlotKind } from './slot.ts';

/** A piece, row or part that carries a look, with where it stands in the document. */
export interface Owner {
  readonly kind: OwnerKind;
  readonly id: string;
  readonly look: Look;
  readonly piece: Piece;
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
  return site.pieces.find((piece) => piece.kind === 'panel' && piece.id === opener?.panel) as Panel | undefined ?? null;
}

function listOwners(site: Site): ReadonlyMap<string, Owner> {
  const owners = new Map<string, Owner>();
  site.pieces.forEach((piece, pieceIndex) => {
    const path = `/pieces/${pieceIndex}`;
    owners.set(piece.id, { kind: piece.kind, id: piece.id, look: piece.look, piece, path });
    if (piece.kind !== 'header') return;
    piece.rows.forEach((row, rowIndex) => {
      const rowPath = `${path}/rows/${rowIndex}`;
      owners.set(row.id, { kind: 'row', id: row.id, look: row.look, piece, path: rowPath });
      for (const zone of ZONES) {
        row.zones[zone].forEach((part, partIndex) => {
          const partPath = `${rowPath}/zones/${zone}/${partIndex}`;
          owners.set(part.id, { kind: part.kind, id: part.id, look: part.look, piece, path: partPath });
        });
      }
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
  interface Frame { siblings: readonly MenuItem[]; next: number; parent: MenuItem | null; path: string }
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
  site.menus.forEach((menu, index) => { walkMenu(menu, `/menus/${index}`, (placed) => { items.set(placed.item.id, placed); }); });
  return items;
}

/** Every link of every menu by id. */
export const itemsOf = memoise(indexItems);

const pagesById = memoise((site: Site): ReadonlyMap<string, Page> => new Map(site.pages.map((page) => [page.id, page])));

export function findPage(site: Site, id: string): Page | null {
  return pagesById(site).get(id) ?? null;
}

/** Every id in use anywhere in the site. */
export const idsOf = memoise((site: Site): ReadonlySet<string> => {
  const lists = [site.palette, site.typeStyles, site.bands, site.pages, site.menus, site.scenes];
  const ids = new Set(lists.flatMap((list) => list.map((entry) => entry.id)));
  for (const id of ownersOf(site).keys()) ids.add(id);
  for (const id of itemsOf(site).keys()) ids.add(id);
  return ids;
});
