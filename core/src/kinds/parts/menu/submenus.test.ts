import { describe, expect, test } from '@jest/globals';
import { compilePage, rawDemo } from '../../../../test/demo.ts';
import { loadSite } from '../../../load/load-site.ts';
import type { Site } from '../../site.ts';
import { ICON_MOTIONS } from '../../properties/icon-motions.ts';
import { ARRIVALS } from '../../properties/motion.ts';
import { OPENINGS } from '../../properties/placement.ts';

type Says = Readonly<Record<string, Readonly<Record<string, unknown>>>>;

/** The demo with three levels, an icon at its first link, and looks said at rest: slot and level, then values. */
function withLook(says: Says): Site {
  const raw = rawDemo();
  const menu = raw.pieces[0].rows[0].zones.middle[0];
  menu.levels = 3;
  raw.icons = [
    { id: 'icon-reed', name: 'Reed', svg: '<svg viewBox="0 0 24 24"><path d="M4 4h16"/></svg>', set: null },
  ];
  raw.menus[0].items[4].icon = 'icon-reed';
  for (const [place, values] of Object.entries(says)) {
    const [slot = '', level = 'all', state = 'rest', band = 'all'] = place.split(' ');
    const states = ((menu.look[slot] ??= {})[level] ??= {});
    (states[state] ??= {})[band] = { ...states[state][band], ...values };
  }
  const loaded = loadSite(raw);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  return loaded.value;
}

const compile = (says: Says) => compilePage(withLook(says));

describe('how submenus open', () => {
  test.each(OPENINGS)('%s at either level compiles, and only what is opened has a button', (opening) => {
    for (const level of ['2', '3']) {
      const { markup } = compile({ [`submenu ${level}`]: { opens: opening } });
      const buttons = [...markup.matchAll(/aria-expanded/g)].length;
      const isOpened = opening !== 'always open' && opening !== 'not at all';
      // Four links of the first level have more, one of the second has.
      const others = level === '2' ? 0 : 4;
      expect(buttons).toBe(others + (isOpened ? (level === '2' ? 4 : 1) : 0));
      for (const [, id] of markup.matchAll(/aria-controls="([^"]+)"/g))
        expect(markup).toContain(`id="${id}"`);
    }
  });
  test('what bands say differently stands under the widths of each', () => {
    const { stylesheet } = compile({
      'submenu 2': { opens: 'across' },
      'submenu 2 rest phone': { opens: 'always open' },
    });
    expect(stylesheet).toMatch(/@media \(width >= 1000px\) \{[^@]*position: static/);
    expect(stylesheet).toMatch(/@media \(width < 1000px\)/);
  });
  test('a look of one level reaches no other', () => {
    const { stylesheet } = compile({ 'submenu 3': { opens: 'beside', fill: { literal: '#123456' } } });
    const [rule = ''] = stylesheet.match(/[^}]*\{[^}]*#123456[^}]*\}/) ?? [];
    expect(rule).toMatch(/\.hm-main-submenu:where\(\.hm-level-3\)/);
  });
  test('a box that looks the same as another opens its own way', () => {
    const site = withLook({ 'submenu 2': { opens: 'always open', radius: 7 } });
    const raw = JSON.parse(JSON.stringify(site));
    const { middle } = raw.pieces[0].rows[0].zones;
    middle.push({ ...middle[0], id: 'second', name: 'Second', look: {}, folds: undefined });
    raw.sameLooks = [{ owner: 'second', slot: 'submenu', as: { owner: 'menu-main', slot: 'submenu' } }];
    const loaded = loadSite(JSON.parse(JSON.stringify(raw)));
    if (!loaded.ok) throw new Error(loaded.error[0]?.message);
    const { markup, stylesheet } = compilePage(loaded.value);
    // The four of the second placement alone have buttons.
    expect([...markup.matchAll(/aria-expanded/g)]).toHaveLength(4);
    expect(stylesheet).toMatch(/hm-second-submenu[^{]*\{[^}]*position: absolute/);
    expect(stylesheet).toMatch(/hm-second-submenu[^{]*\{[^}]*border-radius: 7px/);
  });
  test.each(ARRIVALS)('%s is only said where it is asked for', (arrival) => {
    const { stylesheet } = compile({ 'submenu 2': { arrives: arrival, motionTime: 200 } });
    const start = /@starting-style \{\s*[^{]*hm-main-submenu/;
    expect(start.test(stylesheet)).toBe(arrival !== 'at once');
    expect(compile({}).stylesheet).not.toMatch(start);
  });
});

describe('icons beside labels', () => {
  test('what is around icon and label says where the icon stands', () => {
    const { markup, stylesheet } = compile({ 'glyph all': { iconPlace: 'above', iconGap: 3 } });
    expect(markup).toMatch(
      /<span class="hm-main-glyph-box"><svg class="hm-main-glyph"[^>]*>.*<\/svg>News<\/span>/s,
    );
    expect(stylesheet).toMatch(/\.hm-main-glyph-box \{[^}]*flex-direction: column;[^}]*gap: 3px/s);
  });
  test('a label out of sight stays in the markup', () => {
    const { markup, stylesheet } = compile({ 'glyph all': { iconShows: 'instead of it' } });
    expect(markup).toMatch(/<\/svg><span>News<\/span>/);
    expect(stylesheet).toContain('clip-path: inset(50%)');
  });
  test.each(Object.keys(ICON_MOTIONS))('%s is written out once, and only where it is used', (motion) => {
    const { stylesheet } = compile({
      'glyph all hover': { iconMotion: motion },
      'glyph all focus': { iconMotion: motion, iconTime: 500, iconRepeat: 0 },
    });
    expect(stylesheet.match(/@keyframes hm-(?!wait|hold)/g)).toHaveLength(1);
    expect(stylesheet).toContain(`@keyframes hm-${motion}`);
    expect(stylesheet).toContain('animation-iteration-count: infinite');
    const before = stylesheet.slice(0, stylesheet.indexOf('animation-name'));
    expect(before.lastIndexOf('prefers-reduced-motion: no-preference')).toBeGreaterThan(
      before.lastIndexOf('\n}\n'),
    );
    expect(compile({}).stylesheet).not.toMatch(/@keyframes hm-(?!wait|hold)/);
  });
});

describe('a single link', () => {
  const NEWS = 'link21';
  test('has a class where its look says something of its own, and rules of its own', () => {
    const plain = compile({});
    expect(plain.markup).not.toContain('only-');
    const { markup, stylesheet } = compile({ [`link @${NEWS}`]: { fill: { literal: '#654321' } } });
    expect(markup).toMatch(/<li class="hm-main-news">\s*<a class="hm-main-link"/);
    expect(markup.match(/hm-main-news\b/g)).toHaveLength(1);
    expect(stylesheet).toMatch(/\.hm-main-link:where\(\.hm-main-news>\*\) \{\s*background-color: #654321/);
  });
  test('that is not shown says nothing', () => {
    const { stylesheet } = compile({ 'link @nowhere': { fill: { literal: '#654321' } } });
    expect(stylesheet).not.toContain('#654321');
  });
  test('what only its level can say is refused', () => {
    expect(() => withLook({ [`glyph @${NEWS}`]: { iconShows: 'not at all' } })).toThrow(/iconShows/);
  });
  test('opens its submenu its own way, and the others keep theirs', () => {
    const { markup, stylesheet } = compile({
      'submenu @link1': { opens: 'across', columns: 0 },
      'submenu 2': { opens: 'always open' },
    });
    // Only the first link’s submenu is opened by anybody.
    expect([...markup.matchAll(/aria-expanded/g)]).toHaveLength(1);
    expect(stylesheet).toMatch(/li\.hm-main-visit \{\s*position: static/);
    expect(stylesheet).toMatch(
      /\.hm-main-list>li:where\(:not\(\.hm-main-visit\)\) \{\s*flex-direction: column/,
    );
    expect(stylesheet).toMatch(/\.hm-main-submenu:where\(\.hm-main-visit>\*\)\[data-hm-open\]/);
  });
  test('a state of all links still goes before what it says at rest', () => {
    const same = { fill: { literal: '#aa0000' } } as const;
    const { stylesheet } = compile({
      'link all': same,
      'link all hover': same,
      [`link @${NEWS}`]: { fill: { literal: '#654321' } },
    });
    // Said again for pointing: without it the single link would keep its own.
    expect(
      stylesheet.match(/background-color: #a00/g)?.length ?? stylesheet.match(/#aa0000/g)?.length,
    ).toBeGreaterThan(1);
  });
});
