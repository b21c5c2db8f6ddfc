import { isShownIn, standsIn } from '../../kinds/folds.ts';
import type { MenuPart } from '../../kinds/parts/menu/shape.ts';
import { placedParts } from '../../kinds/placed.ts';
import type { Part, Site } from '../../kinds/site.ts';
import type { PartCheck } from '../check.ts';
import { cellIn, valueIn } from './values.ts';

/** Where an opener stands fixed in a band; null in its row, or where it is not shown. */
function placeIn(site: Site, part: Part, band: number): string | null {
  if (part.kind !== 'opener' || !isShownIn(part, site, band)) return null;
  const place = valueIn(site, { owner: part.id, slot: 'opener' }, 'fixedAt', band);
  return typeof place !== 'string' || place === 'in its row' ? null : place;
}

/** What else stands fixed at a place of the window. */
function alsoAt(site: Site, part: Part, place: string, band: number): string | null {
  const other = placedParts(site).find(
    (placed) => placed.part.id !== part.id && placeIn(site, placed.part, band) === place,
  );
  if (other) return 'another opener';
  const bar = site.pieces.find((piece) => {
    if (piece.kind !== 'header') return false;
    const sticks = valueIn(site, { owner: piece.id, slot: 'bar' }, 'sticks', band);
    return place.includes('bottom') && sticks === 'stays at the bottom';
  });
  const menu = placedParts(site).find(
    (placed) =>
      placed.part.kind === 'menu' &&
      place.includes('bottom') &&
      standsIn(site, placed, band) &&
      valueIn(site, { owner: placed.part.id, slot: 'list' }, 'menuForm', band) === 'at the bottom',
  );
  return bar?.name ?? (menu?.part as MenuPart | undefined)?.name ?? null;
}

/** Two things fixed at the same place of the window. */
export const fixedTogether: PartCheck = {
  of: 'part',
  id: 'fixed-together',
  label: 'Two fixed things in one place',
  why: 'One lies over the other and cannot be pressed.',
  check: ({ part, piece }, { site }) => {
    for (const band of site.bands.keys()) {
      const place = placeIn(site, part, band);
      const other = place === null ? null : alsoAt(site, part, place, band);
      if (place === null || other === null) continue;
      return {
        outcome: 'look',
        reason: `In ${site.bands[band]?.name ?? ''} an opener stands ${place} of the window, where ${other} stands too.`,
        evidence: piece.name,
        at: { piece: piece.id, cell: cellIn(site, { owner: part.id, slot: 'opener' }, 'fixedAt', band) },
      };
    }
    return null;
  },
};
