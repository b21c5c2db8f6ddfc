import { describe, expect, test } from '@jest/globals';
import { DEMO, FONTS } from '../../test/demo.ts';
import { randomSite, seeded } from '../../test/random-site.ts';
import { createCompiler, compileSite } from './compile-site.ts';
import { runEdit } from '../edit/operations.ts';
import { placedParts } from '../kinds/placed.ts';

/** Classes that rules tell levels of, and the lists of classes in the markup that have a level. */
const levelsOf = (stylesheet: string, markup: string) => ({
  asked: new Set([...stylesheet.matchAll(/\.([\w-]+):where\(\.hm-level-\d/g)].map(([, name = '']) => name)),
  said: [...markup.matchAll(/class="([^"]*\bhm-level-\d)"/g)].map(([, names = '']) => names.split(' ')),
});

describe('levels as classes', () => {
  test('an element has one where a rule asks for it, and one alone', () => {
    let seen = 0;
    for (let seed = 1; seed <= 40; seed++) {
      const { stylesheet, pieces } = compileSite(randomSite(seeded(seed)), { fonts: FONTS, flat: true });
      const markup = [...pieces.values()].join('');
      const { asked, said } = levelsOf(stylesheet, markup);
      seen += asked.size;
      expect(markup).not.toMatch(/hm-level-\d[^"]*hm-level-\d/);
      for (const names of said) expect(names.some((name) => asked.has(name))).toBe(true);
    }
    expect(seen).toBeGreaterThan(20);
  });

  test('they come and go with the looks of levels, with what was compiled before and without', () => {
    const site = DEMO;
    const menu = placedParts(site).find(({ part }) => part.kind === 'menu')?.part.id ?? '';
    const compile = createCompiler({ fonts: FONTS });
    const before = compile(site);
    const cell = {
      owner: menu,
      slot: 'link',
      level: '1',
      state: 'rest',
      band: 'all',
      property: 'opacity',
    } as const;
    const ran = runEdit(site, { name: 'set-look', args: { cells: [{ ...cell, value: 0.5 }] } });
    if (!ran.ok) throw new Error(ran.error[0]?.message);
    const after = compile(ran.value.site);
    expect(after.pieces.get('header')).toMatch(/class="hm-main-link[^"]* hm-level-1"/);
    expect([...before.pieces.values()].join()).not.toContain('hm-main-link hm-level-1');
    const fresh = compileSite(ran.value.site, { fonts: FONTS });
    expect([...after.pieces]).toEqual([...fresh.pieces]);
    expect(after.stylesheet).toBe(fresh.stylesheet);
    expect([...compile(site).pieces]).toEqual([...before.pieces]);
  });
});
