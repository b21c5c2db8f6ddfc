import { expect, test } from '@jest/globals';
import { FONTS } from '../../test/demo.ts';
import { EDITS, editsOf, SITE } from '../../test/every-edit.ts';
import { randomEdit } from '../../test/random-edit.ts';
import { randomSite, seeded } from '../../test/random-site.ts';
import { runEdit, type Edit, type OperationName } from '../edit/operations.ts';
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
