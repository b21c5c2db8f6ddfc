import { colourOf } from '../../resolve/colours.ts';
import type { Site } from '../../kinds/site.ts';
import type { SlotRef } from '../../model/look.ts';
import { isColourValue } from '../../values/values.ts';
import type { LookCheck } from '../check.ts';
import { cellIn, pixelsIn, valueIn } from './values.ts';

/** How much of the page a panel and its scrim must hide together, 0 to 1, so that what is written in it is read by itself. */
const LEAST_HIDDEN = 0.6;

/** How much of what is behind a fill hides, 0 to 1; one with a picture or gradient all of it. */
function hidden(site: Site, ref: SlotRef, band: number): number {
  const paint = valueIn(site, ref, 'paint', band);
  if (typeof paint === 'object' && 'paint' in paint && paint.paint !== null) return 1;
  const fill = valueIn(site, ref, 'fill', band);
  return fill !== undefined && isColourValue(fill) ? colourOf(site, fill).a : 0;
}

/** A panel without a fill of its own over a page that its scrim hardly covers. */
export const scrimWeak: LookCheck = {
  of: 'look',
  id: 'scrim-weak',
  label: 'A scrim too weak for what lies on it',
  why: 'The page shows through between the words, whatever their colour.',
  check: ({ owner, slot }, { site }) => {
    const { piece } = owner;
    if (owner.sort !== 'piece' || piece.kind !== 'panel' || slot !== 'scrim') return null;
    const scrim = { owner: piece.id, slot };
    for (const band of site.bands.keys()) {
      if (pixelsIn(site, scrim, 'blur', band) >= 8) continue;
      const panel = hidden(site, { owner: piece.id, slot: 'panel' }, band);
      const under = 1 - (1 - panel) * (1 - hidden(site, scrim, band));
      const isBare = piece.blocks.some(
        (block) =>
          block.parts.length > 0 &&
          1 - (1 - under) * (1 - hidden(site, { owner: block.id, slot: 'block' }, band)) < LEAST_HIDDEN,
      );
      if (!isBare) continue;
      return {
        outcome: 'look',
        reason: `In ${site.bands[band]?.name ?? ''} ${piece.name} and its scrim hide only ${Math.round(under * 100)} % of the page behind its words.`,
        evidence: `${piece.name} › Scrim`,
        at: { piece: piece.id, cell: cellIn(site, scrim, 'fill', band) },
        fix: {
          label: 'Give the panel the fill of paper',
          edit: {
            name: 'set-look',
            args: {
              cells: [
                {
                  ...cellIn(site, { owner: piece.id, slot: 'panel' }, 'fill', band),
                  value: { role: 'paper' },
                },
              ],
            },
          },
        },
      };
    }
    return null;
  },
};
