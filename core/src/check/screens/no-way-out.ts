import type { LookCheck } from '../check.ts';
import { cellIn, valueIn } from './values.ts';

/** A panel over the whole window that has no control to close it: there is no scrim to press, and phones have no Escape. */
export const noWayOut: LookCheck = {
  of: 'look',
  id: 'no-way-out',
  label: 'A panel that cannot be left',
  why: 'It covers its opener, and a phone has no Escape key.',
  check: ({ owner, slot }, { site }) => {
    const { piece } = owner;
    if (owner.sort !== 'piece' || piece.kind !== 'panel' || slot !== 'panel') return null;
    if (piece.closeAs !== 'none' || piece.bySwipe) return null;
    const ref = { owner: piece.id, slot };
    const band = [...site.bands.keys()].find(
      (one) => valueIn(site, ref, 'stands', one) === 'over the whole window' || !piece.byScrim,
    );
    if (band === undefined) return null;
    return {
      outcome: 'fail',
      reason: `${piece.name} has no close control, and in ${site.bands[band]?.name ?? ''} ${piece.byScrim ? 'it covers the whole window' : 'its scrim does not close it'}.`,
      evidence: piece.name,
      at: { piece: piece.id, cell: cellIn(site, ref, 'stands', band) },
      fix: {
        label: 'Give it a close control',
        edit: { name: 'set-owner', args: { id: piece.id, fields: { closeAs: 'drawing' } } },
      },
    };
  },
};
