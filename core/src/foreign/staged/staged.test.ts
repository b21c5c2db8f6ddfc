import { describe, expect, test } from '@jest/globals';
import { ownElements } from '../change/edited-page.ts';
import { readForeignPage } from '../page.ts';
import { stagedCss } from './staged-css.ts';
import { stagedPage } from './staged-page.ts';

const ADDRESSES = {
  file: (address: string) => `file:${address}`,
  stylesheet: (address: string) => `sheet:${address}`,
};
const css = (text: string) => stagedCss(text, ADDRESSES);

describe('a stylesheet on the stage', () => {
  test.each([
    ['a:hover{color:red}', 'a:is(:hover,[data-hamaca-hover]){color:red}'],
    [
      'a:focus-visible,b:ACTIVE{}',
      'a:is(:focus-visible,[data-hamaca-focus]),b:is(:active,[data-hamaca-active]){}',
    ],
    ['li:focus-within ul{}', 'li:is(:focus-within,[data-hamaca-within]) ul{}'],
    ['a:not(:hover){}', 'a:not(:is(:hover,[data-hamaca-hover])){}'],
    ['nav{a:hover{color:red}}', 'nav{a:is(:hover,[data-hamaca-hover]){color:red}}'],
    ['@media (hover:hover){a{}}', '@media (hover:hover){a{}}'],
    ['a{animation:hover 1s}', 'a{animation:hover 1s}'],
    ['a{--state:hover;color:red}', 'a{--state:hover;color:red}'],
    ['a::before{content:":hover"}', 'a::before{content:":hover"}'],
    ['/* :hover */ a{}', '/* :hover */ a{}'],
    ['a.hover{}', 'a.hover{}'],
  ])('%s', (text, staged) => {
    expect(css(text)).toBe(staged);
  });
  test.each([
    ['a{background:url(a.png)}', 'a{background:url("file:a.png")}'],
    ['a{background:url( "a b.png" ) no-repeat}', 'a{background:url("file:a b.png") no-repeat}'],
    ["a{background:URL('a\\'b.png')}", `a{background:url("file:a'b.png")}`],
    ['@import "b.css" screen;', '@import url("sheet:b.css") screen;'],
    ['@import url(b.css) layer(x);', '@import url("sheet:b.css") layer(x);'],
    [
      '@import url("b.css");a{background:url(c.png)}',
      '@import url("sheet:b.css");a{background:url("file:c.png")}',
    ],
    ['@namespace svg "http://x.example/";', '@namespace svg "http://x.example/";'],
    ['a{content:"url(x.png)"}', 'a{content:"url(x.png)"}'],
    ['@font-face{src:url(f.woff2) format("woff2")}', '@font-face{src:url("file:f.woff2") format("woff2")}'],
  ])('%s leads where it was brought along', (text, staged) => {
    expect(css(text)).toBe(staged);
  });
  test('broken ones come through as they are', () => {
    for (const text of [
      '',
      '}',
      '{',
      'a:hover',
      'a{background:url(',
      '@import',
      '@import "',
      'a:hover{',
      '\\',
      '"',
    ])
      expect(typeof css(text)).toBe('string');
  });
});

/** A page of some files by path, as the stage has it. */
function staged(html: string, files: Readonly<Record<string, string>> = {}, origin: string | null = null) {
  const all = new Map([['index.html', html], ...Object.entries(files)]);
  const source = { text: (path: string) => all.get(path) ?? null, origin };
  return stagedPage(source, 'index.html', html, (path) => all.has(path));
}

describe('a page on the stage', () => {
  test('bears the place of each element among the page’s, as they are asked about', () => {
    const html = '<title>x</title><nav class=a><a href=/b>B</a></nav><script></script><p>1</p>';
    const page = readForeignPage({ text: () => null }, 'index.html', html);
    const { body, rootAttributes } = staged(html);
    expect(rootAttributes).toEqual({ 'data-hamaca-at': '0' });
    for (const [at, element] of ownElements(page).entries())
      if (/^(?:nav|a|p)$/.test(element.name))
        expect(body).toMatch(new RegExp(`<${element.name} [^>]*data-hamaca-at="${at}"`));
    expect(body).not.toContain('script');
  });
  test('what was added bears none, so that all others keep theirs', () => {
    const html = '<link rel=stylesheet href=own.css><a>1</a>';
    const before = staged(html).body;
    const added = html.replace(
      '<a>',
      '<link rel=stylesheet href=added.css><script src=added.js defer></script><a>',
    );
    expect(staged(added, { 'added.css': '' }).body).toBe(before);
  });
  test('runs nothing, asks for nothing and leads nowhere', () => {
    const { head, body, rootAttributes, bodyAttributes } = staged(
      `<html onload=a() lang=en><head><base href="https://x.example/"><meta http-equiv=refresh content=0><link rel=preload href=p><script>1</script></head>
      <body onload=b() background=x.png class=c><a href="javascript:1" onclick=c() ping=/p>1</a><a href=/fine target=_blank>2</a><img src=gone.png onerror=d() srcset="g.png 2x">
      <iframe src=/f srcdoc="<p>"></iframe><form action=/s name=querySelector><button formaction=/t>3</button></form><object data=o></object><noscript>4</noscript></body></html>`,
    );
    expect(rootAttributes).toEqual({ lang: 'en', 'data-hamaca-at': '0' });
    expect(Object.keys(bodyAttributes)).toEqual(['class', 'data-hamaca-at']);
    expect(head).toBe('');
    expect(body).not.toMatch(
      /\son\w+=|javascript:|ping=|srcdoc|action=|querySelector|gone\.png|g\.png|noscript| data=/,
    );
    expect(body).toContain('href="/fine"');
    expect(body).toMatch(/<iframe data-hamaca-at="\d+">/);
  });
  test('stylesheets come once each, imported ones first, and circles end', () => {
    const { sheets, head, files } = staged(
      '<link rel=stylesheet href=a.css><link rel=stylesheet href=b.css>',
      {
        'a.css': '@import "b.css"; a { background: url(i.png) }',
        'b.css': '@import "a.css"; @import "b.css"; b { background: url(i.png) }',
        'i.png': '',
      },
    );
    expect(sheets).toEqual([
      '@import url("data:,"); @import url("data:,"); b { background: url("blob:hamaca/file-0.") }',
      '@import url("blob:hamaca/sheet-0."); a { background: url("blob:hamaca/file-0.") }',
    ]);
    expect(head).toContain('href="blob:hamaca/sheet-1."');
    expect(files).toEqual(['i.png']);
  });
  test('of a page from the web, files of other hosts come as well', () => {
    const { files } = staged(
      '<img src="https://cdn.example/a.png"><img src="//cdn.example/b.png"><img src="/c.png?v=1">',
      { 'https://cdn.example/a.png': '', 'https://cdn.example/b.png': '', 'c.png?v=1': '' },
      'https://site.example',
    );
    expect(files).toEqual(['https://cdn.example/a.png', 'https://cdn.example/b.png', 'c.png?v=1']);
  });
  test('a style that would end its element does not', () => {
    const { body } = staged('<svg><style>a{content:"&lt;/style&gt;&lt;img onerror=1&gt;"}</style></svg>');
    expect(body).not.toMatch(/<\/style>[^<]*<img/i);
  });
});
