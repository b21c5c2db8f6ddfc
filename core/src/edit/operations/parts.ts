import { countingIds } from '../../base/ids.ts';
import { refuse, succeed } from '../../base/result.ts';
import type { Part } from '../../kinds/part.ts';
import type { Row, Zone } from '../../kinds/pieces/header.ts';
import type { Icon, Site } from '../../model/site.ts';
import { idsOf, ownersOf, placedParts, rowParts } from '../../kinds/walk.ts';
import type { EditOperation } from '../draft.ts';
import { getAt, type PatchOperation } from '../json-patch.ts';
import { iconsPatch } from './items.ts';

/** A place among the parts of a row's zone, or among the menus of a panel. */
export type PartPlace =
  | { readonly row: string; readonly zone: Zone; readonly index: number }
  | { readonly panel: string; readonly index: number };

/** JSON Pointer of the list a place is in; null where it is gone. */
function listOf(site: Site, place: PartPlace): string | null {
  const owner = ownersOf(site).get('row' in place ? place.row : place.panel);
  if ('row' in place) return owner?.kind === 'row' ? `${owner.path}/zones/${place.zone}` : null;
  return owner?.kind === 'panel' ? `${owner.path}/parts` : null;
}

function lengthAt(site: Site, path: string): number {
  const list = getAt(site, path);
  return list.ok && Array.isArray(list.value) ? list.value.length : 0;
}

const noPlace = () =>
  refuse('gone', '/pieces', 'The place for the part is no longer there; it was removed in the meantime');
const noPart = () => refuse('gone', '/pieces', 'The part is no longer there; it was removed in the meantime');
const noRow = () => refuse('gone', '/pieces', 'The row is no longer there; it was removed in the meantime');

/** Whether a part may stand somewhere: panels hold menus only. */
const mayStand = (part: Part, place: PartPlace) => !('panel' in place) || part.kind === 'menu';

/** Puts a new part into a zone or panel; an index past the end means the end. */
export const addPart: EditOperation<{
  readonly place: PartPlace;
  readonly part: Part;
  readonly icons?: readonly Icon[];
}> = (site, { place, part, icons = [] }) => {
  const path = listOf(site, place);
  if (path === null) return noPlace();
  if (idsOf(site).has(part.id)) return refuse('duplicate', path, `There is a part "${part.id}" already`);
  if (!mayStand(part, place)) return refuse('place', path, 'A panel holds menus');
  return succeed([
    ...iconsPatch(site, icons),
    { op: 'add', path: `${path}/${Math.min(place.index, lengthAt(site, path))}`, value: part },
  ]);
};

/** Takes away what slots of the given owners share with others: they are about to go. */
export function unlinkLooks(site: Site, owners: ReadonlySet<string>): PatchOperation[] {
  return site.sameLooks
    .flatMap((entry, index) => (owners.has(entry.owner) || owners.has(entry.as.owner) ? [index] : []))
    .reverse()
    .map((index): PatchOperation => ({ op: 'remove', path: `/sameLooks/${index}` }));
}

/** The list a part stands in and its place there, from its JSON Pointer. */
function splitPath(path: string): { readonly list: string; readonly index: number } {
  const at = path.lastIndexOf('/');
  return { list: path.slice(0, at), index: Number(path.slice(at + 1)) };
}

const placed = (site: Site, id: string) => placedParts(site).find(({ part }) => part.id === id) ?? null;

/** Takes a part out of its row; its look goes with it. */
export const removePart: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const found = placed(site, id);
  return found
    ? succeed([...unlinkLooks(site, new Set([id])), { op: 'remove', path: found.path }])
    : noPart();
};

/** Moves a part to another place. The index counts before the part is taken out. */
export const movePart: EditOperation<{ readonly id: string; readonly place: PartPlace }> = (
  site,
  { id, place },
) => {
  const found = placed(site, id);
  const path = listOf(site, place);
  if (!found) return noPart();
  if (path === null) return noPlace();
  if (!mayStand(found.part, place)) return refuse('place', path, 'A panel holds menus');
  const { list, index: at } = splitPath(found.path);
  const isSame = list === path;
  const wanted = Math.min(place.index, lengthAt(site, path));
  const index = isSame && wanted > at ? wanted - 1 : wanted;
  return succeed(isSame && index === at ? [] : [{ op: 'move', from: found.path, path: `${path}/${index}` }]);
};

/** A part with ids of its own, so that it can stand beside the one it was copied from. */
export function copyPart(site: Site, part: Part, id: string): Part {
  const fresh = countingIds('entry', idsOf(site));
  if (part.kind === 'social')
    return { ...part, id, links: part.links.map((link) => ({ ...link, id: fresh() })) };
  if (part.kind === 'text')
    return { ...part, id, entries: part.entries.map((entry) => ({ ...entry, id: fresh() })) };
  return { ...part, id };
}

/** Puts a copy of a part behind it. */
export const duplicatePart: EditOperation<{ readonly id: string; readonly copy: string }> = (
  site,
  { id, copy },
) => {
  const found = placed(site, id);
  if (!found) return noPart();
  if (idsOf(site).has(copy))
    return refuse('duplicate', found.path, `There is something with the id "${copy}" already`);
  const { list, index } = splitPath(found.path);
  return succeed([{ op: 'add', path: `${list}/${index + 1}`, value: copyPart(site, found.part, copy) }]);
};

/** Most rows a header has. */
const MOST_ROWS = 8;

/** Adds a row to a header. */
export const addRow: EditOperation<{ readonly piece: string; readonly row: Row; readonly index: number }> = (
  site,
  { piece, row, index },
) => {
  const owner = ownersOf(site).get(piece);
  if (owner?.piece.kind !== 'header') return refuse('gone', '/pieces', 'The header is no longer there');
  if (idsOf(site).has(row.id))
    return refuse('duplicate', owner.path, `There is something with the id "${row.id}" already`);
  if (owner.piece.rows.length >= MOST_ROWS)
    return refuse('too-many', owner.path, `A header has at most ${MOST_ROWS} rows`);
  return succeed([
    { op: 'add', path: `${owner.path}/rows/${Math.min(index, owner.piece.rows.length)}`, value: row },
  ]);
};

/** Removes a row with everything in it; a header keeps one. */
export const removeRow: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const owner = ownersOf(site).get(id);
  if (owner?.kind !== 'row' || owner.piece.kind !== 'header') return noRow();
  if (owner.piece.rows.length === 1) return refuse('last', owner.path, 'A header keeps one row');
  const row = owner.piece.rows.find((entry) => entry.id === id);
  const gone = new Set([id, ...(row ? rowParts(row).map((part) => part.id) : [])]);
  return succeed([...unlinkLooks(site, gone), { op: 'remove', path: owner.path }]);
};

/** Moves a row up or down among its header's rows. */
export const moveRow: EditOperation<{ readonly id: string; readonly index: number }> = (
  site,
  { id, index },
) => {
  const owner = ownersOf(site).get(id);
  if (owner?.kind !== 'row' || owner.piece.kind !== 'header') return noRow();
  const { rows } = owner.piece;
  const from = rows.findIndex((row) => row.id === id);
  const to = Math.min(rows.length - 1, Math.max(0, index));
  const { list } = splitPath(owner.path);
  return succeed(from === to ? [] : [{ op: 'move', from: owner.path, path: `${list}/${to}` }]);
};
