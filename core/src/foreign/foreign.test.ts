import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { judgeMedia } from './conditions/media.ts';
import { judgeSupports } from './conditions/supports.ts';
import { createElementSelectors } from './element-selector.ts';
import { readForeignPage, upwards } from './page.ts';
import { pathFrom } from './paths.ts';
import { SHEET_LIMITS } from './sheet/read-sheet.ts';
import { tellRules, type ToldElement } from './told-rules.ts';
import { withAddresses } from './values/addresses.ts';
import { expand, longhandsOf } from './values/expand.ts';
import { isTaken } from './values/is-taken.ts';
import { physicalName } from './values/longhands.ts';
import { SHORTHANDS } from './values/shorthands.ts';
import { substitute } from './values/substitute.ts';

const WINDOW = { width: 1280, height: null };

const pageOf = (css: string, body: string, files: Readonly<Record<string, string>> = {}) => {
  const known = new Map(Object.entries(files));
  const html = `<!DOCTYPE html><style>${css}</style>${body}`;
  return readForeignPage({ text: (path) => known.get(path) ?? null }, 'index.html', html);
};

type State = 'rest' | 'hover' | 'focus' | 'current';

function told(css: string, body: string, at: string, state: State = 'rest', files = {}): ToldElement {
  const [first] = tellRules(pageOf(css, body, files), at, state, WINDOW) as ToldElement[];
  if (!first) throw new Error('nothing was found');
  return first;
}

const NAV = '<nav class="n"><ul><li class="i"><a href="/" class="l">Boats</a></li></ul></nav>';

/** The value that wins on the link of the small navigation. */
const winner = (css: string, name: string, state: State = 'rest', body = NAV) =>
  told(css, body, 'a', state).properties.find((property) => property.name === name);

describe('which declaration wins', () => {
  test.each([
    ['the later of two alike', 'a { color: red } a { color: blue }', 'blue'],
    ['the more specific', '.l { color: red } a { color: blue }', 'red'],
    ['the important one', 'a { color: red !important } .n .l { color: blue }', 'red'],
    ['what stands in no layer', '.l { color: red } @layer x { .n .l { color: blue } }', 'red'],
    ['the later layer', '@layer x, y; @layer y { a { color: red } } @layer x { .l { color: blue } }', 'red'],
    [
      'the earlier layer where both are important',
      '@layer x { a { color: red !important } } @layer y { .l { color: blue !important } }',
      'red',
    ],
    ['a layer over those within it', '@layer x { a { color: red } @layer z { .l { color: blue } } }', 'red'],
    [
      'nothing of a layer that has no usable name',
      'a { color: red } @layer .b { a { color: blue !important } } @layer x, .b;',
      'red',
    ],
    ['the nearer scope', '@scope (.i) { a { color: red } } @scope (.n) { a { color: blue } }', 'red'],
    ['a nested rule, as specific as its parent', '.n { & a { color: red } } nav a { color: blue }', 'red'],
    ['nothing of :where', ':where(.n) a { color: red } a { color: blue }', 'blue'],
    ['the most specific within :is', ':is(.n, #none) a { color: red } .n .l { color: blue }', 'red'],
    ['what follows a nested rule after that', 'a { color: red; & { color: green } color: blue }', 'blue'],
  ])('%s', (_, css, value) => {
    expect(winner(css, 'color')?.value).toBe(value);
  });

  test('a style attribute wins, but over what is important', () => {
    const body = '<a style="color: teal; margin: 1px 2px">x</a>';
    expect(winner('a { color: red }', 'color', 'rest', body)).toMatchObject({
      value: 'teal',
      selector: null,
      line: 1,
      overridden: [{ value: 'red', selector: 'a' }],
    });
    expect(winner('a { color: red !important }', 'color', 'rest', body)?.value).toBe('red');
    expect(winner('', 'margin-left', 'rest', body)?.value).toBe('2px');
  });

  test('a rule with a selector no browser takes is void; forgiving lists leave out what they do not know', () => {
    expect(winner('a, a:bogus { color: red }', 'color')).toBeUndefined();
    expect(winner(':is(a, a:bogus) { color: red }', 'color')?.value).toBe('red');
    expect(winner('a::-moz-focus-inner, a { color: red }', 'color')).toBeUndefined();
    for (const place of ['2 of', 'x', '', '2 of a:bogus', 'n of ((']) {
      expect(winner(`a, a:nth-child(${place}) { color: red }`, 'color')).toBeUndefined();
      expect(tellRules(pageOf('', NAV), `a:nth-child(${place})`, 'rest', WINDOW)).toEqual({
        reason: 'no selector',
      });
    }
    for (const place of ['odd', '2n + 1', '-n+3', '1 of .l', 'even of li, .none'])
      expect(winner(`a, a:nth-child(${place}) { color: red }`, 'color')?.value).toBe('red');
  });

  test('states hold for those around, too', () => {
    const css =
      'li:hover > a { color: red } li:focus-within a { color: blue } a:focus-visible { opacity: .5 }';
    expect(winner(css, 'color')).toBeUndefined();
    expect(winner(css, 'color', 'hover')?.value).toBe('red');
    expect(winner(css, 'color', 'focus')?.value).toBe('blue');
    expect(winner(css, 'opacity', 'focus')?.value).toBe('.5');
  });

  test('the current page is marked as the page marks it, else as its rules know it', () => {
    const menu = (marks: string) =>
      `<nav><ul><li><a href="/">Boats</a></li><li class="${marks}"><a href="/x">Lessons</a></li></ul></nav>`;
    const css = '.is-active a { color: red } [aria-current] { opacity: 1 }';
    const at = 'li:first-child a';
    const shown = told(css, menu('is-active'), at, 'current').properties;
    expect(shown.map(({ name, value }) => `${name} ${value}`)).toEqual(['color red', 'opacity 1']);
    expect(told(css, menu(''), at, 'current').properties.map(({ name }) => name)).toEqual([
      'color',
      'opacity',
    ]);
    // Afterwards all is as it was.
    const page = pageOf(css, menu('is-active'));
    tellRules(page, at, 'current', WINDOW);
    expect((tellRules(page, at, 'rest', WINDOW) as ToldElement[])[0]?.properties).toEqual([]);
  });

  test('what cannot be known is said, and wins over nothing that can', () => {
    const css = 'a { color: red } @container (width > 300px) { a { color: blue } }';
    expect(winner(css, 'color')).toMatchObject({ value: 'red', certain: false });
    expect(winner('@media (min-height: 9px) { a { color: red } }', 'color')?.certain).toBe(false);
    expect(
      winner('@keyframes k { to { color: red } } a { color: blue; animation: k 1s }', 'color')?.certain,
    ).toBe(false);
  });

  test('where it stands is told: file, line, column, conditions, layer', () => {
    const files = {
      'css/a.css': '@import "b.css" layer(base) screen;\na {\n  color: red;\n}',
      'css/b.css': '@media (min-width: 10px) { .l { margin: 0 } }',
    };
    const body = `<link rel="stylesheet" href="css/a.css">${NAV}`;
    const { properties } = told('', body, 'a', 'rest', files);
    expect(properties.find(({ name }) => name === 'color')).toMatchObject({
      file: 'css/a.css',
      line: 3,
      column: 3,
    });
    expect(properties.find(({ name }) => name === 'margin-top')).toMatchObject({
      file: 'css/b.css',
      line: 1,
      layer: 'base',
      conditions: ['@media screen', '@media (min-width: 10px)'],
    });
  });
});

describe('values', () => {
  /** One value of every shorthand, and some of what it comes to. */
  const SAMPLES: Readonly<Record<string, readonly [value: string, ...parts: string[]]>> = {
    animation: ['turn 2s infinite', 'animation-name turn', 'animation-duration 2s', 'animation-delay 0s'],
    background: [
      'url(a.png) no-repeat center / cover, red',
      'background-color red',
      'background-size cover, auto',
    ],
    border: [
      '2px solid',
      'border-left-width 2px',
      'border-top-color currentcolor',
      'border-image-source none',
    ],
    'border-block': ['1px solid red', 'border-block-end-color red'],
    'border-block-color': ['red blue', 'border-block-end-color blue'],
    'border-block-end': ['1px dotted', 'border-block-end-style dotted'],
    'border-block-start': ['none', 'border-block-start-style none'],
    'border-block-style': ['solid', 'border-block-start-style solid'],
    'border-block-width': ['1px 2px', 'border-block-start-width 1px'],
    'border-bottom': ['0', 'border-bottom-width 0', 'border-bottom-style none'],
    'border-color': ['red blue', 'border-left-color blue'],
    'border-image': ['url(b.png) 30 / 10px round', 'border-image-slice 30', 'border-image-repeat round'],
    'border-inline': ['thin', 'border-inline-start-width thin'],
    'border-inline-color': ['red', 'border-inline-end-color red'],
    'border-inline-end': ['1px', 'border-inline-end-width 1px'],
    'border-inline-start': ['solid', 'border-inline-start-style solid'],
    'border-inline-style': ['solid none', 'border-inline-end-style none'],
    'border-inline-width': ['1px', 'border-inline-end-width 1px'],
    'border-left': ['1px solid red', 'border-left-color red'],
    'border-radius': ['1px 2px / 3px', 'border-top-right-radius 2px 3px'],
    'border-right': ['red', 'border-right-color red'],
    'border-style': ['none solid', 'border-right-style solid'],
    'border-top': ['thick double', 'border-top-width thick'],
    'border-width': ['1px 2px 3px', 'border-left-width 2px', 'border-bottom-width 3px'],
    'column-rule': ['1px solid', 'column-rule-style solid'],
    columns: ['100px 3', 'column-width 100px', 'column-count 3'],
    'contain-intrinsic-size': ['1px 2px', 'contain-intrinsic-height 2px'],
    container: ['side / inline-size', 'container-name side', 'container-type inline-size'],
    flex: ['1', 'flex-grow 1', 'flex-shrink 1', 'flex-basis 0%'],
    'flex-flow': ['wrap', 'flex-direction row', 'flex-wrap wrap'],
    font: [
      'italic 12px/1.5 Arial, serif',
      'font-style italic',
      'line-height 1.5',
      'font-family Arial, serif',
    ],
    'font-variant': ['small-caps', 'font-variant-caps small-caps'],
    gap: ['1px', 'column-gap 1px'],
    grid: ['auto-flow / 1fr', 'grid-auto-flow row', 'grid-template-columns 1fr'],
    'grid-area': ['a / b', 'grid-row-end a', 'grid-column-end b'],
    'grid-column': ['1 / -1', 'grid-column-end -1'],
    'grid-row': ['a', 'grid-row-end a'],
    'grid-template': ['"a b" 10px / 1fr 2fr', 'grid-template-areas "a b"', 'grid-template-rows 10px'],
    inset: ['0 auto', 'left auto', 'top 0'],
    'inset-block': ['1px', 'inset-block-end 1px'],
    'inset-inline': ['1px 2px', 'inset-inline-end 2px'],
    'list-style': ['none', 'list-style-type none', 'list-style-image none'],
    margin: ['1px auto', 'margin-left auto', 'margin-bottom 1px'],
    'margin-block': ['1px', 'margin-block-start 1px'],
    'margin-inline': ['auto', 'margin-inline-end auto'],
    mask: ['url(m.svg) center', 'mask-image url(m.svg)', 'mask-position center'],
    outline: ['auto', 'outline-style auto', 'outline-width medium'],
    overflow: ['hidden', 'overflow-y hidden'],
    'overscroll-behavior': ['none auto', 'overscroll-behavior-y auto'],
    padding: ['1px 2px 3px 4px', 'padding-left 4px'],
    'padding-block': ['1px', 'padding-block-end 1px'],
    'padding-inline': ['1px', 'padding-inline-end 1px'],
    'place-content': ['baseline', 'align-content baseline', 'justify-content start'],
    'place-items': ['safe center stretch', 'align-items safe center', 'justify-items stretch'],
    'place-self': ['end', 'justify-self end'],
    'scroll-margin': ['1px', 'scroll-margin-left 1px'],
    'scroll-margin-block': ['1px', 'scroll-margin-block-end 1px'],
    'scroll-margin-inline': ['1px', 'scroll-margin-inline-end 1px'],
    'scroll-padding': ['1px', 'scroll-padding-left 1px'],
    'scroll-padding-block': ['1px', 'scroll-padding-block-end 1px'],
    'scroll-padding-inline': ['1px', 'scroll-padding-inline-end 1px'],
    'text-box': ['trim-both cap alphabetic', 'text-box-edge cap alphabetic'],
    'text-decoration': ['underline dotted red 2px', 'text-decoration-thickness 2px'],
    'text-emphasis': ['open circle', 'text-emphasis-style open circle'],
    'text-wrap': ['balance', 'text-wrap-style balance', 'text-wrap-mode wrap'],
    transition: [
      'color .2s ease-in, all 1s .5s',
      'transition-property color, all',
      'transition-delay 0s, .5s',
    ],
    'white-space': ['pre-line', 'white-space-collapse preserve-breaks', 'text-wrap-mode wrap'],
    '-webkit-text-stroke': ['1px red', '-webkit-text-stroke-color red'],
  };

  test('every shorthand is taken apart, and none is without a sample', () => {
    for (const [name, { longhands }] of SHORTHANDS) {
      const sample = Object.hasOwn(SAMPLES, name) ? SAMPLES[name] : undefined;
      if (!sample) throw new Error(`${name} has no sample`);
      const [value, ...parts] = sample;
      const said = expand(name, value) ?? [];
      expect(new Set(said.map(({ longhand }) => longhand))).toEqual(new Set(longhands));
      const made = said.map(({ longhand, value: part }) => `${longhand} ${part}`);
      for (const part of parts) expect([name, made]).toEqual([name, expect.arrayContaining([part])]);
      expect(new Set(expand(name, 'inherit')?.map(({ value: part }) => part))).toEqual(new Set(['inherit']));
    }
  });

  test('what no browser takes is left out', () => {
    for (const [property, value] of [
      ['color', 'no-colour'],
      ['width', '10'],
      ['margin', 'calc(-1 * 0)'],
      ['display', '-ms-flexbox'],
      ['-moz-appearance', 'none'],
      ['filter', 'progid:DXImageTransform.Microsoft.gradient()'],
      ['cursor', 'hand'],
      ['overflow-scrolling', 'touch'],
    ] as const)
      expect([property, value, isTaken(property, value)]).toEqual([property, value, false]);
    expect(isTaken('z-index', 'calc(1 * 2)')).toBe(true);
    expect(isTaken('some-new-property', '1px')).toBeNull();
    expect(winner('a { *color: red; _color: red; color: }', 'color')).toBeUndefined();
  });

  test('old names are those of today', () => {
    expect(longhandsOf('-webkit-box-shadow')).toEqual(['box-shadow']);
    expect(longhandsOf('grid-gap')).toEqual(['row-gap', 'column-gap']);
    expect(expand('page-break-before', 'always')).toEqual([
      { longhand: 'break-before', value: 'page', certain: true },
    ]);
    expect(longhandsOf('all').length).toBeGreaterThan(200);
  });

  test('logical names follow the way text runs', () => {
    const flow = (mode: string, direction: 'ltr' | 'rtl') => ({ mode, direction });
    expect(physicalName('margin-inline-start', flow('horizontal-tb', 'ltr'))).toBe('margin-left');
    expect(physicalName('margin-inline-start', flow('horizontal-tb', 'rtl'))).toBe('margin-right');
    expect(physicalName('inset-block-start', flow('vertical-rl', 'ltr'))).toBe('right');
    expect(physicalName('border-start-end-radius', flow('horizontal-tb', 'rtl'))).toBe(
      'border-top-left-radius',
    );
    expect(physicalName('min-inline-size', flow('vertical-lr', 'ltr'))).toBe('min-height');
    expect(physicalName('overflow-block', flow('horizontal-tb', 'ltr'))).toBe('overflow-y');
    expect(winner('a { margin-left: 1px; margin-inline-start: 2px }', 'margin-left')?.value).toBe('2px');
  });

  test('custom properties are put in, from wherever they come', () => {
    const css =
      ':root { --ink: #036; --line: 1px solid var(--ink) } a { border: var(--line); color: var(--none, teal) }';
    expect(winner(css, 'border-top-color')?.value).toBe('#036');
    expect(winner(css, 'color')?.value).toBe('teal');
    expect(winner('a { --x: var(--y); --y: var(--x); color: var(--x) }', 'color')?.value).toBe('unset');
    expect(winner('a { --x: 1em; color: var(--x) }', 'color')?.value).toBe('unset');
    const registered = '@property --x { syntax: "*"; inherits: false } ';
    expect(winner(`${registered} nav { --x: red } a { color: var(--x, blue) }`, 'color')?.value).toBe('blue');
  });

  test('values that hold one another do not grow without end', () => {
    const names = Array.from(
      { length: 40 },
      (_, index) => `--v${index}: var(--v${index + 1})var(--v${index + 1});`,
    );
    expect(winner(`a { ${names.join('')} --v40: xxxxxxxxxx; color: var(--v0) }`, 'color')?.value).toBe(
      'unset',
    );
    expect(substitute('var(--a)var(--a)', () => '1')).toBe('1/**/1');
    expect(substitute('rgb(var(--a) 0 0)', () => '255')).toBe('rgb(255 0 0)');
  });

  test('addresses mean the same where the value is written anew', () => {
    expect(withAddresses('url(../img/a.png)', 'css/deep/a.css', 'index.html')).toBe(
      'url("css/deep/../img/a.png")',
    );
    expect(withAddresses('url("#m"), url(/x.png), url(data:,x)', 'css/a.css', 'index.html')).toBe(
      'url("#m"), url(/x.png), url(data:,x)',
    );
  });
});

describe('conditions', () => {
  test.each([
    ['screen and (min-width: 40em)', true],
    ['print', false],
    ['print, (width >= 1000px)', true],
    ['(400px <= width < 1280px)', false],
    ['(1280px >= width)', true],
    ['not all and (hover)', false],
    ['not (max-width: 600px)', true],
    ['only screen and (-webkit-min-device-pixel-ratio: 1.5)', false],
    ['(prefers-reduced-motion)', false],
    ['(prefers-color-scheme: light)', true],
    ['(min-width: 10)', false],
    ['(bogus)', false],
    ['bogus!, screen', true],
    ['(min-height: 10px)', null],
    ['(min-height: 10px) and print', false],
    ['(orientation: portrait)', null],
  ])('@media %s', (query, truth) => {
    expect(judgeMedia(query, WINDOW)).toBe(truth);
  });
  test.each([
    ['(display: grid)', true],
    ['not (display: grid)', false],
    ['(display: bogus) or (color: red)', true],
    ['(display: grid) and (not (gap: no))', true],
    ['selector(:has(a))', true],
    ['selector(:bogus)', false],
    ['(--x: y)', true],
    ['font-tech(color-colrv1)', null],
  ])('@supports %s', (condition, truth) => {
    expect(judgeSupports(condition)).toBe(truth);
  });
});

describe('pages as they come', () => {
  test('a stylesheet that imports itself, or is not there, is told and stops nothing', () => {
    const files = {
      'a.css': '@import "b.css"; a { color: red }',
      'b.css': '@import "a.css"; @import "b.css";',
    };
    const page = pageOf(
      '',
      `<link rel="stylesheet" href="a.css?v=1"><link rel="stylesheet" href="none.css">${NAV}`,
      files,
    );
    expect(page.rules.notes.map(({ text }) => text)).toEqual([
      'a.css imports itself: it is read once',
      'b.css imports itself: it is read once',
      'The stylesheet none.css is not there',
    ]);
    expect((tellRules(page, 'a', 'rest', WINDOW) as ToldElement[])[0]?.properties[0]?.value).toBe('red');
  });

  test('alternate and disabled stylesheets, templates and other types do not count', () => {
    const body = `<link rel="alternate stylesheet" href="x.css"><link rel="stylesheet" disabled href="x.css"><style type="text/less">a{color:red}</style><template><style>a{color:red}</style></template>${NAV}`;
    expect(told('', body, 'a', 'rest', { 'x.css': 'a{color:red}' }).properties).toEqual([]);
  });

  test('a base says what addresses relate to', () => {
    const files = { 'sub/a.css': 'a { color: red }', 'a.css': 'a { color: blue }' };
    const valueWith = (base: string) =>
      told('', `${base}<link rel=stylesheet href=a.css>${NAV}`, 'a', 'rest', files).properties[0]?.value;
    expect(valueWith('<base href="sub/">')).toBe('red');
    expect(valueWith('<base href="/sub/x.html">')).toBe('red');
    expect(valueWith('<base target="_top">')).toBe('blue');
    expect(valueWith('<base href="https://else.example/">')).toBeUndefined();
  });

  test('a hundred thousand rules, deep nesting and a broken end are read in bounds', () => {
    const many = '.x{color:red}'.repeat(100_000);
    expect(pageOf(many, NAV).rules.styles).toHaveLength(100_000);
    const deep = `${'a{'.repeat(5000)}color:red`;
    expect(pageOf(deep, NAV).rules.notes[0]?.text).toContain(`${SHEET_LIMITS.depth} levels`);
    expect(winner('a { color: red; background: url("x', 'color')?.value).toBe('red');
  });

  test('paths lead from file to file, and never out of the page', () => {
    expect(pathFrom('../css/a%20b.css?x#y', 'docs/index.html')).toBe('css/a b.css');
    expect(pathFrom('/a.css', 'docs/index.html')).toBe('a.css');
    expect(pathFrom('../../../etc/x.css', 'docs/index.html')).toBe('etc/x.css');
    expect(pathFrom('https://else.example/a.css', 'index.html')).toBeNull();
    expect(upwards('<link rel=stylesheet href="../../a.css"><a href="../../../x">')).toBe(2);
  });

  test('every element has a selector that finds it alone', () => {
    const page = pageOf(
      '',
      `${NAV}<div id="a b"><p id=x></p><p id=x></p><svg><g></g></svg><p id="1:2"></p></div>`,
    );
    const selectorOf = createElementSelectors(page.elements);
    for (const element of page.elements)
      expect(page.matcher.select(selectorOf(element), page.elements)?.elements).toEqual([element]);
  });

  test('whatever is written, nothing throws', () => {
    const piece = fc.constantFrom(
      '{',
      '}',
      '(',
      ')',
      '[',
      ']',
      ';',
      ':',
      ',',
      '&',
      '>',
      '+',
      '@media',
      '@layer x',
      '@scope (a) to (b)',
      '@import "x"',
      '@container',
      '@supports',
      '@property --x',
      '"',
      "'",
      '\\',
      '/*',
      '*/',
      '<!--',
      'a',
      '.b',
      '#c',
      '::before',
      ':is(',
      ':nth-child(2 of',
      ':has(',
      'color: red',
      '--x: var(--x',
      '!important',
      'url(',
      '\0',
      '\u{10ffff}',
      '__proto__',
      'constructor',
      '-->',
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 40 }), fc.array(piece, { maxLength: 6 }), (css, style) => {
        const body = `<a style="${style.join(' ').replaceAll('"', '&quot;')}" class="b" id="c">x</a>`;
        const page = pageOf(css.join(' '), body);
        tellRules(page, 'a', 'hover', WINDOW);
        tellRules(page, css.join(' '), 'rest', WINDOW);
      }),
      { numRuns: 1000 },
    );
  });
});
