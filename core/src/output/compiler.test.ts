import { expect, test } from '@jest/globals';
import { FONTS } from '../../test/demo.ts';
import { EDITS, editsOf, SITE } from '../../test/every-edit.ts';
import { randomEdit } from '../../test/random-edit.ts';
import { randomSite, randomValue, seeded } from '../../test/random-site.ts';
import { runEdit, type Edit, type OperationName } from '../edit/operations.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { ownersOf } from '../kinds/placed.ts';
import { property, PROPERTY_IDS } from '../kinds/properties/properties.ts';
import type { Site } from '../kinds/site.ts';
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

test.each([1, 2, 3])(
  'what is remembered changes nothing in the output, over 120 edits and ways back (%i)',
  (seed) => {
    const random = seeded(seed);
    const compile = createCompiler(OPTIONS);
    const sites: Site[] = [randomSite(random)];
    for (let step = 0; step < 120; step++) {
      const now = sites[sites.length - 1] as Site;
      // Now and then somebody goes back.
      const next = random.chance(0.1) ? random.pick(sites) : after(now, randomEdit(random, now));
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

test.each(PROPERTY_IDS.filter((id) => property(id).paints))(
  '%s only paints, wherever it is said: what is remembered of markup and room stays true',
  (id) => {
    const random = seeded(id.length);
    const places = [...ownersOf(SITE).values()].flatMap(({ id: owner, kind }) =>
      Object.entries(slotsOf(kind)).flatMap(([slot, { properties, states }]) =>
        properties.includes(id) ? [{ owner, slot, state: random.pick(states) }] : [],
      ),
    );
    const compile = createCompiler(OPTIONS);
    compile(SITE);
    for (let count = 0; count < 8; count++) {
      const cell = { ...random.pick(places), property: id, level: 'all', band: 'all' } as const;
      const site = after(SITE, {
        name: 'set-look',
        args: { cells: [{ ...cell, value: randomValue(random, SITE, id) }] },
      });
      if (site) expect(told(compile(site))).toEqual(told(compileSite(site, OPTIONS)));
    }
    expect(places.length).toBeGreaterThan(0);
  },
);
