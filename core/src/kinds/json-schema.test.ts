/* eslint-disable @typescript-eslint/no-explicit-any -- raw documents are spoiled */
import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { rawDemo } from '../../test/demo.ts';
import { randomSite, seeded, wholeSite } from '../../test/random-site.ts';
import { siteJsonSchema } from './json-schema.ts';

const validate = new Ajv2020({ strict: true, strictTypes: false, allErrors: false }).compile(
  siteJsonSchema(),
);
const faultsOf = (site: unknown) => (validate(site) ? [] : (validate.errors ?? []));

describe('the published schema', () => {
  test('is the one derived from the shapes', () => {
    const published = readFileSync(new URL('../../../docs/site.schema.json', import.meta.url), 'utf8');
    expect(JSON.parse(published)).toEqual(JSON.parse(JSON.stringify(siteJsonSchema())));
  });
  test('takes the demo, a site with everything, and 500 random ones', () => {
    expect(faultsOf(rawDemo())).toEqual([]);
    expect(faultsOf(wholeSite())).toEqual([]);
    for (let seed = 1; seed <= 500; seed++)
      expect([seed, faultsOf(randomSite(seeded(seed)))]).toEqual([seed, []]);
  });
  test.each([
    ['a setting nobody knows', (raw: any) => (raw.pieces[0].glows = true)],
    ['a part of no kind', (raw: any) => (raw.pieces[0].rows[0].zones.end[0].kind = 'fountain')],
    ['a target without its page', (raw: any) => delete raw.menus[0].items[0].target.page],
    [
      'a look of an unknown property',
      (raw: any) => (raw.pieces[0].look.bar = { all: { rest: { all: { glow: 1 } } } }),
    ],
    ['a number where a word belongs', (raw: any) => (raw.name = 7)],
  ])('refuses %s', (_what, change) => {
    const raw = rawDemo();
    change(raw);
    expect(faultsOf(raw)).not.toEqual([]);
  });
});
