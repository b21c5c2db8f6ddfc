import type { Edit } from '../src/edit/operations.ts';
import { slotsOf } from '../src/kinds/catalogue.ts';
import { itemsOf } from '../src/kinds/content.ts';
import { ownersOf, placedParts } from '../src/kinds/placed.ts';
import type { Site } from '../src/kinds/site.ts';
import type { LevelKey } from '../src/model/states.ts';
import { ROLES } from '../src/values/values.ts';
import { randomValue, whole, type Random } from './random-site.ts';

/** Something a designer does, anywhere in the site. */
const DOINGS: readonly ((random: Random, site: Site) => Edit)[] = [
  (random, site) => {
    const owner = random.pick(
      [...ownersOf(site).values()].filter(({ kind }) => Object.keys(slotsOf(kind)).length > 0),
    );
    const [slot, kind] = random.pick(Object.entries(slotsOf(owner.kind)));
    const property = random.pick(kind.properties);
    const level: LevelKey =
      kind.levels.length > 1 && random.chance(0.5) ? (String(random.pick(kind.levels)) as LevelKey) : 'all';
    const value = random.chance(0.2) ? null : randomValue(random, site, property);
    const cell = {
      owner: owner.id,
      slot,
      property,
      level,
      state: random.pick(kind.states),
      band: random.chance(0.3) ? 'phone' : 'all',
    };
    return { name: 'set-look', args: { cells: [{ ...cell, value }] } };
  },
  (random, site) => ({
    name: 'set-item',
    args: { id: random.pick([...itemsOf(site).keys()]), fields: { label: `Word ${whole(random, 0, 999)}` } },
  }),
  (random, site) => ({
    name: 'set-role',
    args: { role: random.pick(ROLES), value: { swatch: random.pick(site.palette).id } },
  }),
  (random, site) => ({
    name: 'set-type-style',
    args: { id: random.pick(site.typeStyles).id, fields: { size: whole(random, 11, 24) } },
  }),
  (random) => ({ name: 'set-band-start', args: { id: 'wide', min: whole(random, 600, 900) } }) as const,
  (random, site) => ({ name: 'remove-part', args: { id: random.pick(placedParts(site)).part.id } }),
  (random, site) => ({
    name: 'fold-part',
    args: {
      id: random.pick(placedParts(site)).part.id,
      from: random.chance(0.5) ? 'phone' : null,
      tight: random.chance(0.5),
    },
  }),
];

/** An edit as a designer makes it, which a site may refuse; looks are most of what is edited. */
export function randomEdit(random: Random, site: Site): Edit {
  const doing = random.chance(0.6) ? DOINGS[0] : random.pick(DOINGS);
  if (!doing) throw new Error('There is nothing to do.');
  return doing(random, site);
}
