import { BOOK } from '../kinds/book.ts';
import { shapeOf } from '../kinds/catalogue.ts';
import type { NewPartWorld } from '../kinds/kind.ts';
import type { Part } from '../kinds/site.ts';
import { copyThing } from '../model/shape/copy.ts';

/** A part without what it says of the place it stands in: the bands it is shown in, and where it folds to. */
export function unplaced(part: Part): Part {
  const { bands: _bands, folds: _folds, ...own } = part;
  return own;
}

/** A copy of a part for another place, it and all that is in it with ids of their own. */
export const copiedPart = (part: Part, { freshId }: Pick<NewPartWorld, 'freshId'>): Part =>
  copyThing(shapeOf(part.kind), unplaced(part), BOOK, (id) => freshId(id === part.id ? part.kind : id));
