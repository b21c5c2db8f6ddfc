import { slotsOf } from '../kinds/catalogue.ts';
import type { Part, Site } from '../kinds/site.ts';
import { itemsWithRole, slotAround } from '../kinds/wearers.ts';
import type { State } from '../model/states.ts';
import { resolve } from '../resolve/resolve.ts';
import type { Value } from '../values/values.ts';

/** A drawing or a text within a call to action of a menu. */
export interface InAction {
  readonly slot: string;
  readonly item: string;
  readonly state: State;
  /** The colour of the call to action in that state. */
  readonly colour: Value;
}

/** All that stands within a menu's calls to action, state by state, with the colours of these in a band. */
export function inActions(site: Site, part: Part, band: number): readonly InAction[] {
  if (part.kind !== 'menu') return [];
  const slots = slotsOf(part.kind);
  return Object.entries(slots).flatMap(([slot, kind]) =>
    itemsWithRole(site, { owner: part.id, slot }).flatMap(({ id: item }) => {
      const around = slotAround(site, { owner: part.id, slot, item });
      if (kind.text === 'none' || around === undefined || slots[around]?.isAction !== true) return [];
      return kind.states.flatMap((state): InAction[] => {
        const states = state === 'rest' ? [] : [state];
        const asked = { owner: part.id, slot: around, level: null, item, states, band };
        const colour = resolve(site, { ...asked, property: 'colour' })?.value;
        return colour === undefined ? [] : [{ slot, item, state, colour }];
      });
    }),
  );
}
