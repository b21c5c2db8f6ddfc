import { slotsOf } from '../../kinds/catalogue.ts';
import { slotName } from '../../resolve/origin.ts';
import type { Site } from '../../kinds/site.ts';
import { ownersOf } from '../../kinds/placed.ts';
import type { PropertyId } from '../../kinds/properties/properties.ts';
import { levelKey } from '../../model/states.ts';
import type { Spot } from '../check.ts';
import type { Sight } from './sight.ts';

/*
 * How a sight is told: where, and what.
 */

/** The width, and what stands open there. */
export function whereSeen({ width, opened }: Sight): string {
  const at = `at ${width} px`;
  return opened.length === 0 ? at : `${at} with “${opened.join('” › “')}” open`;
}

/** A thing by its words, or by its slot where it has none. */
export const named = (site: Site, sight: Sight): string =>
  sight.words === '' ? slotName(site, sight) : `“${sight.words}”`;

/** Where on the bench a sight is looked at: the cell that changes it, or the first there is of its slot. */
export function spotOf(site: Site, sight: Sight, wanted: PropertyId): Spot {
  const { owner: id, slot, level, width } = sight;
  const owner = ownersOf(site).get(id);
  const properties = owner ? (slotsOf(owner.kind)[slot]?.properties ?? []) : [];
  const property = properties.includes(wanted) ? wanted : properties[0];
  const cell = { owner: id, slot, level: levelKey(level), state: 'rest', band: 'all' } as const;
  return {
    piece: owner?.piece.id ?? '',
    width,
    ...(property === undefined ? {} : { cell: { ...cell, property } }),
  };
}

/** The piece and the thing, to tell one finding from another. */
export const evidenceOf = (site: Site, sight: Sight): string =>
  `${ownersOf(site).get(sight.owner)?.piece.name ?? ''} › ${named(site, sight)}`;
