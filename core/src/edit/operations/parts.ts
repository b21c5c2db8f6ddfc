import { refuse, succeed } from '../../base/result.ts';
import type { Part } from '../../document/part.ts';
import type { Zone } from '../../document/pieces/header.ts';
import type { Site } from '../../document/site.ts';
import { idsOf, ownersOf } from '../../document/walk.ts';
import type { EditOperation } from '../draft.ts';
import { getAt } from '../json-patch.ts';

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

/** Puts a new part into a zone or panel; an index past the end means the end. */
export const addPart: EditOperation<{ readonly place: PartPlace; readonly part: Part }> = (site, { place, part }) => {
  const path = listOf(site, place);
  if (path === null) return refuse('gone', '/pieces', 'The place for the part is no longer there; it was removed in the meantime');
  if (idsOf(site).has(part.id)) return refuse('duplicate', path, `There is a part "${part.id}" already`);
  const list = getAt(site, path);
  const length = list.ok && Array.isArray(list.value) ? list.value.length : 0;
  return succeed([{ op: 'add', path: `${path}/${Math.min(place.index, length)}`, value: part }]);
};

/** Takes a part out of its row; its look goes with it. */
export const removePart: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const owner = ownersOf(site).get(id);
  if (!owner || owner.kind === 'row' || owner.kind === owner.piece.kind) return refuse('gone', '/pieces', 'The part is no longer there');
  return succeed([{ op: 'remove', path: owner.path }]);
};
