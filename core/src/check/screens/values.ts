import { askedAt } from '../../kinds/placed.ts';
import type { PropertyId } from '../../kinds/properties/properties.ts';
import type { Site } from '../../kinds/site.ts';
import type { Cell, SlotRef } from '../../model/look.ts';
import type { LevelKey } from '../../model/states.ts';
import { resolve } from '../../resolve/resolve.ts';
import { isLength, toPixels } from '../../values/length.ts';
import type { Value } from '../../values/values.ts';

/*
 * What checks of small screens ask of looks, band by band.
 */

/** What a slot says of a property in a band, at a level of its menu. */
export function valueIn(
  site: Site,
  ref: SlotRef,
  property: PropertyId,
  band: number,
  key: LevelKey = 'all',
): Value | undefined {
  return resolve(site, { ...ref, ...askedAt(site, ref, key), property, states: [], band })?.value;
}

/** A length in px; shares count as those of a narrow phone. */
export function pixelsIn(
  site: Site,
  ref: SlotRef,
  property: PropertyId,
  band: number,
  key: LevelKey = 'all',
): number {
  const value = valueIn(site, ref, property, band, key);
  if (!isLength(value)) return 0;
  const size = valueIn(site, ref, 'size', band, key);
  const fontSize = isLength(size) ? toPixels(size, { fontSize: 16 }) : 16;
  return toPixels(value, { fontSize, width: 390, whole: 390 });
}

/** The cell that says a property in a band. */
export const cellIn = (
  site: Site,
  ref: SlotRef,
  property: PropertyId,
  band: number,
  level: LevelKey = 'all',
): Cell => ({
  ...ref,
  property,
  level,
  state: 'rest',
  band: band === 0 ? 'all' : (site.bands[band]?.id ?? 'all'),
});
