import { countingIds, uniqueTitle } from '../../base/ids.ts';
import { refuse } from '../../base/result.ts';
import { BOOK } from '../../kinds/book.ts';
import { shapeOf } from '../../kinds/catalogue.ts';
import type { Piece, Section, Site } from '../../kinds/site.ts';
import { idsOf, opensOver, ownersOf, standingPieces } from '../../kinds/placed.ts';
import { copyThing } from '../../model/shape/copy.ts';
import type { Field, FieldSpec } from '../../model/shape/field.ts';
import { patched, type EditOperation } from '../draft.ts';
import { removeThings } from '../references.ts';

const gone = () => refuse('gone', '/pieces', 'The piece is no longer there; it was removed in the meantime');
const taken = (id: string) =>
  refuse('duplicate', '/pieces', `There is something with the id "${id}" already`);

const MOST_PIECES = 50;

/** Adds a piece behind the others. */
export const addPiece: EditOperation<{ readonly piece: Piece }> = (site, { piece }) => {
  if (idsOf(site).has(piece.id)) return taken(piece.id);
  if (site.pieces.length >= MOST_PIECES)
    return refuse('too-many', '/pieces', `A site has at most ${MOST_PIECES} pieces`);
  return patched(site, [{ op: 'add', path: '/pieces/-', value: piece }]);
};

/** Puts a copy of a piece, with everything in it, behind it. */
export const duplicatePiece: EditOperation<{ readonly id: string; readonly copy: string }> = (
  site,
  { id, copy },
) => {
  const index = site.pieces.findIndex((piece) => piece.id === id);
  const piece = site.pieces[index];
  if (!piece) return gone();
  if (idsOf(site).has(copy)) return taken(copy);
  if (site.pieces.length >= MOST_PIECES)
    return refuse('too-many', '/pieces', `A site has at most ${MOST_PIECES} pieces`);
  const fresh = countingIds(`${copy}-`, idsOf(site));
  const made = copyThing(shapeOf(piece.kind), piece, BOOK, (old) => (old === id ? copy : fresh()));
  const name = uniqueTitle(`${piece.name} copy`, new Set(site.pieces.map((entry) => entry.name)));
  return patched(site, [{ op: 'add', path: `/pieces/${index + 1}`, value: { ...made, name } }]);
};

/** Removes a piece with everything in it, and whatever opened it; a site keeps one that stands in its pages. */
export const removePiece: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const index = site.pieces.findIndex((piece) => piece.id === id);
  const piece = site.pieces[index];
  if (!piece) return gone();
  if (!opensOver(piece) && standingPieces(site).length === 1)
    return refuse('last', `/pieces/${index}`, 'A site keeps one piece that stands in its pages');
  return patched(site, removeThings(site, [`/pieces/${index}`]));
};

/** Moves a piece to the place that another one has, so that a page has it before or behind that one. */
export const movePiece: EditOperation<{ readonly id: string; readonly past: string }> = (
  site,
  { id, past },
) => {
  const from = site.pieces.findIndex((piece) => piece.id === id);
  const to = site.pieces.findIndex((piece) => piece.id === past);
  if (from === -1 || to === -1) return gone();
  if (from === to) return patched(site, []);
  return patched(site, [{ op: 'move', from: `/pieces/${from}`, path: `/pieces/${to}` }]);
};

/** The list of a piece's sections, with how many it may hold. */
function sectionsField(piece: Piece): { key: string; spec: Extract<FieldSpec, { kind: 'things' }> } | null {
  for (const [key, { spec }] of Object.entries<Field<unknown>>(shapeOf(piece.kind)))
    if (spec.kind === 'things' && spec.of === 'sections') return { key, spec };
  return null;
}

const sectionsIn = (piece: Piece, key: string) =>
  (piece as unknown as Record<string, readonly Section[]>)[key] ?? [];

const noSection = () =>
  refuse('gone', '/pieces', 'The row is no longer there; it was removed in the meantime');

/** Where a section stands among those of its piece. */
function placeOf(site: Site, id: string) {
  const owner = ownersOf(site).get(id);
  const field = owner?.sort === 'section' ? sectionsField(owner.piece) : null;
  if (!owner || !field) return null;
  const list = sectionsIn(owner.piece, field.key);
  const index = list.findIndex((section) => section.id === id);
  return { owner, field, list, index, path: owner.path.slice(0, owner.path.lastIndexOf('/')) };
}

/** Adds a row to a header, a block to a panel. */
export const addSection: EditOperation<{
  readonly piece: string;
  readonly section: Section;
  readonly index: number;
}> = (site, { piece, section, index }) => {
  const owner = ownersOf(site).get(piece);
  const field = owner?.sort === 'piece' ? sectionsField(owner.piece) : null;
  if (!owner || !field) return gone();
  if (idsOf(site).has(section.id)) return taken(section.id);
  const list = sectionsIn(owner.piece, field.key);
  if (list.length >= field.spec.max)
    return refuse('too-many', owner.path, `${owner.piece.name} holds at most ${field.spec.max}`);
  return patched(site, [
    { op: 'add', path: `${owner.path}/${field.key}/${Math.min(index, list.length)}`, value: section },
  ]);
};

/** Puts a copy of a section, with everything in it, behind it. */
export const duplicateSection: EditOperation<{ readonly id: string; readonly copy: string }> = (
  site,
  { id, copy },
) => {
  const place = placeOf(site, id);
  if (!place) return noSection();
  if (idsOf(site).has(copy)) return taken(copy);
  const { owner, field, list, index, path } = place;
  if (list.length >= field.spec.max)
    return refuse('too-many', owner.path, `${owner.piece.name} holds at most ${field.spec.max}`);
  const fresh = countingIds(`${copy}-`, idsOf(site));
  const made = copyThing(shapeOf(owner.kind), owner.thing, BOOK, (old) => (old === id ? copy : fresh()));
  return patched(site, [{ op: 'add', path: `${path}/${index + 1}`, value: made }]);
};

/** Removes a section with everything in it; a piece keeps as many as it needs. */
export const removeSection: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const place = placeOf(site, id);
  if (!place) return noSection();
  const { owner, field, list } = place;
  if (list.length <= field.spec.min)
    return refuse(
      'last',
      owner.path,
      `${owner.piece.name} keeps ${field.spec.min === 1 ? 'one' : field.spec.min}`,
    );
  return patched(site, removeThings(site, [owner.path]));
};

/** Moves a section up or down among those of its piece. */
export const moveSection: EditOperation<{ readonly id: string; readonly index: number }> = (
  site,
  { id, index },
) => {
  const place = placeOf(site, id);
  if (!place) return noSection();
  const to = Math.min(place.list.length - 1, Math.max(0, index));
  if (place.index === to) return patched(site, []);
  return patched(site, [{ op: 'move', from: place.owner.path, path: `${place.path}/${to}` }]);
};
