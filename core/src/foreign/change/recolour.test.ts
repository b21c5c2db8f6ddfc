import { describe, expect, test } from '@jest/globals';
import { parseColour } from '../../colour/colour.ts';
import { readForeignPage } from '../page.ts';
import { ADDED } from './edited-page.ts';
import type { PageChange } from './page-change.ts';
import { recolour, type RecolourOptions } from './recolour.ts';
import { canonicalColours, recolourValue } from './recolour-value.ts';

const BLUE = parseColour('blue') ?? { r: 0, g: 0, b: 1, a: 1 };

const change = (
  css: string,
  body: string,
  options: Partial<RecolourOptions> = {},
  files: Readonly<Record<string, string>> = {},
) => {
  const known = new Map(Object.entries(files));
  const html = `<!DOCTYPE html>\n<head>\n  <style>${css}</style>\n</head>\n${body}`;
  const page = { text: (path: string) => known.get(path) ?? null };
  return recolour(readForeignPage(page, 'index.html', html), page, {
    from: 'blue',
    to: '#063',
    within: null,
    inPlace: false,
    ...options,
  });
};

const done = (...args: Parameters<typeof change>): PageChange => {
  const made = change(...args);
  if (!made.ok) throw new Error(made.error);
  return made.value;
};

describe('a colour in a value', () => {
  test.each([
    ['color', '#00f', '#063'],
    ['color', 'BLUE', '#063'],
    ['color', 'rgb(0 0 255)', '#063'],
    ['color', 'hsl(240, 100%, 50%)', '#063'],
    ['color', '#0000ffff', '#063'],
    ['border', '1px solid blue', '1px solid #063'],
    [
      'background',
      'linear-gradient(90deg, #00f, red 10%, rgba(0,0,255,1))',
      'linear-gradient(90deg, #063, red 10%, #063)',
    ],
    ['box-shadow', '0 0 1px blue, inset 0 1px #00F', '0 0 1px #063, inset 0 1px #063'],
    ['color', 'rgb(from blue r g b / .5)', 'rgb(from #063 r g b / .5)'],
    ['--brand', 'blue', '#063'],
    ['--brand-rgb', '0, 0, 255', '0, 102, 51'],
    ['--brand-rgb', '0 0 255', '0 102 51'],
    ['color', 'rgb(0 0 255 / .5)', 'rgb(0 0 255 / .5)'],
    ['background', 'url(blue.png)', 'url(blue.png)'],
    ['font-family', 'Blue', 'Blue'],
    ['content', '"blue"', '"blue"'],
    ['color', 'lightblue', 'lightblue'],
    ['z-index', '255', '255'],
  ])('%s: %s', (property, value, made) => {
    expect(recolourValue(property, value, BLUE, '#063')).toBe(made);
  });
  test('two notations of one colour are the same', () => {
    expect(canonicalColours('color', 'rgb(0, 102, 51)')).toBe(canonicalColours('color', '#063'));
  });
});

describe('recolouring a page', () => {
  const NAV = '<nav><a href="/" class="l">Boats</a> <p class="p">x</p></nav>';

  test('adds the fewest rules that do it, with all that stands around them', () => {
    const css = `:root { --brand: #00f } a { color: var(--brand); padding: 1px }
      @media (min-width: 40em) { nav a:hover { outline: 1px solid blue !important } }
      @layer x { .p { border: 1px solid rgb(0 0 255); } } .none { color: blue } .q { color: red }`;
    const made = done(css, NAV);
    expect(made.added).toBe(
      [
        ':root {\n  --brand: #063;\n}',
        '@media (min-width: 40em) {\n  nav a:hover {\n    outline: 1px solid #063 !important;\n  }\n}',
        '@layer x {\n  .p {\n    border: 1px solid #063;\n  }\n}\n',
      ].join('\n'),
    );
    expect(made.sideEffects).toEqual([]);
    expect(made.changed).toContainEqual({
      element: 'html > body > nav > a',
      state: 'rest',
      width: 390,
      property: 'color',
      before: '#00f',
      after: '#063',
    });
    expect(made.files.get('index.html')).toContain(`</style>\n  <link rel="stylesheet" href="${ADDED}">`);
  });

  test('nested rules stand alone as what they find', () => {
    const made = done(
      '.n { p, &.q { > i, & b { color: blue } } }',
      '<div class="n q"><p><i>x</i></p><b>x</b></div>',
    );
    expect(made.added).toBe(':is(.n p, .n.q) > i, :is(.n p, .n.q) b {\n  color: #063;\n}\n');
    expect(made.sideEffects).toEqual([]);
  });

  test('what won before goes on winning', () => {
    const made = done('.l { color: blue } a.l { padding: 0 } .l { color: red }', NAV);
    expect(made).toMatchObject({ changed: [], sideEffects: [] });
    const two = done('.p { color: blue } .l { color: blue } a { opacity: 1 } .l { color: red }', NAV);
    expect(two.sideEffects).toEqual([]);
    expect(two.changed.every(({ element }) => element.endsWith(' > p'))).toBe(true);
  });

  test('a style attribute is won over, pictures stay where they are', () => {
    const files = { 'css/a.css': '.p { background: url(i.png) blue }' };
    const made = done(
      '',
      `<link rel=stylesheet href=css/a.css><a style="color: blue">x</a>${NAV}`,
      {},
      files,
    );
    expect(made.added).toContain('color: #063 !important;');
    expect(made.added).toContain('background: url("css/i.png") #063;');
    expect(made.sideEffects).toEqual([]);
  });

  test('only within a selector', () => {
    const css =
      ':root { --b: blue; outline-color: blue } a { color: var(--b) } .l { --c: blue; border-color: blue } .l::after { color: blue; content: "" }';
    const body = `<nav><a class=l>1</a></nav><footer><a class=l>2</a></footer>`;
    const made = done(css, body, { within: 'nav' });
    expect(made.added).not.toContain('outline');
    expect(made.sideEffects).toEqual([]);
    expect(new Set(made.changed.map(({ element }) => element))).toEqual(
      new Set(['html > body > nav > a', 'html > body > nav > a::after']),
    );
    // In the rules themselves that cannot be done, and is said.
    const inPlace = done(css, body, { within: 'nav', inPlace: true });
    expect(new Set(inPlace.sideEffects.map(({ element }) => element))).toEqual(
      new Set(['html', 'html > body > footer > a', 'html > body > footer > a::after']),
    );
  });

  test('in place, every byte that is not the colour stays', () => {
    const sheet =
      '\ufeff/* blue */\r\n.l{ color :  #00F ;background:url( "blue.png" ) , BLUE!important }\r\n@media print { .l { color: blue } }\r\n.broken { color: ';
    const files = { 'a.css': sheet };
    const made = done(
      '',
      `<link rel=stylesheet href=a.css><a class=l style='color:blue'>x</a>`,
      { inPlace: true },
      files,
    );
    expect(made.added).toBeNull();
    expect(made.files.get('a.css')).toBe(
      '\ufeff/* blue */\r\n.l{ color :  #063 ;background:url( "blue.png" ) , #063!important }\r\n@media print { .l { color: #063 } }\r\n.broken { color: ',
    );
    expect(made.files.get('index.html')).toContain(`style='color:#063'`);
    expect(made.sideEffects).toEqual([]);
  });

  test('a stylesheet that comes twice is edited once', () => {
    const files = { 'a.css': '.l { color: blue; border-color: blue }' };
    const links = '<link rel=stylesheet href=a.css>'.repeat(2);
    const made = done('', links + NAV, { inPlace: true }, files);
    expect(made.files.get('a.css')).toBe('.l { color: #063; border-color: #063 }');
    expect(made.sideEffects).toEqual([]);
  });

  test('what cannot be done is said', () => {
    expect(change('a { color: red }', NAV)).toEqual({ ok: false, error: 'not there' });
    expect(change('a { color: blue }', NAV, { from: 'bleu' })).toEqual({ ok: false, error: 'no colour' });
    expect(change('a { color: blue }', NAV, { within: '((' })).toEqual({ ok: false, error: 'no selector' });
    expect(change('a { color: blue }', NAV, { within: 'video' })).toEqual({ ok: false, error: 'no element' });
  });
});
