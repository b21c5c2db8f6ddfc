import { isOwnerShownIn } from '../../kinds/folds.ts';
import { slotName } from '../../resolve/origin.ts';
import type { LookCheck } from '../check.ts';
import { cellIn, pixelsIn } from './values.ts';

/** Least sides of a target in px: for all (WCAG 2.2, 2.5.8), and for fingers (2.5.5). */
const LEAST = { all: 24, finger: 44 } as const;

/** Bands that begin below this width, in px, are those of phones and tablets. */
const TOUCHED_BELOW = 900;

/** A control that is only a drawing and too small to be pressed. */
export const targetSmall: LookCheck = {
  of: 'look',
  id: 'target-small',
  label: 'A control too small to press',
  why: 'A finger is wider than the control and hits what is beside it.',
  check: ({ owner, slot, kind }, { site }) => {
    const isDrawing = kind.text === 'icon' && kind.inside === undefined && kind.sign !== true;
    if (!isDrawing || !kind.properties.includes('paddingInline') || !kind.properties.includes('size'))
      return null;
    const ref = { owner: owner.id, slot };
    const sideIn = (band: number) => {
      const size = pixelsIn(site, ref, 'size', band);
      const least = (property: 'minWidth' | 'height') =>
        kind.properties.includes(property) ? pixelsIn(site, ref, property, band) : 0;
      const along = size + 2 * pixelsIn(site, ref, 'paddingInline', band);
      const across = size + 2 * pixelsIn(site, ref, 'paddingBlock', band);
      return Math.min(Math.max(along, least('minWidth')), Math.max(across, least('height')));
    };
    const small = [...site.bands.keys()]
      .filter((band) => isOwnerShownIn(owner, site, band))
      .map((band) => ({ band, side: sideIn(band), isTouched: (site.bands[band]?.min ?? 0) < TOUCHED_BELOW }))
      .filter(({ side, isTouched }) => side < (isTouched ? LEAST.finger : LEAST.all))
      .toSorted((a, b) => a.side - b.side);
    const [worst] = small;
    if (!worst) return null;
    const name = slotName(site, ref);
    const size = pixelsIn(site, ref, 'size', worst.band);
    const padding = Math.ceil((LEAST.finger - size) / 2);
    const cell = cellIn(site, ref, 'paddingInline', worst.band);
    return {
      outcome: worst.side < LEAST.all ? 'fail' : 'look',
      reason: `${name} is ${Math.round(worst.side)} px in ${site.bands[worst.band]?.name ?? ''}, where ${worst.side < LEAST.all ? LEAST.all : LEAST.finger} px are needed.`,
      evidence: `${owner.piece.name} › ${name}`,
      at: { piece: owner.piece.id, cell, width: Math.max(320, site.bands[worst.band]?.min ?? 0) },
      fix: {
        label: `Give it ${LEAST.finger} px`,
        edit: {
          name: 'set-look',
          args: {
            cells: (['paddingInline', 'paddingBlock'] as const).map((property) => ({
              ...cell,
              property,
              value: padding,
            })),
          },
        },
      },
    };
  },
};
