import type { RingPart } from '../../kinds/parts/ring/shape.ts';
import { ringCount, ringIn, SMALLEST } from '../../kinds/parts/ring/standing.ts';
import { isOwnerShownIn } from '../../kinds/folds.ts';
import { ownersOf } from '../../kinds/placed.ts';
import type { PropertyId } from '../../kinds/properties/properties.ts';
import type { PartCheck } from '../check.ts';
import { cellIn, valueIn } from './values.ts';

/** Links that find no place on an arc, or not the one that was wished. */
export const ringFull: PartCheck = {
  of: 'part',
  id: 'ring-full',
  label: 'More links than an arc holds',
  why: 'Targets that lie closer than 8 px are missed, and those beyond the window cannot be reached.',
  check: ({ part, piece }, { site }) => {
    const owner = ownersOf(site).get(part.id);
    if (part.kind !== 'ring' || !owner) return null;
    const ring: RingPart = part;
    const looks = {
      own: (slot: string, property: PropertyId, band: number) =>
        valueIn(site, { owner: ring.id, slot }, property, band),
      piece: (slot: string, property: PropertyId, band: number) =>
        valueIn(site, { owner: piece.id, slot }, property, band),
    };
    for (const band of site.bands.keys()) {
      if (!isOwnerShownIn(owner, site, band)) continue;
      const stand = ringIn(site, ring, looks, band);
      const seenAt = (property: 'ringForm' | 'ringSpan') => ({
        piece: piece.id,
        cell: cellIn(site, { owner: ring.id, slot: 'ring' }, property, band),
        ...(band > 0 ? { width: 390 } : {}),
      });
      if (stand.isTooLong && stand.ring)
        return {
          outcome: 'look',
          reason:
            'Links without an icon show their labels, and some are too long to stand whole around the opener: they stand in a column.',
          evidence: piece.name,
          at: seenAt('ringForm'),
        };
      if ((stand.form !== 'on an arc' && !stand.isTooLong) || stand.ring?.asWished) continue;
      const count = ringCount(site, ring);
      const window = `a window of ${stand.width} × ${SMALLEST.height} px`;
      return {
        outcome: stand.ring ? 'look' : 'fail',
        reason: stand.ring
          ? `${count} links do not fit on an arc so narrow or so turned in ${window}: they stand where there is room.`
          : `${count} links do not fit around the opener in ${window}: they stand in a column that scrolls.`,
        evidence: piece.name,
        at: seenAt(stand.ring ? 'ringSpan' : 'ringForm'),
      };
    }
    return null;
  },
};
