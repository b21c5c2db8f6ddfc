import { itemsOf } from '../../kinds/content.ts';
import type { PartCheck } from '../check.ts';

/** A placement of a branch that is gone or has nothing nested in it. */
export const placementEmpty: PartCheck = {
  of: 'part',
  id: 'placement-empty',
  label: 'A placement without links',
  why: 'Visitors see an empty place.',
  check: ({ part, piece }, { site }) => {
    if ((part.kind !== 'menu' && part.kind !== 'ring') || part.branch === null) return null;
    const start = itemsOf(site).get(part.branch);
    const isOfMenu = start?.menu.id === part.menu;
    if (isOfMenu && start.item.children.length > 0) return null;
    return {
      outcome: 'fail',
      reason: isOfMenu
        ? `“${start.item.label}” has nothing nested in it, so ${piece.name} shows no links.`
        : `The link that ${piece.name} starts from is gone, so it shows no links.`,
      evidence: piece.name,
      fix: {
        label: 'Show the whole menu',
        edit: { name: 'set-owner', args: { id: part.id, fields: { branch: null } } },
      },
    };
  },
};
