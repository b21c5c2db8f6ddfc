import { isOwnerShownIn } from '../../kinds/folds.ts';
import { levelKeysOf } from '../../kinds/placed.ts';
import { slotName } from '../../resolve/origin.ts';
import { narrowestIn } from '../../layout/extents.ts';
import type { LookCheck } from '../check.ts';
import { cellIn, pixelsIn } from './values.ts';

/** A box that is never narrower than the window it stands in: the page is scrolled sideways. */
export const pagePushed: LookCheck = {
  of: 'look',
  id: 'page-pushed',
  label: 'A box wider than the window',
  why: 'The whole page is scrolled sideways for it, and cut off at the edge.',
  check: ({ owner, slot, kind }, { site }) => {
    if (!kind.properties.includes('minWidth')) return null;
    const ref = { owner: owner.id, slot };
    for (const band of site.bands.keys()) {
      if (!isOwnerShownIn(owner, site, band)) continue;
      for (const key of levelKeysOf(site, owner, slot)) {
        const least = Math.round(pixelsIn(site, ref, 'minWidth', band, key));
        const window = narrowestIn(site, band);
        if (least <= window) continue;
        const cell = cellIn(site, ref, 'minWidth', band, key);
        const name = slotName(site, ref);
        return {
          outcome: 'fail',
          reason: `In ${site.bands[band]?.name ?? ''} ${name} is never narrower than ${least} px, where windows have ${window} px.`,
          evidence: `${owner.piece.name} › ${name}`,
          at: { piece: owner.piece.id, cell, width: window },
          fix: {
            label: `Let it be ${window - 32} px`,
            edit: { name: 'set-look', args: { cells: [{ ...cell, value: window - 32 }] } },
          },
        };
      }
    }
    return null;
  },
};
