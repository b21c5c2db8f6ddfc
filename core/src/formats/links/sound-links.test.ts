import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { buildMenu } from '../../links/build-menu.ts';
import { loadSite } from '../../load/load-site.ts';
import { createPlainSite } from '../../starters/plain.ts';
import { LIMITS } from '../../values/limits.ts';
import { readHtmlMenus } from './html-menus.ts';
import { LINK_FORMATS, LINK_FORMAT_NAMES, type LinkFormatName } from './link-formats.ts';

/** The same nested links in each format that nests. */
const NESTED: Readonly<Partial<Record<LinkFormatName, (depth: number) => string>>> = {
  outline: (depth) => Array.from({ length: depth }, (_, at) => `${' '.repeat(at)}Level /x`).join('\n'),
  markdown: (depth) => Array.from({ length: depth }, (_, at) => `${' '.repeat(at)}- [Level](/x)`).join('\n'),
  html: (depth) => '<ul><li><a href="/x">Level</a>'.repeat(depth),
  opml: (depth) =>
    `<opml><body>${'<outline text="Level" url="/x">'.repeat(depth)}${'</outline>'.repeat(depth)}</body></opml>`,
  csv: (depth) =>
    `level,label,target\n${Array.from({ length: depth }, (_, at) => `${at + 1},Level,/x`).join('\n')}`,
};

/** Many links in each format. */
const MANY: Readonly<Partial<Record<LinkFormatName, (count: number) => string>>> = {
  outline: (count) => 'Link /x\n'.repeat(count),
  html: (count) => `<nav>${'<a href="/x">Link</a>'.repeat(count)}</nav>`,
  opml: (count) => `<opml><body>${'<outline text="Link" url="/x"/>'.repeat(count)}</body></opml>`,
  csv: (count) => `label,target\n${'Link,/x\n'.repeat(count)}`,
};

const read = (format: string, text: string) =>
  LINK_FORMATS[format as LinkFormatName].read?.(text) ?? { links: [], notes: [] };

describe('what a menu cannot have is put right and said', () => {
  test.each(Object.entries(NESTED))('%s nested deeper than links may be', (format, nested) => {
    const depth = format === 'html' ? 120 : 50;
    const { links, notes } = read(format, nested(depth));
    expect(links).toHaveLength(depth);
    expect(Math.max(...links.map((link) => link.depth))).toBe(LIMITS.depth);
    expect(notes.map(({ reason }) => reason)).toEqual([
      `${depth - LIMITS.depth} links are nested more than ${LIMITS.depth} deep and stand at level ${LIMITS.depth} now.`,
    ]);
    expect(read(format, nested(LIMITS.depth)).notes).toEqual([]);
  });
  test.each(Object.entries(MANY))('%s of more links than a site may have', (format, many) => {
    const { links, notes } = read(format, many(LIMITS.links + 5));
    expect(links).toHaveLength(LIMITS.links);
    expect(notes.map(({ reason }) => reason)).toEqual([`Only the first ${LIMITS.links} links are read.`]);
  });
  test('a page that is larger than any is read as far as its first part, and that is said', () => {
    const menus = readHtmlMenus(
      `<nav><a href="/x">First</a><a href="/y">Second</a></nav>${'x '.repeat(2_500_000)}<nav><a href="/z">Late</a></nav>`,
    );
    expect(menus.flatMap(({ links }) => links.map(({ label }) => label))).toEqual(['First', 'Second']);
    expect(menus[0]?.notes[0]?.reason).toContain('larger than 4 MB');
  });
});

const WORDS = [
  'nofollow',
  'evil"onload=x',
  '-->',
  'x y',
  'a,b',
  '<b>',
  'ü',
  '\u0000',
  '{}',
  'x'.repeat(600),
  '',
  '1',
];

const word = fc.constantFrom(...WORDS);

/** Texts in which anything stands where a link's own values do. */
const texts = fc
  .tuple(word, word, word, word, word, word)
  .chain(([label, rel, className, title, name, target]) => {
    const quote = (text: string) => text.replaceAll('&', '&amp;').replaceAll('"', '&quot;');
    return fc.constantFrom<[LinkFormatName, string]>(
      [
        'csv',
        `label,target,rel,class,tooltip,name,role\n"${[label, target, rel, className, title, name, 'x'].map((cell) => cell.replaceAll('"', '""')).join('","')}"`,
      ],
      [
        'html',
        `<nav><a href="${quote(target)}" rel="${quote(rel)}" class="${quote(className)}" title="${quote(title)}" aria-label="${quote(name)}">${label}</a></nav>`,
      ],
      [
        'opml',
        `<opml><body><outline text="${quote(label)}" url="${quote(target)}" rel="${quote(rel)}" class="${quote(className)}" title="${quote(title)}" description="${quote(name)}"/></body></opml>`,
      ],
      ['markdown', `- [${label}](${target} "${title}")`],
    );
  });

test('whatever a text says of its links, what is read of it makes a valid site', () => {
  fc.assert(
    fc.property(texts, ([format, text]) => {
      const menu = buildMenu(read(format, text).links, '');
      const loaded = loadSite(createPlainSite({ name: 'x', url: '', menu, pages: menu.pages }));
      expect(loaded.ok ? [] : loaded.error).toEqual([]);
    }),
    { numRuns: 400 },
  );
});

test('any text in any format makes a valid site', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...LINK_FORMAT_NAMES),
      fc.string({
        unit: fc.constantFrom(...'<>/="&;\n\t, -*[]()abc#:ü', '\u0000', '\ud83d', '<a href=', 'rel='),
      }),
      (format, text) => {
        const menu = buildMenu(read(format, text).links, '');
        expect(loadSite(createPlainSite({ name: 'x', url: '', menu, pages: menu.pages })).ok).toBe(true);
      },
    ),
    { numRuns: 300 },
  );
});
