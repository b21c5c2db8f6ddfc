import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../test/demo.ts';
import { buildMenu } from './build-menu.ts';
import { formatTarget, hrefOf, parseTarget } from './target.ts';

describe('targets', () => {
  test.each([
    ['/birds/', { kind: 'page', page: 'page-birds' }],
    [
      '/visit/trails-and-hides/#reed-hide',
      { kind: 'page', page: 'page-visit-trails-and-hides', section: 'reed-hide' },
    ],
    ['guided walks', { kind: 'page', page: 'page-learn-guided-walks' }],
    ['#top', { kind: 'section', section: 'top' }],
    ['/elsewhere', { kind: 'url', url: '/elsewhere' }],
    ['hello@marisma.example', { kind: 'mail', address: 'hello@marisma.example' }],
    ['tel:+34 955 000 000', { kind: 'phone', number: '+34 955 000 000' }],
    ['+34 955 000 000', { kind: 'phone', number: '+34 955 000 000' }],
    ['https://orilla.example/a?b#c', { kind: 'url', url: 'https://orilla.example/a?b#c' }],
    ['', { kind: 'none' }],
    ['  ', { kind: 'none' }],
  ])('%j is recognised', (text, target) => {
    const parsed = parseTarget(DEMO, text);
    expect(parsed).toEqual({ ok: true, value: target });
    if (parsed.ok) expect(parseTarget(DEMO, formatTarget(DEMO, parsed.value))).toEqual(parsed);
  });
  test('scripts are refused', () => {
    expect(parseTarget(DEMO, 'javascript:alert(1)').ok).toBe(false);
  });
  test('become addresses', () => {
    expect(hrefOf(DEMO, { kind: 'phone', number: '+34 (955) 000' })).toBe('tel:+34955000');
    expect(hrefOf(DEMO, { kind: 'mail', address: 'a@b.example' })).toBe('mailto:a@b.example');
    expect(hrefOf(DEMO, { kind: 'page', page: 'gone' })).toBeNull();
  });
});

describe('building a menu out of link lines', () => {
  test('nests by depth, also where levels are skipped', () => {
    const { items } = buildMenu(
      [
        { label: 'a', href: null, depth: 1 },
        { label: 'b', href: null, depth: 3 },
        { label: 'c', href: null, depth: 2 },
        { label: 'd', href: null, depth: 1 },
      ],
      '',
    );
    expect(items.map((item) => [item.label, item.children.map((child) => child.label)])).toEqual([
      ['a', ['b', 'c']],
      ['d', []],
    ]);
  });
  test('paths of the site become pages, once each; others stay addresses', () => {
    const built = buildMenu(
      [
        { label: 'Visit', href: '/visit', depth: 1 },
        { label: 'Hours', href: 'https://marisma.example/visit#hours', depth: 1 },
        { label: 'Out', href: 'https://orilla.example/visit', depth: 1 },
        { label: 'Search', href: '/find?q=1', depth: 1 },
        { label: 'Home', href: 'https://marisma.example', depth: 1 },
      ],
      'https://marisma.example/',
    );
    expect(built.pages.map((page) => page.path)).toEqual(['/visit', '/']);
    expect(built.items.map((item) => item.target)).toEqual([
      { kind: 'page', page: 'page-visit' },
      { kind: 'page', page: 'page-visit', section: 'hours' },
      { kind: 'url', url: 'https://orilla.example/visit' },
      { kind: 'url', url: '/find?q=1' },
      { kind: 'page', page: 'page-home' },
    ]);
  });
  test('refused targets are left out and noted', () => {
    const built = buildMenu([{ label: 'x', href: 'javascript:1', depth: 1 }], '');
    expect(built.items[0]?.target).toEqual({ kind: 'none' });
    expect(built.notes).toHaveLength(1);
  });
});
