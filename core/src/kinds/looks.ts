import { memoise } from '../base/memo.ts';
import type { Cell, SlotLook } from '../model/look.ts';
import { keysIn, STATES } from '../model/states.ts';
import type { Value } from '../values/values.ts';
import { slotsOf } from './catalogue.ts';
import type { PropertyId } from './properties/properties.ts';
import type { Site } from './site.ts';
import { ownersOf } from './placed.ts';

/** A cell that says a value itself. */
export interface LookCell extends Cell {
  readonly value: Value;
}

/** The properties that any cell of a slot's look says something about. */
export const saidIn = memoise((look: SlotLook): ReadonlySet<string> => {
  const said = new Set<string>();
  for (const states of Object.values(look))
    for (const bands of Object.values(states))
      for (const values of Object.values(bands)) for (const id of Object.keys(values)) said.add(id);
  return said;
});

/** Every cell of every look that says something, in document order. */
export function lookCells(site: Site): LookCell[] {
  const cells: LookCell[] = [];
  for (const owner of ownersOf(site).values()) {
    for (const slot of Object.keys(slotsOf(owner.kind))) {
      for (const level of keysIn(owner.look[slot] ?? {})) {
        for (const state of STATES) {
          for (const [band, values] of Object.entries(owner.look[slot]?.[level]?.[state] ?? {})) {
            for (const [property, value] of Object.entries(values))
              cells.push({
                owner: owner.id,
                slot,
                property: property as PropertyId,
                level,
                state,
                band,
                value,
              });
          }
        }
      }
    }
  }
  return cells;
}
