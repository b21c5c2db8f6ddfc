import { isAtSide, placeIn } from '../../kinds/pieces/panel/standing.ts';
import { isLength, lengthTree, unitsOf } from '../../values/length.ts';
import { narrowestIn } from '../../layout/extents.ts';
import type { LookCheck } from '../check.ts';
import { cellIn, pixelsIn, valueIn } from './values.ts';

/** A phone as most are, in px. */
const PHONE = 390;

/** A panel at a side that is wider than the window it opens in: it is cut to it, and leaves nothing to press beside it. */
export const panelWide: LookCheck = {
  of: 'look',
  id: 'panel-wide',
  label: 'A panel wider than the screen',
  why: 'It covers its scrim, and all of the page is gone.',
  check: ({ owner, slot }, { site }) => {
    const { piece } = owner;
    if (owner.sort !== 'piece' || piece.kind !== 'panel' || slot !== 'panel') return null;
    const ref = { owner: piece.id, slot };
    for (const band of site.bands.keys()) {
      const width = valueIn(site, ref, 'width', band);
      const stands = valueIn(site, ref, 'stands', band);
      const place = placeIn(stands === undefined ? {} : { stands }, 'end');
      if (!isAtSide(place) || !isLength(width)) continue;
      const tree = lengthTree(width);
      const units = tree ? unitsOf(tree) : [];
      const pixels = Math.round(pixelsIn(site, ref, 'width', band));
      const window = Math.max(PHONE, narrowestIn(site, band));
      if (units.includes('%') || units.includes('vw') || pixels <= window) continue;
      const cell = cellIn(site, ref, 'width', band);
      return {
        outcome: 'look',
        reason: `In ${site.bands[band]?.name ?? ''} ${piece.name} is to be ${pixels} px wide, where a window may have ${window} px.`,
        evidence: piece.name,
        at: { piece: piece.id, cell, width: window },
        fix: {
          label: 'Make it 85% wide',
          edit: { name: 'set-look', args: { cells: [{ ...cell, value: '85%' }] } },
        },
      };
    }
    return null;
  },
};
