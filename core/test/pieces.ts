import { countingIds } from '../src/base/ids.ts';
import { runEdit, type Edit } from '../src/edit/operations.ts';
import { pieceKindById } from '../src/kinds/catalogue.ts';
import { idsOf } from '../src/kinds/placed.ts';
import type { Piece, PieceKindId, Site } from '../src/kinds/site.ts';
import type { LevelKey, State } from '../src/model/states.ts';
import type { PropertyId } from '../src/kinds/properties/properties.ts';
import type { Value } from '../src/values/values.ts';

/** A site after an edit. */
export function after(site: Site, edit: Edit): Site {
  const ran = runEdit(site, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value.site;
}

/** A site with a new piece of a kind, as a designer adds one, with some of its fields changed. */
export function withPiece(
  site: Site,
  kind: PieceKindId,
  id: string,
  fields: Readonly<Record<string, unknown>> = {},
): Site {
  const freshId = countingIds(`${id}-`, idsOf(site));
  const made = pieceKindById(kind).create({ id, name: id, freshId, site }) as unknown as Piece;
  return after(site, { name: 'add-piece', args: { piece: { ...made, ...fields } as Piece } });
}

/** A site whose looks say something more, at rest and at all levels and widths where nothing else is told. */
export const looking = (
  site: Site,
  ...cells: readonly {
    readonly owner: string;
    readonly slot: string;
    readonly property: PropertyId;
    readonly value: Value;
    readonly level?: LevelKey;
    readonly state?: State;
    readonly band?: string;
  }[]
): Site =>
  after(site, {
    name: 'set-look',
    args: { cells: cells.map((cell) => ({ level: 'all', state: 'rest', band: 'all', ...cell })) },
  });
