import { isNowhere } from '../../kinds/page-rules.ts';
import type { PieceCheck } from '../check.ts';

/** A piece whose pages are none of the inventory. */
export const pieceNowhere: PieceCheck = {
  of: 'piece',
  id: 'piece-nowhere',
  label: 'A piece on no page',
  why: 'Nobody sees it: the pages it is meant for are not in the inventory.',
  check: (piece, { site }) => {
    if (!isNowhere(site, piece)) return null;
    const paths = piece.pages?.paths.map(({ path }) => path) ?? [];
    return {
      outcome: 'fail',
      reason:
        piece.pages?.shown === 'except'
          ? `${piece.name} is kept from every page there is.`
          : `${piece.name} is meant for ${paths.join(', ') || 'pages that are gone'}, and there is no such page.`,
      evidence: piece.name,
      at: { piece: piece.id },
      fix: {
        label: 'Show it on all pages',
        edit: { name: 'set-owner', args: { id: piece.id, fields: { pages: null } } },
      },
    };
  },
};
