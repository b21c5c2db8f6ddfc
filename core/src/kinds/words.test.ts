import { describe, expect, test } from '@jest/globals';
import { compilePage, DEMO, MARISMA } from '../../test/demo.ts';
import { EDITS, SITE } from '../../test/every-edit.ts';
import { randomSite, seeded, wholeSite } from '../../test/random-site.ts';
import { runEdit, type Edit } from '../edit/operations.ts';
import type { OutputWord } from '../model/word.ts';
import { createPart, newPartWorld } from './create.ts';
import { ownersOf } from './placed.ts';
import type { Site } from './site.ts';
import { classWord, classWords, wordsOf } from './words.ts';

const edited = (site: Site, edit: Edit): Site => {
  const ran = runEdit(site, edit);
  if (!ran.ok) throw new Error(ran.error[0]?.message);
  return ran.value.site;
};

const recorded = (site: Site) =>
  new Map([...ownersOf(site).values()].map(({ id, thing }) => [id, (thing as OutputWord).word]));

/** Every class that owners of a site can have, each as often as it is given. */
const given = (site: Site) => {
  const words = wordsOf(site);
  return [...ownersOf(site).values()].flatMap(({ id, kind }) => classWords(words.get(id) ?? '', kind));
};

const without = (site: Site): Site =>
  JSON.parse(JSON.stringify(site), (key, value: unknown) => (key === 'word' ? undefined : value)) as Site;

describe('the class of a slot', () => {
  test.each([
    ['main', 'menu', 'link', 'main-link'],
    ['header', 'header', 'header', 'header'],
    ['campaign', 'header', 'header', 'campaign-header'],
    ['header-2', 'header', 'header', 'header-2'],
    ['visit', 'column', 'column-heading', 'visit-column-heading'],
    ['visit-column', 'column', 'column-inside', 'visit-column-inside'],
    ['book-a-hide-button', 'button', 'button-icon', 'book-a-hide-button-icon'],
    ['main-row', 'row', 'end', 'main-row-end'],
  ] as const)('of %s, a %s: %s is %s', (word, kind, slot, expected) => {
    expect(classWord(word, kind, slot)).toBe(expected);
  });
});

describe('words', () => {
  test('are made of names; those of other pieces than headers begin with their piece', () => {
    const words = wordsOf(without(MARISMA));
    expect(
      ['menu-main', 'menu-top', 'row-top', 'book', 'panel', 'menu1', 'page-footer-3', 'learn', 'learn-2'].map(
        (id) => words.get(id),
      ),
    ).toEqual([
      'main',
      'top-row',
      'top-row',
      'book-a-hide-button',
      'menu-panel',
      'footer-visit',
      'footer-visit-column',
      'learn-sidebar',
      'learn',
    ]);
    expect(words).toEqual(recorded(MARISMA));
  });
  test('never give one class to two things, on random sites with any words in them', () => {
    const random = seeded(26);
    for (let count = 0; count < 40; count++) {
      const site = count === 0 ? wholeSite() : randomSite(random);
      for (const own of [site, without(site)]) {
        const names = given(own);
        expect(names.filter((name, index) => names.indexOf(name) !== index)).toEqual([]);
      }
    }
  });
  test('cover every class of an element that stands for something', () => {
    const random = seeded(11);
    for (const site of [wholeSite(), MARISMA, randomSite(random), randomSite(random)]) {
      const known = new Set(given(site).map((word) => `hm-${word}`));
      const words = wordsOf(site);
      const { elements, markup } = compilePage(site);
      // Single links are called by their labels.
      const links = [...ownersOf(site).values()]
        .filter(({ kind }) => kind === 'menu')
        .map(({ id }) => `<li class="hm-${words.get(id) ?? ''}-`);
      const classes = [...markup.matchAll(/<[a-z0-9]+ (?:[^>]* )?class="([^"]*)"/g)]
        .filter(([tag]) => !links.some((link) => tag.startsWith(link)))
        .flatMap(([, list = '']) => list.split(' '));
      const unknown = [...new Set(classes)].filter(
        (name) => !known.has(name) && [...words.values()].some((word) => name.startsWith(`hm-${word}-`)),
      );
      expect(unknown).toEqual([]);
      expect(elements.entries.length).toBeGreaterThan(10);
    }
  });
  test('stay as they are when something is renamed, also where none was recorded yet', () => {
    for (const site of [DEMO, without(DEMO)]) {
      const renamed = edited(site, {
        name: 'set-owner',
        args: { id: 'menu-main', fields: { name: 'Site' } },
      });
      expect(wordsOf(renamed)).toEqual(wordsOf(site));
      expect(recorded(renamed).get('menu-main')).toBe('main');
    }
  });
  test('of what is copied are new, and the original keeps its own wherever the copy stands', () => {
    const twice = edited(DEMO, { name: 'duplicate-part', args: { id: 'menu-main', copy: 'menu-2' } });
    expect([recorded(twice).get('menu-main'), recorded(twice).get('menu-2')]).toEqual(['main', 'main-2']);
    const first = edited(twice, {
      name: 'add-part',
      args: {
        place: { region: 'row-main.start', index: 0 },
        part: { ...createPart('menu', 'menu-3', newPartWorld(twice)), name: 'Main', word: 'main' },
      },
    });
    expect([recorded(first).get('menu-main'), recorded(first).get('menu-3')]).toEqual(['main', 'main-3']);
    const pieces = edited(DEMO, { name: 'duplicate-piece', args: { id: 'header', copy: 'header-b' } });
    expect([...recorded(pieces)].flatMap(([id, word]) => (id.startsWith('header-b') ? [word] : []))).toEqual([
      'header-copy',
      'header-copy-main-row',
      'header-copy-logo',
      'header-copy-main',
      'header-copy-book-a-hide-button',
      'header-copy-menu-opener',
    ]);
  });
  test('can be said by the designer, and not so that a class is given twice', () => {
    const say = (word: unknown) =>
      runEdit(DEMO, { name: 'set-owner', args: { id: 'menu-main', fields: { word } } });
    const ran = say('site');
    expect(ran.ok && wordsOf(ran.value.site).get('menu-main')).toBe('site');
    expect(ran.ok && compilePage(ran.value.site).markup).toContain('class="hm-site-link"');
    for (const bad of ['Site', 'a--b', '-a', 'a b', '', 'é', 'a'.repeat(61)]) expect(say(bad).ok).toBe(false);
    const taken = runEdit(
      edited(DEMO, { name: 'duplicate-part', args: { id: 'menu-main', copy: 'menu-2' } }),
      {
        name: 'set-owner',
        args: { id: 'menu-2', fields: { word: 'main' } },
      },
    );
    expect(taken.ok ? '' : taken.error[0]?.message).toContain('would begin with this too');
  });
  test('are taken from the name again where the designer takes theirs away', () => {
    const said = edited(DEMO, {
      name: 'set-owner',
      args: { id: 'menu-main', fields: { word: 'site', name: 'Trails' } },
    });
    const cleared = edited(said, { name: 'set-owner', args: { id: 'menu-main', fields: { word: null } } });
    expect(recorded(cleared).get('menu-main')).toBe('trails');
  });
});

test('after every edit all that stands there has a word of its own', () => {
  const settled = edited(SITE, { name: 'set-owner', args: { id: 'menu-main', fields: { word: 'main' } } });
  expect([...recorded(settled).values()]).not.toContain(undefined);
  for (const make of Object.values(EDITS))
    for (const edit of make()) {
      const ran = runEdit(settled, edit);
      if (ran.ok) expect([...recorded(ran.value.site).values()]).not.toContain(undefined);
    }
});
