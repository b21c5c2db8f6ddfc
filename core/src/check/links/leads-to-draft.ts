import { findPiece } from '../../kinds/placed.ts';
import type { LinkCheck } from '../check.ts';

/** A link to a panel that is a draft: both are left out of the hand-off. */
export const leadsToDraft: LinkCheck = {
  of: 'link',
  id: 'leads-to-draft',
  label: 'A link to a draft',
  why: 'What is a draft is not handed over, and what leads to it alone is left out with it.',
  check: ({ item: { target } }, { site }) => {
    const panel = target.kind === 'panel' ? findPiece(site, target.panel) : null;
    if (panel?.draft !== true) return null;
    return {
      outcome: 'look',
      reason: `${panel.name} is a draft: this link is left out of the hand-off.`,
      evidence: panel.name,
      fix: {
        label: `Let ${panel.name} go`,
        edit: { name: 'set-owner', args: { id: panel.id, fields: { draft: null } } },
      },
    };
  },
};
