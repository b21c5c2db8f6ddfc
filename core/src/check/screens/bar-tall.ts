import type { LookCheck } from '../check.ts';
import { isShownIn } from '../../kinds/folds.ts';
import { cellIn, pixelsIn, valueIn } from './values.ts';

/** A phone on its side, in px. */
const LANDSCAPE = { width: 844, height: 390 } as const;

/** A bar that stays and takes more than a third of a phone on its side. */
export const barTall: LookCheck = {
  of: 'look',
  id: 'bar-tall',
  label: 'A bar that takes the window',
  why: 'On a phone that is held sideways little of the page is left.',
  check: ({ owner, slot }, { site }) => {
    const { piece } = owner;
    if (owner.sort !== 'piece' || piece.kind !== 'header' || slot !== 'bar') return null;
    const band = site.bands.findIndex(({ min }) => LANDSCAPE.width >= min);
    const ref = { owner: piece.id, slot };
    const sticks = valueIn(site, ref, 'sticks', band);
    if (sticks !== 'stays on top' && sticks !== 'stays at the bottom') return null;
    const rows = piece.rows.filter((row) => isShownIn(row, site, band));
    const staying = rows.slice(
      rows.findIndex(
        (row) => valueIn(site, { owner: row.id, slot: 'row' }, 'rowSticks', band) !== 'scrolls away',
      ),
    );
    const height = staying.reduce(
      (sum, row) => sum + pixelsIn(site, { owner: row.id, slot: 'row' }, 'height', band),
      0,
    );
    if (height <= LANDSCAPE.height / 3) return null;
    const cell = cellIn(site, ref, 'sticks', band);
    return {
      outcome: 'look',
      reason: `${piece.name} stays ${Math.round(height)} px high, of ${LANDSCAPE.height} px that a phone has on its side.`,
      evidence: piece.name,
      at: { piece: piece.id, cell, width: LANDSCAPE.width },
      ...(sticks === 'stays on top'
        ? {
            fix: {
              label: 'Hide it on the way down',
              edit: {
                name: 'set-look' as const,
                args: { cells: [{ ...cell, value: 'hides on the way down' }] },
              },
            },
          }
        : {}),
    };
  },
};
