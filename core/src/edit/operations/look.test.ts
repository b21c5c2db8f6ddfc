import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../../test/demo.ts';
import { ownersOf } from '../../kinds/placed.ts';
import type { Site } from '../../kinds/site.ts';
import { resolve } from '../../resolve/resolve.ts';
import type { Value } from '../../values/values.ts';
import { runEdit, type Edit } from '../operations.ts';
import type { Extent } from './look.ts';

const run = (site: Site, edit: Edit): Site => {
  const ran = runEdit(site, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value.site;
};

/** Wide from 1000 px, Tablet from 700, Phone below. */
const SITE = run(DEMO, { name: 'add-band', args: { band: { id: 'tablet', name: 'Tablet', min: 700 } } });

const cell = {
  owner: 'menu-main',
  slot: 'link',
  property: 'size',
  level: 'all',
  state: 'hover',
  band: 'all',
} as const;

const put = (site: Site, band: string, value: Value | null, extent?: Extent): Site =>
  run(site, {
    name: 'set-look',
    args: { cells: [{ ...cell, band, value }], ...(extent ? { extent } : {}) },
  });

/** The size on hover in each band, the widest first. */
const sizes = (site: Site) =>
  site.bands.map((_, band) => resolve(site, { ...cell, level: null, states: ['hover'], band })?.value);

describe('a value goes as far as it is told to', () => {
  const [wide, tablet, phone] = sizes(SITE);

  test('in one band alone: the others stay as they were', () => {
    expect(sizes(put(SITE, 'tablet', 42, 'alone'))).toEqual([wide, 42, phone]);
    expect(sizes(put(SITE, 'all', 42, 'alone'))).toEqual([42, tablet, phone]);
    expect(sizes(put(SITE, 'wide', 42, 'alone'))).toEqual([42, tablet, phone]);
    expect(sizes(put(SITE, 'phone', 42, 'alone'))).toEqual([wide, tablet, 42]);
  });

  test('what narrower bands say themselves is kept, and so is what they took from wider ones', () => {
    const own = put(put(SITE, 'phone', 30), 'all', 18);
    expect(sizes(put(own, 'tablet', 42, 'alone'))).toEqual([18, 42, 30]);
    const taken = put(put(SITE, 'all', 18), 'tablet', 20);
    expect(sizes(put(taken, 'tablet', 42, 'alone'))).toEqual([18, 42, 20]);
    expect(sizes(put(taken, 'tablet', null, 'alone'))).toEqual([18, 18, 20]);
  });

  test('in a band and narrower, but where one says something itself', () => {
    expect(sizes(put(SITE, 'tablet', 42))).toEqual([wide, 42, 42]);
    expect(sizes(put(put(SITE, 'phone', 30), 'all', 42))).toEqual([42, 42, 30]);
  });

  test('everywhere, with every exception taken away', () => {
    const own = put(put(SITE, 'phone', 30), 'tablet', 26);
    expect(sizes(put(own, 'all', 42, 'everywhere'))).toEqual([42, 42, 42]);
    expect(sizes(put(own, 'tablet', 42, 'everywhere'))).toEqual([42, 42, 42]);
    expect(put(own, 'all', null, 'everywhere')).toEqual(SITE);
  });

  test('a link to a type style stays a link in the band that keeps it', () => {
    const type = SITE.typeStyles[0]?.id ?? '';
    const alone = put(put(SITE, 'all', { type }), 'all', 42, 'alone');
    expect(ownersOf(alone).get(cell.owner)?.look[cell.slot]?.all?.hover).toMatchObject({
      all: { size: 42 },
      tablet: { size: { type } },
    });
  });
});
