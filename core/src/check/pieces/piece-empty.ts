import { partKind } from '../../kinds/catalogue.ts';
import { partsOf } from '../../kinds/placed.ts';
import type { PieceCheck } from '../check.ts';

/** A piece with nothing in it. */
export const pieceEmpty: PieceCheck = {
  of: 'piece',
  id: 'piece-empty',
  label: 'A piece with nothing in it',
  why: 'It is a landmark that holds nothing, and at most an empty strip on the page.',
  check: (piece, { site }) => {
    const parts = partsOf(site, piece);
    if (parts.some((part) => !partKind(part).comesToNothing?.(part as never))) return null;
    return {
      outcome: 'look',
      reason: `${piece.name} has no part, or none that comes to anything.`,
      evidence: piece.name,
      at: { piece: piece.id },
    };
  },
};
