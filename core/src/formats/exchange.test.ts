import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { unzipSync } from 'fflate';
import { DEMO, FONTS } from '../../test/demo.ts';
import { runEdit } from '../edit/operations.ts';
import { compileSite } from '../output/compile-site.ts';
import { contrastOf } from '../resolve/backdrop.ts';
import { ownersOf } from '../kinds/placed.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { loadSite, parseSiteFile } from '../load/load-site.ts';
import { buildMenu } from '../links/build-menu.ts';
import { createPlainSite } from '../starters/plain.ts';
import type { ReadLinks } from '../links/link-line.ts';
import { printDesignTokens } from './palette/design-tokens.ts';
import { handOffFiles } from './archive/hand-off.ts';
import { readHtmlLinks } from './links/html-menus.ts';
import { printOutline, readOutline } from './links/outline.ts';
import { streamZip } from './archive/zip.ts';

/** Links as `1 Label -> href`, for reading. */
const lines = ({ links }: ReadLinks) =>
  links.map(({ label, href, depth }) => `${depth} ${label}${href === null ? '' : ` -> ${href}`}`);

describe('reading an outline', () => {
  test('indentation nests, by spaces or tabs of any width', () => {
    expect(lines(readOutline('Visit\n   Hours\n   Trails\n\tNorth hide\n  Access\nBirds'))).toEqual([
      '1 Visit',
      '2 Hours',
      '2 Trails',
      '3 North hide',
      '2 Access',
      '1 Birds',
    ]);
    expect(lines(readOutline('- Visit\r\n  * Hours\r\n  1. Trails\r\n• Birds'))).toEqual([
      '1 Visit',
      '2 Hours',
      '2 Trails',
      '1 Birds',
    ]);
  });
  test.each([
    ['Visit /visit', '1 Visit -> /visit'],
    ['Visit -> /visit', '1 Visit -> /visit'],
    ['Visit → https://a.example/x', '1 Visit -> https://a.example/x'],
    ['Visit | /visit', '1 Visit -> /visit'],
    ['Visit\t/visit', '1 Visit -> /visit'],
    ['Visit (/visit)', '1 Visit -> /visit'],
    ['[Visit](/visit)', '1 Visit -> /visit'],
    ['- [Visit \\[now\\]](<https://a.example> "t")', '1 Visit [now] -> https://a.example'],
    ['Write us: mailto:a@b.example', '1 Write us -> mailto:a@b.example'],
    ['Mail a@b.example', '1 Mail -> a@b.example'],
    ['Visit - /visit', '1 Visit -> /visit'],
    ['Visit: visit.html', '1 Visit -> visit.html'],
    ['Hours #hours', '1 Hours -> #hours'],
    ['Opening hours', '1 Opening hours'],
    ['Fish & chips 24/7', '1 Fish & chips 24/7'],
    ['Call tel:+34955', '1 Call -> tel:+34955'],
    ['Shop www.shop.example', '1 Shop -> www.shop.example'],
    ['A <b>bold</b> label', '1 A <b>bold</b> label'],
    ['Species A–Z', '1 Species A–Z'],
  ])('%j is %j', (text, expected) => {
    expect(lines(readOutline(text))).toEqual([expected]);
  });
  test('what cannot be read is noted with its line', () => {
    const read = readOutline('Visit\n---\n-> /x\nBad javascript:alert(1)\n');
    expect(lines(read)).toEqual(['1 Visit', '1 Bad']);
    expect(read.notes.map((note) => note.line)).toEqual([2, 3, 4]);
  });
  test('NUL bytes, long lines and deep nesting are taken in stride', () => {
    expect(lines(readOutline('Vi\u0000sit\u0007 /v'))).toEqual(['1 Visit -> /v']);
    const long = readOutline('x'.repeat(5_000_000));
    expect(long.links[0]?.label).toHaveLength(500);
    expect(long.notes[0]?.reason).toContain('500');
  });
  test('any text gives links that build a valid site', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 300 }), (text) => {
        const read = readOutline(text);
        const built = buildMenu(read.links, '');
        expect(loadSite(createPlainSite({ name: 'x', url: '', menu: built, pages: built.pages })).ok).toBe(
          true,
        );
      }),
    );
  });
  test('a menu written as an outline reads back the same', () => {
    const read = readOutline(printOutline(DEMO, 'main'));
    expect(read.notes).toEqual([]);
    expect(buildMenu(read.links, DEMO.url).items.map((item) => [item.label, item.target])).toEqual(
      DEMO.menus[0]?.items.map((item) => [item.label, item.target]),
    );
  });
});

describe('reading the links of a page', () => {
  test('finds the main navigation among others, nested as it is', () => {
    const page = `<!doctype html><a class="skip" href="#main">Skip to content</a>
      <header><a href="/">Home</a><nav aria-label="Main"><ul>
        <li><a href="/visit/">Visit</a><ul><li><a href="/visit/hours/">Opening <b>hours</b></a></li><li><span><a href=/visit/way>Getting here</a></span></li></ul></li>
        <li><button aria-expanded="false">Join in</button><div><ul><li><a href="/give/">Give</a></li></ul></div></li>
        <li><a href="/search"><svg><title>Search</title></svg></a></li></ul></nav></header>
      <nav aria-label="Breadcrumb"><ol><li><a href="/">Home</a></li><li><a href="/a">A</a></li></ol></nav>
      <main><ul><li><a href="/1">one</a></li></ul></main>
      <footer><nav><ul><li><a href="/imprint">Imprint</a></li><li><a href="/privacy">Privacy</a></li></ul></nav></footer>`;
    expect(lines(readHtmlLinks(page))).toEqual([
      '1 Visit -> /visit/',
      '2 Opening hours -> /visit/hours/',
      '2 Getting here -> /visit/way',
      '1 Join in',
      '2 Give -> /give/',
      '1 Search -> /search',
    ]);
  });
  test('a bare list, bare links and a menu without landmarks are read', () => {
    expect(lines(readHtmlLinks('<ul><li><a href=a>A</a><li>B<ul><li><a href=c>C</a></ul></ul>'))).toEqual([
      '1 A -> a',
      '1 B',
      '2 C -> c',
    ]);
    expect(lines(readHtmlLinks('<nav><a href="/a">A</a> | <a href="/b">B</a></nav>'))).toEqual([
      '1 A -> /a',
      '1 B -> /b',
    ]);
    expect(lines(readHtmlLinks('<a href="/a">A</a>'))).toEqual(['1 A -> /a']);
  });
  test.each([
    [
      'links in table cells',
      '<table><tr><td><a href="index.html">Home</a></td><td><a href="birds.html">Birds</a></td></tr></table><h1>Marisma</h1><p>A text with <a href="x.html">a link</a> in it.</p>',
      ['1 Home -> index.html', '1 Birds -> birds.html'],
    ],
    [
      'bare links with separators, beside lists of content',
      '<div id="header"><h1><a href="/">Marisma</a></h1><div class="menu"><a href="/visit">Visit</a> | <a href="/birds">Birds</a></div></div><div><ul><li><a href="/1">one</a></li><li><a href="/2">two</a></li></ul></div>',
      ['1 Visit -> /visit', '1 Birds -> /birds'],
    ],
    [
      'a box of bare links in an item',
      '<nav><ul><li><a href="/b">B</a><div><a href="/b1">B1</a><a href="/b2">B2</a></div></li></ul></nav>',
      ['1 B -> /b', '2 B1 -> /b1', '2 B2 -> /b2'],
    ],
    [
      'a second copy for phones',
      '<nav aria-hidden="true"><ul><li><a href="/a">A</a></li><li><a href="/b">B</a></li><li><a href="/c">C</a></li></ul></nav><nav><ul><li><a href="/a">A</a></li><li><a href="/b">B</a></li></ul></nav>',
      ['1 A -> /a', '1 B -> /b'],
    ],
    [
      'a definition list',
      '<nav><dl><dt><a href="/visit">Visit</a></dt><dd><a href="/hours">Hours</a></dd><dt><a href="/birds">Birds</a></dt></dl></nav>',
      ['1 Visit -> /visit', '2 Hours -> /hours', '1 Birds -> /birds'],
    ],
    [
      'disclosures',
      '<nav><details><summary>Learn</summary><a href="/walks">Walks</a></details><a href="/news">News</a></nav>',
      ['1 Learn', '2 Walks -> /walks', '1 News -> /news'],
    ],
    [
      'a picture and a label with one target',
      '<ul><li><a href="/x"><img src="i.png" alt=""></a><a href="/x">Hides</a></li></ul>',
      ['1 Hides -> /x'],
    ],
    [
      'a picture’s alternative text and an accessible name',
      '<ul><li><a href="/x"><img alt="Hides"></a></li><li><a href="/y" aria-label="Search"></a></li></ul>',
      ['1 Hides -> /x', '1 Search -> /y'],
    ],
    [
      'links wrapped in spans, across lines',
      '<nav><ul><li><span><a href="/x"><b>Bird</b>\n  <i>hides</i></a></span></li></ul></nav>',
      ['1 Bird hides -> /x'],
    ],
    [
      'a list directly in a list',
      '<ul><li><a href="/a">A</a></li><ul><li><a href="/b">B</a></li></ul></ul>',
      ['1 A -> /a', '2 B -> /b'],
    ],
    [
      'a link without a target',
      '<nav><ul><li><a>Join in</a><ul><li><a href="/give">Give</a></li></ul></li></ul></nav>',
      ['1 Join in', '2 Give -> /give'],
    ],
  ])('%s', (_name, page, expected) => {
    expect(lines(readHtmlLinks(page))).toEqual(expected);
  });
  test('markup in labels stays text, scripts are left out and noted', () => {
    const read = readHtmlLinks(
      '<nav><ul><li><a href="javascript:alert(1)">&lt;b&gt;Run&lt;/b&gt;</a></li><li><script>x</script><a href="/b">B</a></li></ul></nav>',
    );
    expect(lines(read)).toEqual(['1 <b>Run</b>', '1 B -> /b']);
    expect(read.notes[0]?.reason).toContain('javascript:');
  });
  test('garbage gives no links and says so', () => {
    for (const garbage of ['', '\u0000\u0001', '<<<>>>', '{"a":1}', '<div'.repeat(1000)]) {
      const read = readHtmlLinks(garbage);
      expect(read.links).toEqual([]);
      expect(read.notes).toHaveLength(1);
    }
  });
  test('five megabytes on one line and lists nested twenty or ten thousand deep are read', () => {
    expect(readHtmlLinks(`<nav>${'<a href="/x">Link</a>'.repeat(240_000)}</nav>`).links).toHaveLength(20_000);
    const twenty = readHtmlLinks(
      `<nav>${Array.from({ length: 20 }, (_, index) => `<ul><li><a href="/${index}">${index}</a>`).join('')}</nav>`,
    );
    expect(twenty.links.map((link) => link.depth)).toEqual(
      Array.from({ length: 20 }, (_, index) => index + 1),
    );
    expect(readHtmlLinks('<ul><li><a href=x>x</a>'.repeat(10_000)).links.length).toBeGreaterThan(30);
  });
  test('any text gives links that build a valid site', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            '<ul>',
            '<li>',
            '<a href="/x">',
            'Birds',
            '</a>',
            '</li>',
            '</ul>',
            '<nav>',
            '<table>',
            '\u0000',
            '<svg>',
            '&amp;',
            '<a>',
          ),
        ),
        (parts) => {
          const built = buildMenu(readHtmlLinks(parts.join('')).links, '');
          expect(loadSite(createPlainSite({ name: 'x', url: '', menu: built, pages: built.pages })).ok).toBe(
            true,
          );
        },
      ),
    );
  });
});

describe('the hand-off', () => {
  const files = handOffFiles(DEMO, FONTS) ?? [];
  const textOf = (name: string) => {
    const file = files.find((entry) => entry.name === name);
    return file && 'text' in file ? file.text : '';
  };
  test('brings the further files of a typeface that its words need, and no others', () => {
    const renamed = runEdit(DEMO, {
      name: 'set-item',
      args: { id: DEMO.menus[0]?.items[0]?.id ?? '', fields: { label: 'Návštěva' } },
    });
    if (!renamed.ok) throw new Error(renamed.error[0]?.message);
    const named = (handOffFiles(renamed.value.site, FONTS) ?? []).map(({ name }) => name);
    expect(named.filter((name) => name.endsWith('.woff2'))).toEqual([
      'fonts/figtree.woff2',
      'fonts/figtree-latin-ext.woff2',
      'fonts/fraunces.woff2',
      'fonts/fraunces-latin-ext.woff2',
    ]);
    const { stylesheet } = compileSite(renamed.value.site, { fonts: FONTS });
    expect(stylesheet).toMatch(
      /src: url\(fonts\/figtree-latin-ext\.woff2\)[^}]*unicode-range: U\+0100-02BA,/,
    );
  });
  test('holds every file it promises', () => {
    expect(files.map((file) => file.name)).toEqual([
      'index.html',
      'menu.html',
      'menu.css',
      'page.css',
      'menu.js',
      'menu.mjs',
      'fonts/figtree.woff2',
      'fonts/fraunces.woff2',
      'fonts/figtree-LICENSE.txt',
      'fonts/fraunces-LICENSE.txt',
      'tokens.json',
      'site.hamaca.json',
      'README.txt',
    ]);
  });
  test('the site file in it opens as the same site', () => {
    expect(parseSiteFile(textOf('site.hamaca.json'))).toEqual({ ok: true, value: DEMO });
  });
  test('the example page holds the markup and loads the two files', () => {
    const page = textOf('index.html');
    for (const line of textOf('menu.html').trimEnd().split('\n')) expect(page).toContain(line);
    expect(page).toContain('href="menu.css"');
    expect(page).toContain('src="menu.js" defer');
  });
  test('tokens name each swatch, link roles to them, and spell the type', () => {
    const tokens = JSON.parse(printDesignTokens(DEMO)) as Record<
      string,
      Record<string, { $type: string; $value: unknown }>
    >;
    expect(tokens['swatch']?.['reed']).toMatchObject({
      $type: 'color',
      $value: { colorSpace: 'srgb', components: [0.1843, 0.4196, 0.3098], alpha: 1 },
    });
    expect(tokens['role']?.['accent']).toMatchObject({ $value: '{swatch.reed}' });
    expect(tokens['role']?.['line']).toMatchObject({ $value: { alpha: 0.2 } });
    expect(tokens['type']?.['title']).toMatchObject({
      $type: 'typography',
      $value: { fontFamily: 'Fraunces', fontWeight: 600 },
    });
  });
  test('a site without a header has none', () => {
    expect(handOffFiles({ ...DEMO, pieces: [] }, FONTS)).toBeNull();
  });
  test('the same files make the same zip, and it opens', () => {
    const contents = new Map([['a/b.txt', new TextEncoder().encode('Birds')]]);
    const zipped = () => {
      const pieces: Uint8Array[] = [];
      streamZip(contents, (piece) => pieces.push(piece));
      return new Uint8Array(Buffer.concat(pieces));
    };
    expect(zipped()).toEqual(zipped());
    expect(new TextDecoder().decode(unzipSync(zipped())['a/b.txt'])).toBe('Birds');
  });
});

describe('starting designs', () => {
  const built = buildMenu(readOutline('A /a\n  B /b\nC').links, '');
  const plain = createPlainSite({
    name: 'Cuarteto Orilla',
    url: 'https://orilla.example',
    menu: built,
    pages: built.pages,
  });
  test.each([
    ['the plain start', plain],
    ['the demo', DEMO],
  ])('%s is valid and every text in every state and band passes WCAG AA', (_name, site) => {
    expect(loadSite(JSON.parse(JSON.stringify(site))).ok).toBe(true);
    for (const owner of ownersOf(site).values()) {
      for (const [slot, kind] of Object.entries(slotsOf(owner.kind))) {
        for (const level of kind.levels.length > 0 ? kind.levels : [null]) {
          for (const state of kind.states) {
            for (const band of site.bands.keys()) {
              for (const scene of site.scenes) {
                const report = contrastOf(
                  site,
                  { owner: owner.id, slot, level, states: [state], band },
                  scene,
                );
                expect({ owner: owner.id, slot, state, band, passes: report?.passes ?? true }).toMatchObject({
                  passes: true,
                });
              }
            }
          }
        }
      }
    }
  });
});
