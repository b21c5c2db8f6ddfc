import { describe, expect, test } from '@jest/globals';
import { DEMO, headerOf, measure } from '../../test/demo.ts';
import { seeded, whole } from '../../test/random-site.ts';
import { runEdit } from '../edit/operations.ts';
import { foldsBelow } from '../kinds/folds.ts';
import type { Site } from '../kinds/site.ts';
import { rowBreaks, rowFits } from '../layout/fit.ts';
import { applyStarter } from '../starters/apply.ts';
import { STARTERS } from '../starters/designs.ts';
import { createPlainSite } from '../starters/plain.ts';
import { designWithRoom, siteWithRoom } from './room.ts';

const LABELS = [
  'News',
  'Contact',
  'Opening hours',
  'Trails & hides',
  'Werkstattgespräche',
  'Anfahrt & Öffnungszeiten',
];

const plain = (labels: readonly string[], name = 'Marisma'): Site =>
  createPlainSite({
    name,
    url: '',
    menu: {
      items: labels.map((label, index) => ({
        id: `link-${index}`,
        label,
        target: { kind: 'none' as const },
        children: [],
      })),
    },
    pages: [],
  });

const broken = (site: Site) => rowFits(site, measure).filter(rowBreaks);
const startOf = (site: Site) => foldsBelow(site, headerOf(site)) ?? 0;

describe('a new site', () => {
  test('stays as it is where its links have room', () => {
    const site = plain(['News', 'Contact']);
    expect(siteWithRoom(site, 'header', measure)).toBe(site);
    expect(siteWithRoom(site, 'gone', measure)).toBe(site);
    expect(siteWithRoom(plain(LABELS), 'header').bands).toEqual(plain(LABELS).bands);
  });

  test('unfolds its menu where its labels have room', () => {
    const site = plain(LABELS);
    expect(broken(site)).not.toEqual([]);
    const roomy = siteWithRoom(site, 'header', measure);
    expect(startOf(roomy)).toBeGreaterThan(startOf(site));
    expect(broken(roomy)).toEqual([]);
    expect({ ...roomy, bands: site.bands }).toEqual(site);
  });

  test('has links under “more” where it would fold in wide windows as well', () => {
    const site = plain([...LABELS, ...LABELS]);
    const roomy = siteWithRoom(site, 'header', measure);
    expect(roomy.bands).toEqual(site.bands);
    expect(broken(roomy)).toEqual([]);
    expect(JSON.stringify(roomy.pieces)).toContain('the rest under “more”');
  });

  test('has room for any labels', () => {
    const random = seeded(7);
    for (let count = 0; count < 60; count++) {
      const labels = Array.from({ length: whole(random, 0, 14) }, () => random.pick(LABELS));
      const site = plain(labels, random.pick(['Marisma', 'Cuarteto Orilla y amigos']));
      const roomy = siteWithRoom(site, 'header', measure);
      expect([labels, broken(roomy)]).toEqual([labels, []]);
      expect(startOf(roomy)).toBeLessThanOrEqual(1100);
    }
  });
});

describe.each(STARTERS.map((starter) => [starter.name, starter] as const))(
  'the design %s',
  (_name, starter) => {
    const taken = (site: Site) => {
      const design = applyStarter(site, headerOf(site), starter);
      const roomy = designWithRoom(site, design, measure);
      const ran = runEdit(site, { name: 'set-design', args: roomy });
      if (!ran.ok) throw new Error(ran.error[0]?.message);
      return { design, roomy, site: ran.value.site };
    };

    test('has room for nine long labels, in the bands the site has', () => {
      const site = plain([...LABELS, ...LABELS.slice(3)], 'Tallinder');
      const { site: now } = taken(site);
      expect(now.bands).toEqual(site.bands);
      expect(broken(now)).toEqual([]);
    });

    test('stays as it is where there is room', () => {
      const wide = {
        ...DEMO,
        bands: DEMO.bands.map((band) => (band.min > 0 ? { ...band, min: 1300 } : band)),
      };
      const { design, roomy } = taken(wide);
      expect(roomy).toBe(design);
    });
  },
);
