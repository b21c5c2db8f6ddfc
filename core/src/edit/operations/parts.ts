import { refuse, succeed } from '../../base/result.ts';
import type { Part } from '../../document/part.ts';
import type { Zone } from '../../document/pieces/header.ts';
import { idsOf, ownersOf } from '../../document/walk.ts';
import type { EditOperation } from '../draft.ts';
import { getAt } from '../json-patch.ts';

/** A place among the parts of a row. */
export interface PartPlace {
  readonly row: string;
  readonly zone: Zone;
  readonly index: number;
}

/** Puts a new part into a zone; an index past the end means the end. */
export const addPart: EditOperation<{ readonly place: PartPlace; readonly part: Part }> = (site, { place, part }) => {
  const row = ownersOf(site).get(place.row);
  if (row?.kind !== 'row') return refuse('gone', '/pieces', 'The row is no longer there; it was removed in the meantime');
  if (idsOf(site).has(part.id)) return refuse('duplicate', row.path, `There is a part "${part.id}" already`);
  const path = `${row.path}/zones/${place.zone}`;
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
