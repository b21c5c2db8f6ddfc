import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { LIMITS } from '../../values/limits.ts';
import { readHtmlLinks, readHtmlMenus } from './html-menus.ts';
import { readPageFacts } from '../pages/page-facts.ts';
import { LINK_FORMATS, guessLinkFormat } from './link-formats.ts';

const PIECES = [
  '<nav>',
  '</nav>',
  '<ul>',
  '</ul>',
  '<li>',
  '</li>',
  '<a href="/x">',
  '<a href="javascript:x">',
  '<a>',
  '</a>',
  '<div class="dropdown">',
  '</div>',
  '<details>',
  '<summary>',
  '</details>',
  '<table>',
  '<td>',
  '<dl>',
  '<dt>',
  '<dd>',
  '<h2>',
  '<button>',
  '<label>',
  '<aside>',
  '<footer>',
  '<header>',
  '<svg>',
  '<title>',
  '<select>',
  '<template>',
  'Birds',
  ' | ',
  '\u0000',
  '<!--',
  '-->',
  '<img alt="Heron">',
  '<map>',
  '<area href="/y" alt="Y">',
  '<frameset>',
  '<plaintext>',
];

describe('any markup', () => {
  test('gives links with labels, allowed targets and depths without jumps', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...PIECES), { maxLength: 60 }), (parts) => {
        const html = parts.join('');
        for (const { links } of [readHtmlLinks(html), ...readHtmlMenus(html)]) {
          let before = 0;
          for (const { label, href, depth, fields } of links) {
            expect(label !== '' || fields?.role === 'divider').toBe(true);
            expect(label.length).toBeLessThanOrEqual(LIMITS.label);
            expect(href ?? '').not.toMatch(/^\s*javascript:/i);
            expect(depth).toBeGreaterThanOrEqual(1);
            expect(depth).toBeLessThanOrEqual(before + 1);
            before = depth;
          }
        }
        expect(readHtmlMenus(html).filter((menu) => menu.main).length).toBeLessThanOrEqual(1);
        expect(readPageFacts(html).sections.length).toBeLessThanOrEqual(1000);
      }),
      { numRuns: 300 },
    );
  });
  test('in any format is read without an error', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...'<>/="&;\n\t, -*[]()abc#:') }), (text) => {
        for (const { read } of Object.values(LINK_FORMATS))
          expect(Array.isArray(read(text).links)).toBe(true);
        expect(Object.keys(LINK_FORMATS)).toContain(guessLinkFormat(text));
      }),
      { numRuns: 200 },
    );
  });
  test('of great size is read to its bounds', () => {
    expect(
      readHtmlMenus(`<div>${'<ul><li><a href="/x">x y</a></li></ul>'.repeat(3000)}</div>`).length,
    ).toBeGreaterThan(0);
    const deep = readHtmlMenus('<div class="menu"><a href="/a">A</a>'.repeat(3000));
    expect(Math.max(...deep.flatMap((menu) => menu.links.map((link) => link.depth)))).toBeLessThanOrEqual(
      LIMITS.depth,
    );
    for (const html of ['<a href="'.repeat(20_000), '<li>'.repeat(20_000)])
      expect(readHtmlMenus(html)).toEqual([]);
  });
});
