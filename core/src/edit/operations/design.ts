import { own } from '../../base/json.ts';
import { refuse } from '../../base/result.ts';
import type { Piece, Site } from '../../kinds/site.ts';
import { ownersOf } from '../../kinds/placed.ts';
import type { Icon, TypeStyle } from '../../model/site-content.ts';
import { startDraft, type EditOperation } from '../draft.ts';
import type { PatchOperation } from '../json-patch.ts';
import { releaseIds } from '../references.ts';
import { iconsPatch } from './items.ts';

/** A whole piece with the panels it folds into, icons it draws and the type it is set in. */
export interface Design {
  /** The piece whose place is taken first, then its panels. */
  readonly pieces: readonly Piece[];
  readonly icons: readonly Icon[];
  /** By the id of a type style. */
  readonly typeStyles: Readonly<Record<string, Pick<TypeStyle, 'family' | 'size' | 'weight'>>>;
}

const ownersWithin = (site: Site, pieces: ReadonlySet<string>) =>
  [...ownersOf(site).values()].flatMap((owner) => (pieces.has(owner.piece.id) ? [owner.id] : []));

/** Puts a design in the place of a piece and its panels. */
export const setDesign: EditOperation<Design> = (site, { pieces, icons, typeStyles }) => {
  const [first] = pieces;
  if (!first || !site.pieces.some((piece) => piece.id === first.id && piece.kind === first.kind))
    return refuse('gone', '/pieces', 'What it was chosen for is no longer there');
  const styles = site.typeStyles.flatMap((style, place): PatchOperation[] => {
    const type = own(typeStyles, style.id);
    return type ? [{ op: 'replace', path: `/typeStyles/${place}`, value: { ...style, ...type } }] : [];
  });
  const ids = new Set(pieces.map((piece) => piece.id));
  const before = ownersWithin(site, ids);
  const draft = startDraft(site);
  draft.apply(...iconsPatch(site, icons), ...styles);
  for (const piece of pieces) {
    const index = draft.site().pieces.findIndex((entry) => entry.id === piece.id);
    draft.apply(
      index === -1
        ? { op: 'add', path: '/pieces/-', value: piece }
        : { op: 'replace', path: `/pieces/${index}`, value: piece },
    );
  }
  const now = new Set(ownersOf(draft.site()).keys());
  draft.apply(...releaseIds(draft.site(), new Set(before.filter((id) => !now.has(id)))));
  return draft.done();
};
