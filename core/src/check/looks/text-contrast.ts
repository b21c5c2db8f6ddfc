import { itemsOf } from '../../kinds/content.ts';
import { failingIn, sureMend } from '../../advice/contrast.ts';
import type { Site } from '../../kinds/site.ts';
import type { SingleEdit } from '../../edit/operations.ts';
import { itemOf, type LevelKey } from '../../model/states.ts';
import { slotName } from '../../resolve/origin.ts';
import { narrowestIn } from '../../layout/extents.ts';
import type { LookCheck } from '../check.ts';

/** What the mending does; a colour that follows nothing is said to be one, as it may fail again once others change. */
const fixLabel = ({ args }: SingleEdit): string =>
  'cells' in args && args.cells.some(({ value }) => isFixed(value))
    ? 'Take fixed colours that pass'
    : 'Take colours that pass';

const isFixed = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && 'literal' in value;

/** The level of a key in words, where it is not the first; a single link by its label. */
function keyName(site: Site, key: LevelKey): string {
  const item = itemOf(key);
  if (item !== null) return ` of “${itemsOf(site).get(item)?.item.label ?? ''}”`;
  return key === 'all' || key === '1' ? '' : `, level ${key}`;
}

const ratioText = (ratio: number) => `${Math.floor(ratio * 10) / 10} : 1`;

/** Text and icons that do not stand out enough from what is really behind them (WCAG 2.2, 1.4.3 and 1.4.11). */
export const textContrast: LookCheck = {
  of: 'look',
  id: 'text-contrast',
  label: 'Text that is hard to read',
  why: 'Who sees less well, or stands in the sun, cannot read it.',
  check: (place, { site }) => {
    const failing = failingIn(site, place);
    const worst = failing.toSorted((a, b) => a.ratio / a.required - b.ratio / b.required)[0];
    if (!worst) return null;
    const ref = { owner: place.owner.id, slot: place.slot };
    const name = slotName(site, ref);
    const where = new Set(failing.map(({ key, state }) => `${key} ${state}`)).size - 1;
    const level = keyName(site, worst.key);
    const others = where > 0 ? `, and fails in ${where} other ${where === 1 ? 'state' : 'states'}` : '';
    const edit = sureMend(site, place, failing);
    return {
      outcome: worst.certain ? 'fail' : 'unknown',
      reason: `${name}${level}: ${ratioText(worst.ratio)} at ${worst.state}, where ${worst.required} : 1 is needed${others}.`,
      evidence: `${place.owner.piece.name} › ${name}`,
      at: {
        piece: place.owner.piece.id,
        cell: {
          ...ref,
          property: 'colour',
          level: worst.key,
          state: worst.state,
          band: 'all',
        },
        scene: worst.scene.id,
        ...(worst.situation.band === 0 ? {} : { width: narrowestIn(site, worst.situation.band) }),
      },
      ...(edit ? { fix: { label: fixLabel(edit), edit } } : {}),
    };
  },
};
