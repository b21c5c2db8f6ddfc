import { refuse, succeed } from '../../base/result.ts';
import { parseColour } from '../../colour/colour.ts';
import type { Swatch } from '../../document/site.ts';
import { ROLES, type ColourValue, type Role } from '../../document/values.ts';
import { ownersOf } from '../../document/walk.ts';
import { usesSwatch } from '../../resolve/colours.ts';
import type { Site } from '../../document/site.ts';
import type { EditOperation } from '../draft.ts';

const noSwatch = () => refuse('gone', '/palette', 'The swatch is no longer there; it was removed in the meantime');

/** Changes a swatch's colour or name; everything linked to it follows. */
export const setSwatch: EditOperation<{ readonly id: string; readonly value?: string; readonly name?: string }> = (site, { id, value, name }) => {
  const index = site.palette.findIndex((swatch) => swatch.id === id);
  if (index === -1) return noSwatch();
  if (value !== undefined && !parseColour(value)) return refuse('value', `/palette/${index}/value`, `“${value}” is no CSS colour`);
  return succeed([
    ...(value === undefined ? [] : [{ op: 'replace', path: `/palette/${index}/value`, value } as const]),
    ...(name === undefined ? [] : [{ op: 'replace', path: `/palette/${index}/name`, value: name.slice(0, 80) } as const]),
  ]);
};

export const addSwatch: EditOperation<{ readonly swatch: Swatch }> = (site, { swatch }) => {
  if (site.palette.some((entry) => entry.id === swatch.id)) return refuse('duplicate', '/palette', `There is a swatch "${swatch.id}" already`);
  if (!parseColour(swatch.value)) return refuse('value', '/palette', `“${swatch.value}” is no CSS colour`);
  return succeed([{ op: 'add', path: '/palette/-', value: swatch }]);
};

/** Removes a swatch nothing is linked to. */
export const removeSwatch: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const index = site.palette.findIndex((swatch) => swatch.id === id);
  if (index === -1) return noSwatch();
  const uses = swatchUses(site, id);
  if (uses > 0) return refuse('in-use', `/palette/${index}`, `The swatch is used in ${uses} ${uses === 1 ? 'place' : 'places'}; link those elsewhere first`);
  return succeed([{ op: 'remove', path: `/palette/${index}` }]);
};

/** In how many cells and roles a swatch is named directly. */
export function swatchUses(site: Site, id: string): number {
  const roles = ROLES.filter((role) => 'swatch' in site.roles[role] && site.roles[role].swatch === id).length;
  let cells = 0;
  for (const owner of ownersOf(site).values()) {
    for (const levels of Object.values(owner.look)) {
      for (const states of Object.values(levels)) {
        for (const bands of Object.values(states)) {
          for (const values of Object.values(bands)) {
            cells += Object.values(values).filter((value) => typeof value === 'object' && !('role' in value) && usesSwatch(site, value, id)).length;
          }
        }
      }
    }
  }
  return roles + cells;
}

/** Gives a role another colour. */
export const setRole: EditOperation<{ readonly role: Role; readonly value: ColourValue }> = (site, { role, value }) => {
  if ('swatch' in value && !site.palette.some((swatch) => swatch.id === value.swatch)) return noSwatch();
  return succeed([{ op: 'replace', path: `/roles/${role}`, value }]);
};
