import { ownersOf } from '../../kinds/placed.ts';
import type { SlotRef } from '../../model/look.ts';
import { slotName } from '../../resolve/origin.ts';
import type { LookCheck } from '../check.ts';
import { cellIn, pixelsIn, valueIn } from './values.ts';

/** What is fixed on the page, in a bar that blurs what is behind it: browsers then fix it to the bar (Filter Effects 2). */
export const fixedInBlur: LookCheck = {
  of: 'look',
  id: 'fixed-in-blur',
  label: 'Fixed to the bar, not to the page',
  why: 'A blur behind the bar holds what is fixed within it: it scrolls away with the bar.',
  check: ({ owner, slot, kind }, { site }) => {
    const property = (['fixedAt', 'menuForm'] as const).find((id) => kind.properties.includes(id));
    if (property === undefined || owner.section === null) return null;
    const ref = { owner: owner.id, slot };
    const around: readonly SlotRef[] = [
      { owner: owner.piece.id, slot: 'bar' },
      { owner: owner.section, slot: 'row' },
    ].filter((one) => ownersOf(site).has(one.owner));
    for (const band of site.bands.keys()) {
      const value = valueIn(site, ref, property, band);
      if (property === 'fixedAt' ? value === 'in its row' : value !== 'at the bottom') continue;
      const blurred = around.find((one) => pixelsIn(site, one, 'blur', band) > 0);
      if (!blurred) continue;
      const cell = cellIn(site, blurred, 'blur', band);
      return {
        outcome: 'fail',
        reason: `${slotName(site, ref)} is fixed on the page in ${site.bands[band]?.name ?? ''}, but ${slotName(site, blurred)} blurs what is behind it and holds it fast.`,
        evidence: `${owner.piece.name} › ${slotName(site, ref)}`,
        at: { piece: owner.piece.id, cell },
        fix: {
          label: 'Take the blur away',
          edit: { name: 'set-look', args: { cells: [{ ...cell, value: 0 }] } },
        },
      };
    }
    return null;
  },
};
