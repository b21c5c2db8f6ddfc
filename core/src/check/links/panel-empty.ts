import { findPiece, partsOf } from '../../kinds/placed.ts';
import type { LinkCheck } from '../check.ts';

/** A panel that a link opens but that shows nothing of its own: where nothing is folded into it, it is empty. */
export const panelEmpty: LinkCheck = {
  of: 'link',
  id: 'panel-empty',
  label: 'A panel that opens empty',
  why: 'Visitors open it and find nothing.',
  check: ({ item: { target } }, { site }) => {
    const panel = target.kind === 'panel' ? findPiece(site, target.panel) : null;
    if (!panel || partsOf(site, panel).some((part) => part.kind !== 'berth')) return null;
    return {
      outcome: 'look',
      reason: `${panel.name} has no links of its own: where the menu stands in the bar, it opens empty.`,
      evidence: panel.name,
    };
  },
};
