import { describe, expect, test } from '@jest/globals';
import { groundOf, titleOf } from './about-page.ts';
import { breakpointsOf } from './breakpoints.ts';
import { firstPage } from './first-page.ts';
import { inheritedProperties } from './inherited.ts';
import { navigationOf } from './navigation.ts';
import { readForeignPage } from './page.ts';
import { pathFrom, pathOnDisk } from './paths.ts';
import { presentationalHints } from './presentational.ts';
import { elementsOfRule, pseudoElementsOf } from './rule-reach.ts';
import { stagedMarks } from './staged/staged-marks.ts';
import { bytesOfText, textOfBytes } from './text-bytes.ts';
import { usedFiles } from './used-files.ts';
import { tellRules } from './told-rules.ts';
import { valueTrail } from './value-trail.ts';

const read = (html: string) => readForeignPage({ text: () => null }, 'index.html', html);
const WINDOW = { width: 1280, height: null };

test.each([
  [['b.html', 'index.html', 'a/index.html'], 'index.html'],
  [['x/deep/index.html', 'x/index.htm'], 'x/index.htm'],
  [['x/page.html', 'x/a.css'], 'x/page.html'],
  [['a.html', 'b.html'], null],
  [['node_modules/index.html', '.git/index.html', '__MACOSX/index.html'], null],
])('of %j the first page is %s', (paths, first) => {
  expect(firstPage(paths)).toBe(first);
});

describe('paths', () => {
  test.each([
    ['a.css?v=2', 'x/index.html', null, 'x/a.css'],
    ['../a%20b.css', 'x/y/index.html', null, 'x/a b.css'],
    ['https://x.example/a.css', 'index.html', null, null],
    ['?x', 'index.html', null, null],
    ['a.css?v=2#x', 'x/index.html', 'https://s.example', 'x/a.css?v=2'],
    ['https://s.example/b.css', 'index.html', 'https://s.example', 'b.css'],
    ['//cdn.example/c.css', 'index.html', 'https://s.example', 'https://cdn.example/c.css'],
    ['d.png', 'https://cdn.example/x/c.css', 'https://s.example', 'https://cdn.example/x/d.png'],
    ['data:,x', 'index.html', 'https://s.example', null],
    ['http://[', 'index.html', 'https://s.example', null],
  ])('%s from %s (%s) is %s', (address, from, origin, path) => {
    expect(pathFrom(address, from, origin)).toBe(path);
  });
  test.each([
    ['css/a.css?v=2', 'css/a.css'],
    ['https://cdn.example/x/a.css', 'cdn.example/x/a.css'],
    ['%2e%2e/%2e%2e/etc/passwd', 'etc/passwd'],
    ['a/..%2f..%2fb', 'a/b'],
    ['a%5c..%5cb', 'a/b'],
    ['a:b*c', 'a_b_c'],
  ])('%s is written as %s', (path, written) => {
    expect(pathOnDisk(path)).toBe(written);
  });
});

test('every byte keeps its place in a text, whatever it is written in', () => {
  const latin = Uint8Array.from({ length: 256 }, (_, at) => at);
  expect(bytesOfText(textOfBytes(latin), latin)).toEqual(latin);
  const marked = new TextEncoder().encode('\ufeffcafé');
  expect(bytesOfText(textOfBytes(marked), marked)).toEqual(marked);
  expect(textOfBytes(Uint8Array.from({ length: 300_000 }, () => 233))).toHaveLength(300_000);
});

test('a page tells its title and its ground', () => {
  const page = read(
    '<title> Old\n boats </title><style>html { background: red } body { background: #FAF0E6 }</style>',
  );
  expect([titleOf(page), groundOf(page)]).toEqual(['Old boats', '#faf0e6']);
  expect(groundOf(read('<style>body { background: url(x.png) }</style>'))).toBe('#ffffff');
  expect([titleOf(read('')), groundOf(read('<style>html { background: plum }</style>'))]).toEqual([
    '',
    '#dda0dd',
  ]);
});

test('the outline of a page has its navigation, by what it is, and the whole page where there is none', () => {
  const lines = navigationOf(
    read(
      '<div id=top class="site-header x"><a href=/><img alt=Home></a></div><nav><ul><li><a><span>Our</span> boats</a></ul></nav><main><p>1</p></main>',
    ),
  );
  expect(lines.map(({ depth, name, text }) => `${'  '.repeat(depth)}${name} ${text}`.trimEnd())).toEqual([
    'div#top',
    '  a Home',
    '    img Home',
    'nav',
    '  ul',
    '    li',
    '      a Our boats',
  ]);
  expect(navigationOf(read('<main><p>Words</p></main>')).map(({ name }) => name)).toEqual(['main', 'p']);
  expect(navigationOf(read(`<nav>${'<a>1</a>'.repeat(5000)}</nav>`))).toHaveLength(800);
});

test('what a rule styles is known in every state of the page', () => {
  const page = read(
    '<style>li:hover ul a::before, .b { color: red }</style><ul><li><ul><a>1</a></ul></ul><p class=b style="color: red">2',
  );
  const told = tellRules(page, '.b', 'rest', WINDOW);
  const [inline] = 'reason' in told ? [] : (told[0]?.properties ?? []);
  if (!inline) throw new Error('nothing told');
  const names = (value: Parameters<typeof elementsOfRule>[1]) =>
    elementsOfRule(page, value).map((at) => page.elements[at]?.name);
  expect(names(inline)).toEqual(['p']);
  expect(names(inline.overridden[0] ?? inline)).toEqual(['a', 'p']);
  expect(elementsOfRule(page, { file: 'none.css', line: 1, column: 1, selector: 'a' })).toEqual([]);
});

describe('where a value comes from', () => {
  const page = read(
    '<style>:root { --a: var(--b); --b: red; --c: var(--c) } nav { --a: blue; font-size: 12px; color: green; line-height: 2 } .x { color: var(--a, var(--c)) } .y { color: var(--b) }</style><p class=y></p><nav><b><a class=x href=/>1</a><h2>2</h2><button>3</button></b></nav><i class=x>4</i>',
  );
  const trail = (selector: string) => {
    const found = page.matcher.select(selector, page.elements)?.elements[0];
    if (!found) throw new Error(selector);
    return valueTrail(page, found, 'color', 'rest', WINDOW).map(({ name, value, selector: at }) => [
      name,
      value,
      at,
    ]);
  };
  test('custom properties are followed to where they are written, also those that they name', () => {
    expect(trail('nav .x')).toEqual([
      ['--a', 'blue', 'nav'],
      ['--c', 'var(--c)', ':root'],
    ]);
    expect(trail('i')).toEqual([
      ['--a', 'var(--b)', ':root'],
      ['--b', 'red', ':root'],
      ['--c', 'var(--c)', ':root'],
    ]);
    expect(trail('h2')).toEqual([]);
  });
  test('what is inherited is told with the element it is said of, unless the browser says it', () => {
    const inherited = (selector: string) => {
      const found = page.matcher.select(selector, page.elements)?.elements[0];
      if (!found) throw new Error(selector);
      return inheritedProperties(page, found, 'rest', WINDOW).map(({ name, from }) => `${name} ${from.name}`);
    };
    expect(inherited('a')).toEqual(['font-size nav', 'line-height nav']);
    expect(inherited('h2')).toEqual(['color nav', 'line-height nav']);
    expect(inherited('button')).toEqual([]);
    expect(inherited('nav')).toEqual([]);
  });
});

test('the files of a page are named by its base, those of its stylesheets by the stylesheet', () => {
  const files = { text: (path: string) => (path === 'x/a.css' ? 'a { background: url(b.png) }' : null) };
  const html =
    '<base href="x/"><link rel=stylesheet href=a.css><style>p { background: url(p.png) }</style><img src=i.png><img srcset="s.png 2x, /t.png">';
  const page = readForeignPage(files, 'index.html', html);
  expect([...usedFiles(page)].sort()).toEqual(
    ['index.html', 't.png', 'x/a.css', 'x/b.png', 'x/i.png', 'x/p.png', 'x/s.png'].sort(),
  );
});

test('the widths at which a page changes are those of its media queries, neighbours as one', () => {
  const page = read(`<style>
    @media (max-width: 599px) { a { color: red } b { color: red } }
    @media (min-width: 600px) and (max-width: 60em) { a { color: blue } }
    @media (width < 100px) { a { color: lime } }
    @media print { a { color: tan } }</style>`);
  expect(breakpointsOf(page)).toEqual([
    { width: 600, rules: 3 },
    { width: 960, rules: 1 },
  ]);
  expect(breakpointsOf(read('<p>'))).toEqual([]);
});

test('pseudo-elements of an element are those that rules style in some state', () => {
  const page = read(
    '<style>a::before { content: "" } a:hover::after { content: "" } .is-active::marker { color: red } b::after { content: "" }</style><a></a><b></b>',
  );
  const [a, b] = ['a', 'b'].map((name) => page.elements.find((element) => element.name === name));
  expect(a && pseudoElementsOf(page, a)).toEqual(['after', 'before', 'marker']);
  expect(b && pseudoElementsOf(page, b)).toEqual(['after']);
});

test.each([
  ['<table bgcolor=red border=0><tr><td></table>', 'table', 'background-color', 'bgcolor="red"'],
  ['<table cellpadding=4><tr><td></table>', 'td', 'padding-left', 'cellpadding="4"'],
  ['<p hidden>', 'p', 'display', 'hidden'],
  ['<p bgcolor=red>', 'p', 'background-color', undefined],
  ['<img width=40>', 'img', 'width', 'width="40"'],
])('in %s what browsers draw %s by is told: %s is %s', (html, name, property, text) => {
  const element = read(html).elements.find((one) => one.name === name);
  const hint = element && presentationalHints(element).find(({ properties }) => properties.test(property));
  expect(hint?.text).toBe(text);
});

test('the stage is told which attributes are others in a state that the page marks', () => {
  const page = read(
    '<style>.is-open { color: red }</style><nav><ul><li class=is-active><a>1</a></li><li><a>2</a></li></ul></nav>',
  );
  const at = page.elements.findLastIndex(({ name }) => name === 'a');
  const item = page.elements.findLastIndex(({ name }) => name === 'li');
  expect(stagedMarks(page, at, 'current')).toEqual([
    { at: item - 2, attributes: { class: '' } },
    { at, attributes: { 'aria-current': 'page' } },
    { at: item, attributes: { class: 'is-active' } },
  ]);
  expect(stagedMarks(page, at, 'open').every(({ attributes }) => attributes['class'] === 'is-open')).toBe(
    true,
  );
  expect(stagedMarks(page, 9999, 'open')).toEqual([]);
});
