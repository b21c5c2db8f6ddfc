import type { Part } from '../kinds/site.ts';

/** A part without what it says of the place it stands in: the bands it is shown in, and where it folds to. */
export function unplaced(part: Part): Part {
  const { bands: _bands, folds: _folds, ...own } = part;
  return own;
}
