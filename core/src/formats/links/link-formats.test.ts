import { LIMITS } from '../../values/limits.ts';
import { gzipSync, strToU8, zipSync } from 'fflate';
import fc from 'fast-check';
import { describe, expect, test } from '@jest/globals';
import { DEMO } from '../../../test/demo.ts';
import type { LinkLine } from '../../links/link-line.ts';
import { menuLines } from '../../links/menu-lines.ts';
import { adoptItems } from '../../links/adopt.ts';
import { buildMenu } from '../../links/build-menu.ts';
import { printCsv, readCsv } from './csv.ts';
import { printOpml, readOpml } from './opml.ts';
import { sniffEncoding } from '../pages/encoding.ts';
import { guessLinkFormat, LINK_FORMATS, LINK_FORMAT_NAMES, type LinkFormatName } from './link-formats.ts';
import { filePages, readPageFacts } from '../pages/page-facts.ts';
import { readSitemap, sitemapPages } from '../pages/sitemap.ts';
import { unpackGzip, unpackZip } from '../pages/unpack.ts';

const FULL: readonly LinkLine[] = [
  {
    label: 'Visit & see',
    href: '/visit/?a=1&b=2',
    depth: 1,
    fields: { title: 'A "day" out', rel: 'nofollow', newTab: true },
  },
  { label: 'Hours, "daily" [all year]', href: '/hours/(new)/', depth: 2 },
  { label: 'Label -> arrow', href: null, depth: 2 },
  { label: '- 1. dashed', href: '#top', depth: 3 },
  {
    label: 'Ünïcode · 鳥',
    href: 'https://orilla.example/a b',
    depth: 1,
    fields: { name: 'Ünïcode · 鳥 in other words' },
  },
  { label: '=1+1', href: 'mailto:a@b.example', depth: 1 },
  {
    label: "'=quoted",
    href: '/quoted/',
    depth: 1,
    fields: { className: 'news js-news', data: 'area=top event="open it" bare', role: 'action' },
  },
  { label: 'Described', href: '/described/', depth: 1, fields: { description: 'More of it' } },
];

/** What each format can hold besides label, target and depth. */
const HOLDS: Readonly<Record<string, readonly string[]>> = {
  outline: [],
  markdown: ['title'],
  html: ['title', 'rel', 'newTab', 'name'],
  opml: ['title', 'rel', 'newTab', 'name', 'className', 'data', 'role', 'description'],
  csv: ['title', 'rel', 'newTab', 'name', 'className', 'data', 'role', 'description'],
};

const kept = (links: readonly LinkLine[], holds: readonly string[]) =>
  links.map(({ label, href, depth, fields = {} }) => {
    const own = Object.fromEntries(Object.entries(fields).filter(([key]) => holds.includes(key)));
    return { label, href, depth, ...(Object.keys(own).length > 0 && href !== null ? { fields: own } : {}) };
  });
const strip = (href: string) => href.replace(/\s/g, '%20');

describe.each(LINK_FORMAT_NAMES.filter((name) => LINK_FORMATS[name].print !== null))('%s', (name) => {
  const { read, print } = LINK_FORMATS[name];
  test('reads back what it wrote', () => {
    const links = FULL.map((link) => ({ ...link, href: link.href === null ? null : strip(link.href) }));
    const printed = print?.(links, 'Main') ?? '';
    expect(read?.(printed)).toEqual({ links: kept(links, HOLDS[name] ?? []), notes: [] });
    expect(guessLinkFormat(printed, `links.${LINK_FORMATS[name].extension}`)).toBe(
      name === 'markdown' ? 'outline' : name,
    );
  });
  if (name === 'csv' || name === 'opml')
    test('headings and dividers are what they were', () => {
      const links: LinkLine[] = [
        { label: 'Over others', href: null, depth: 1, fields: { role: 'heading' } },
        { label: '', href: null, depth: 1, fields: { role: 'divider' } },
      ];
      expect(read?.(print?.(links, 'Main') ?? '')).toEqual({ links, notes: [] });
    });
  test('the demo’s menus survive the way there and back', () => {
    for (const menu of DEMO.menus.slice(0, 2)) {
      const links = menuLines(DEMO, menu.items).filter((link) => link.label !== '');
      const back = read?.(print?.(links, menu.name) ?? '');
      expect(back?.links.map(({ label, href, depth }) => [depth, label, href])).toEqual(
        links.map(({ label, href, depth }) => [depth, label, href]),
      );
      expect(
        menuLines(
          { ...DEMO, pages: buildMenu(back?.links ?? [], DEMO.url).pages },
          buildMenu(back?.links ?? [], DEMO.url).items,
        ).map((link) => link.label),
      ).toEqual(links.map((link) => link.label));
    }
  });
  test('any label comes back', () => {
    const label = fc
      .string({ minLength: 1, maxLength: 40, unit: 'grapheme' })
      .map((text) =>
        text
          .replace(/[\s\u0000-\u001f\u007f-\u009f\ufeff\ufffd-\uffff\u00b6▸▾▼►▲◂»«›‹\ue000-\uf8ff]+/gu, ' ')
          .trim(),
      )
      .filter((text) => /[\p{L}\p{N}]/u.test(text))
      .map((text) => `Bird ${text}`);
    fc.assert(
      fc.property(fc.array(label, { minLength: 1, maxLength: 6 }), (labels) => {
        const links = labels
          .map((text, index) => ({ label: text, href: `/${index}`, depth: 1 + (index % 3 === 2 ? 1 : 0) }))
          .map((link, index, all) => ({
            ...link,
            depth: index === 0 ? 1 : Math.min(link.depth, (all[index - 1]?.depth ?? 0) + 1),
          }));
        const back = read?.(print?.(links, 'x') ?? '').links.map((link) => link.label);
        expect(name === 'html' ? back?.length : back).toEqual(
          name === 'html'
            ? labels.length
            : labels.map((text) =>
                name === 'csv' && /^[=@]/.test(text)
                  ? `'${text}`
                  : name === 'opml'
                    ? text.replace(/<[^>]*>/g, '')
                    : text,
              ),
        );
      }),
      { numRuns: 60 },
    );
  });
});

test.each<[string, string, LinkFormatName]>([
  ['<?xml version="1.0"?><opml version="2.0"><body/></opml>', '', 'opml'],
  ['<urlset xmlns="x">', 'sitemap.xml', 'sitemap'],
  ['<!doctype html><p>', '', 'html'],
  ['Title;URL\nVisit;/visit', '', 'csv'],
  ['Visit /visit\n  Hours', 'menu.txt', 'outline'],
  ['- [Visit](/visit)', 'menu.md', 'outline'],
  ['a,b', 'links.csv', 'csv'],
])('%j is recognised', (text, name, format) => {
  expect(guessLinkFormat(text, name)).toBe(format);
});

describe('reading tables of others', () => {
  const lines = (text: string) =>
    LINK_FORMATS.csv.read(text).links.map(({ depth, label, href }) => [depth, label, href]);
  test('columns by name, in any order, with semicolons', () => {
    expect(lines('\ufeffURL;Title\r\n/visit;"Visit; see"\r\n')).toEqual([[1, 'Visit; see', '/visit']]);
  });
  test('a chain as long as a site has links is read to its end, and flattened past the deepest level', () => {
    const rows = Array.from(
      { length: 12_000 },
      (_, index) => `L${index},/${index},${index === 0 ? '' : `L${index - 1}`}`,
    );
    const read = lines(`label,url,parent\n${rows.join('\n')}`);
    expect(read).toHaveLength(12_000);
    expect(read.slice(0, 2)).toEqual([
      [1, 'L0', '/0'],
      [2, 'L1', '/1'],
    ]);
    expect(Math.max(...read.map(([depth]) => Number(depth)))).toBe(32);
  });
  test('rows that name one another in a circle are all kept', () => {
    expect(
      lines('label,url,parent\nA,/a,B\nB,/b,A\nC,/c,C')
        .map(([, label]) => label)
        .sort(),
    ).toEqual(['A', 'B', 'C']);
  });
  test('parents by label, also out of order', () => {
    expect(
      lines('label,url,parent\nVisit,/visit,\nBirds,/birds,\nHours,/hours,Visit\nIbis,/ibis,Birds'),
    ).toEqual([
      [1, 'Visit', '/visit'],
      [2, 'Hours', '/hours'],
      [1, 'Birds', '/birds'],
      [2, 'Ibis', '/ibis'],
    ]);
  });
  test('no header means label and target', () => {
    expect(lines('Visit,/visit\nBirds,/birds')).toEqual([
      [1, 'Visit', '/visit'],
      [1, 'Birds', '/birds'],
    ]);
  });
  test('scripts and empty rows are noted', () => {
    const { links, notes } = LINK_FORMATS.csv.read('label,url,rel\nRun,javascript:1,\n,,x\n');
    expect(links).toEqual([{ label: 'Run', href: null, depth: 1 }]);
    expect(notes.map((note) => note.line)).toEqual([2, 3]);
  });
});

describe('sitemaps', () => {
  const URLSET =
    '<?xml version="1.0" encoding="UTF-8"?>\n<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9" xmlns:image="http://x/image"><url><loc>https://marisma.example/</loc><image:image><image:loc>https://marisma.example/a.png</image:loc></image:image></url><url><loc> https://marisma.example/visit/?a=1&amp;b=2 </loc></url><url><loc><![CDATA[https://marisma.example/visit/hours/]]></loc></url><url><loc>https://other.example/x</loc></url><url><loc>nonsense</loc></url></urlset>';
  test('give their addresses, each once, without those of pictures', () => {
    const { addresses, notes, kind } = readSitemap(URLSET);
    expect([kind, addresses]).toEqual([
      'pages',
      [
        'https://marisma.example/',
        'https://marisma.example/visit/?a=1&b=2',
        'https://marisma.example/visit/hours/',
        'https://other.example/x',
      ],
    ]);
    expect(notes).toHaveLength(1);
    const { pages, foreign } = sitemapPages(addresses, 'https://www.marisma.example');
    expect([pages.map((page) => [page.path, page.title]), foreign]).toEqual([
      [
        ['/', 'Home'],
        ['/visit/?a=1&b=2', 'Visit'],
        ['/visit/hours/', 'Hours'],
      ],
      1,
    ]);
  });
  test('an index names further ones; text has one address a line', () => {
    expect(
      readSitemap(
        '<sitemapindex><sitemap><loc>https://marisma.example/a.xml.gz</loc></sitemap></sitemapindex>',
      ),
    ).toEqual({ kind: 'index', addresses: ['https://marisma.example/a.xml.gz'], notes: [] });
    expect(readSitemap('https://marisma.example/a\r\nhttps://marisma.example/b\nx').addresses).toHaveLength(
      2,
    );
  });
  test('as links they nest by path', () => {
    expect(
      LINK_FORMATS.sitemap
        .read(
          'https://m.example/\nhttps://m.example/visit/opening-hours.html\nhttps://m.example/visit\nhttps://m.example/birds/',
        )
        .links.map(({ depth, label }) => [depth, label]),
    ).toEqual([
      [1, 'Home'],
      [1, 'Visit'],
      [2, 'Opening hours'],
      [1, 'Birds'],
    ]);
  });
  test.each([
    [
      'entities of its own',
      '<!DOCTYPE x [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;">]><urlset><url><loc>https://m.example/&b;</loc></url></urlset>',
      'entities',
    ],
    [
      'an entity outside',
      '<!DOCTYPE x [<!ENTITY f SYSTEM "file:///etc/passwd">]><urlset><url><loc>&f;</loc></url></urlset>',
      'entities',
    ],
    ['a cut', '<urlset><url><loc>https://m.example/a</loc></url><url><loc>https://m.ex', 'broken'],
    ['nesting without end', '<a>'.repeat(5000), 'nested more than'],
    ['something else', '<rss><channel/></rss>', 'no sitemap'],
  ])('%s is told, and what came before is kept', (_name, text, reason) => {
    const { notes, addresses } = readSitemap(text);
    expect(notes[0]?.reason).toContain(reason);
    expect(addresses.every((address) => address === 'https://m.example/a')).toBe(true);
  });
});

describe('packed files', () => {
  const bytes = strToU8('<urlset/>'.repeat(1000));
  test('gzip is unpacked up to its bound, and cuts are told', () => {
    expect(unpackGzip(gzipSync(bytes))).toEqual({ ok: true, value: bytes });
    expect(unpackGzip(gzipSync(bytes), 100)).toMatchObject({
      ok: false,
      error: expect.stringContaining('more than'),
    });
    expect(unpackGzip(gzipSync(bytes).slice(0, 40)).ok).toBe(false);
    expect(unpackGzip(new Uint8Array([0x1f, 0x8b, 8, 0, 0])).ok).toBe(false);
  });
  test('archives give what is wanted; paths that lead out are left out', () => {
    const zip = zipSync({
      'site/index.html': strToU8('<title>Home</title>'),
      '../evil.html': strToU8('x'),
      'site/a.css': strToU8('x'),
    });
    expect(unpackZip(zip, (path) => path.endsWith('.html'))).toMatchObject({
      ok: true,
      value: { files: [{ path: 'site/index.html' }], skipped: ['../evil.html'] },
    });
    for (const cut of [60, zip.length - 30]) expect(unpackZip(zip.slice(0, cut), () => true).ok).toBe(false);
    expect(unpackZip(Uint8Array.from([0x50, 0x4b, 3, 4, ...Array<number>(200).fill(0)]), () => true).ok).toBe(
      false,
    );
  });
  test.each([
    ['ten gigabytes', 0xfffffff0],
    ['a thousand bytes', 1000],
  ])('an archive that claims %s is judged by what comes out of it', (_what, claimed) => {
    const claiming = (size: number) => {
      const zip = zipSync({ 'a.html': [new Uint8Array(size), { level: 9 }] });
      const view = new DataView(zip.buffer, zip.byteOffset);
      for (let at = 0; at < zip.length - 4; at++) {
        if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, claimed, true);
        if (view.getUint32(at, true) === 0x04034b50) view.setUint32(at + 22, claimed, true);
      }
      return unpackZip(zip, () => true);
    };
    expect(claiming(2_000_000)).toMatchObject({ ok: true, value: { files: [{ path: 'a.html' }] } });
    expect(claiming(LIMITS.file + 1)).toMatchObject({
      ok: false,
      error: expect.stringContaining('larger than 32 MB'),
    });
  });
});

test.each<[string, number[], string]>([
  ['UTF-8', [...strToU8('é鳥😀')], 'utf-8'],
  ['Latin letters without a word about it', [0x63, 0x61, 0x66, 0xe9], 'windows-1252'],
  ['a byte order mark', [0xff, 0xfe, 0x41, 0], 'utf-16le'],
  ['what the page says', [...strToU8('<meta charset="iso-8859-2">'), 0xe9], 'iso-8859-2'],
  ['what XML says', [...strToU8('<?xml version="1.0" encoding="windows-1250"?>'), 0xe9], 'windows-1250'],
  ['surrogates and overlong forms are no UTF-8', [0xed, 0xa0, 0x80], 'windows-1252'],
  ['UTF-16 XML without a mark', [0x3c, 0, 0x3f, 0, 0x78, 0], 'utf-16le'],
])('%s is recognised', (_name, bytes, label) => {
  expect(sniffEncoding(Uint8Array.from(bytes))).toBe(label);
});

describe('pages out of files', () => {
  const html =
    '<!doctype html><head><title> Trails &amp; hides </title></head><body><h1 id="top">Trails</h1><section id="north" aria-label="North hide"></section><h2><a name="reed"></a>Reed hide ¶</h2><div id="layout"><div id="x"></div></div><a id="tower"></a><h3>Tower hide</h3>';
  test('titles and sections are read', () => {
    expect(readPageFacts(html)).toEqual({
      title: 'Trails & hides',
      canonical: null,
      sections: [
        { id: 'top', title: 'Trails' },
        { id: 'north', title: 'North hide' },
        { id: 'reed', title: 'Reed hide' },
        { id: 'tower', title: 'Tower hide' },
      ],
    });
  });
  test('paths are those of the files, below the folder they share', () => {
    const pages = filePages([
      { path: 'export/index.html', html: '' },
      { path: 'export/visit/trails.html', html },
      {
        path: 'export/birds/index.htm',
        html: '<link rel="canonical" href="https://marisma.example/birds/all/">',
      },
    ]);
    expect(pages.map((page) => [page.path, page.title])).toEqual([
      ['/', 'Home'],
      ['/visit/trails.html', 'Trails & hides'],
      ['/birds/all/', 'All'],
    ]);
  });
});

test.each(['csv', 'opml'] as const)(
  'what opens a panel still does after a way through %s and back',
  (format) => {
    const menu = { id: 'm', name: 'M', items: [] };
    const item = { id: 'x', label: 'Menu', target: { kind: 'panel', panel: 'panel' }, children: [] } as const;
    const site = { ...DEMO, menus: [{ ...menu, items: [item] }] };
    const lines = menuLines(site, site.menus[0]?.items ?? []);
    const text = format === 'csv' ? printCsv(lines) : printOpml(lines, 'M');
    const { links } = format === 'csv' ? readCsv(text) : readOpml(text);
    const built = buildMenu(links, site.url);
    expect(adoptItems(DEMO, built.items, built.pages).items[0]?.target).toEqual(item.target);
    // Where there is no such panel it leads nowhere, and nothing else is made of it.
    const without = { ...DEMO, pieces: DEMO.pieces.filter(({ kind }) => kind !== 'panel') };
    expect(adoptItems(without, built.items, built.pages).items[0]?.target).toEqual({ kind: 'none' });
  },
);

test.each(['+1', '-1', '=1', ' =1', '\t@x', "'=1", '\u00a0+1'])(
  'the cell %j runs nowhere, and comes back as it was',
  (label) => {
    const text = printCsv([{ label, href: null, depth: 1 }]);
    const cells = text.split('\r\n')[1]?.split(',') ?? [];
    expect(cells.some((cell) => /^"?\s*[=+@-]/.test(cell))).toBe(false);
    expect(readCsv(text).links[0]?.label).toBe(label.trim());
  },
);
