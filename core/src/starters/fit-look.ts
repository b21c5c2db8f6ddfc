import type { Look, SlotLook } from '../model/look.ts';
import { NARROW } from './starter.ts';

/** A design's look with the site's own band in place of the narrow one; without one its exceptions are left out. */
export function fitLook(look: Look, narrowBand: string | null): Look {
  const fitSlot = (slotLook: SlotLook): SlotLook =>
    Object.fromEntries(
      Object.entries(slotLook).map(([level, states]) => [
        level,
        Object.fromEntries(
          Object.entries(states).map(([state, bands]) => [
            state,
            Object.fromEntries(
              Object.entries(bands).flatMap(([band, values]) => {
                if (Object.keys(values).length === 0) return [];
                if (band !== NARROW) return [[band, values]];
                return narrowBand === null ? [] : [[narrowBand, values]];
              }),
            ),
          ]),
        ),
      ]),
    );
  return Object.fromEntries(Object.entries(look).map(([slot, slotLook]) => [slot, fitSlot(slotLook)]));
}
