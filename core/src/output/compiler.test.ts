import { expect, test } from '@jest/globals';
import { FONTS } from '../../test/demo.ts';
import { EDITS, editsOf, SITE } from '../../test/every-edit.ts';
import { randomSite, randomValue, seeded, whole, type Random } from '../../test/random-site.ts';
import { runEdit, type Edit, type OperationName } from '../edit/operations.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { itemsOf } from '../kinds/content.ts';
import type { Site } from '../kinds/site.ts';
import { ownersOf, placedParts } from '../kinds/placed.ts';
import type { LevelKey } from '../model/states.ts';
import { ROLES } from '../values/values.ts';
import { compileSite, createCompiler } from './compile-site.ts';

const OPTIONS = { fonts: FONTS };

/** Everything of an output that can be compared. */
const told = ({
  pieces,
  elements,
  typefaces,
  iconSets,
  behaviours,
  stylesheet,
  script,
}: ReturnType<typeof compileSite>) => ({
  pieces: [...pieces],
  entries: elements.entries,
  typefaces,
  iconSets,
  behaviours,
  stylesheet,
  script,
});

const after = (site: Site, edit: Edit): Site | null => {
  const ran = runEdit(site, edit);
  return ran.ok ? ran.value.site : null;
};

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

test.each([1, 2, 3])(
  'what is remembered changes nothing in the output, over 120 edits and ways back (%i)',
  (seed) => {
    const random = seeded(seed);
    const compile = createCompiler(OPTIONS);
    const sites: Site[] = [randomSite(random)];
    for (let step = 0; step < 120; step++) {
      const now = sites[sites.length - 1] as Site;
      // Looks are most of what is edited; now and then somebody goes back.
      const doing = random.chance(0.6) ? DOINGS[0] : random.pick(DOINGS);
      const next = random.chance(0.1) ? random.pick(sites) : doing && after(now, doing(random, now));
      if (!next) continue;
      sites.push(next);
      expect(told(compile(next))).toEqual(told(compileSite(next, OPTIONS)));
    }
    expect(sites.length).toBeGreaterThan(80);
  },
);

test.each(Object.keys(EDITS) as OperationName[])(
  'after %s the output is what it is without memory',
  (name) => {
    const compile = createCompiler(OPTIONS);
    compile(SITE);
    for (const edit of editsOf(name, 4)) {
      const site = after(SITE, edit);
      if (site) expect(told(compile(site))).toEqual(told(compileSite(site, OPTIONS)));
    }
  },
);
