import { describe, expect, test } from '@jest/globals';
import { readForeignPage } from '../page.ts';
import { OBSTACLE_KINDS, type ObstacleKind } from './obstacle.ts';
import { stay, type StayChange, type StayOptions, type StayRefusal } from './stay.ts';

const OPTIONS: StayOptions = {
  at: 'header',
  sticking: { kind: 'on top' },
  coming: 'slides',
  widths: { from: null, below: null },
  scrolled: null,
  scrolledLogo: null,
  height: null,
  hangs: false,
  ways: {},
};

const REST = '<main><p>1</p><p>2</p><p>3</p><p>4</p></main>';
const HEADER = '<header><a href="/">Reed</a></header>';
const FILLED = 'header { background: #fff }';

function ask(css: string, body: string, options: Partial<StayOptions> = {}) {
  const html = `<!doctype html><style>${css}</style>${body}`;
  const text = (path: string) => (path === 'index.html' ? html : null);
  return stay(readForeignPage({ text }, 'index.html', html), { text }, { ...OPTIONS, ...options });
}

function staying(css: string, body: string, options: Partial<StayOptions> = {}): StayChange {
  const made = ask(css, body, options);
  if (!made.ok) throw new Error(made.error);
  return made.value;
}

const kindsOf = ({ obstacles }: StayChange) => obstacles.map(({ kind }) => kind);
const waysOf = ({ obstacles }: StayChange) => obstacles.map(({ ways }) => ways.map(({ id }) => id));

test('a header that nothing prevents takes one rule, and no script', () => {
  const made = staying(FILLED, HEADER + REST);
  expect(made).toMatchObject({ script: null, obstacles: [], sideEffects: [] });
  expect(made.added).toBe('header {\n  position: sticky;\n  top: 0;\n  z-index: 1;\n}\n');
  expect([...made.files.keys()].sort()).toEqual(['added.css', 'index.html']);
  const told = new Set(made.changed.map(({ element, property }) => `${element} ${property}`));
  expect([...told].sort()).toEqual(
    ['position', 'top', 'z-index'].map((name) => `html > body > header ${name}`),
  );
});

/** A page for each obstacle, the rule that is its way out, and a page like it that has none. */
const CASES: Readonly<
  Record<
    ObstacleKind,
    {
      readonly css?: string;
      readonly body?: string;
      readonly options?: Partial<StayOptions>;
      /** Null where there is no way out. */
      readonly rule: RegExp | null;
      readonly free: {
        readonly css?: string;
        readonly body?: string;
        readonly options?: Partial<StayOptions>;
      };
    }
  >
> = {
  'short box': {
    body: `<div class="top">${HEADER}</div>${REST}`,
    rule: /\.top \{\n {2}position: sticky;/,
    free: { body: `<div class="top">${HEADER}${REST}</div>` },
  },
  'stays already': {
    css: 'header { position: sticky; top: 0 }',
    options: { sticking: { kind: 'appears', after: 300 } },
    rule: null,
    free: { css: 'header { position: sticky; top: 0 }' },
  },
  'clipped box': {
    css: 'html, body { overflow-x: hidden }',
    rule: /body \{\n {2}overflow-x: clip;\n {2}overflow-y: visible;\n\}/,
    free: { css: 'body { overflow-x: hidden }' },
  },
  'scrolling box': {
    css: 'html, body { height: 100%; overflow: auto }',
    options: { sticking: { kind: 'hides' } },
    rule: /body \{[^}]*height: auto;\n {2}min-height: 100%;/,
    free: { css: 'html, body { height: 100%; overflow: auto }' },
  },
  'limited height': {
    css: 'html, body { height: 100% }',
    rule: /body \{\n {2}height: auto;\n {2}min-height: 100%;\n\}/,
    free: { css: 'body { height: 100% }' },
  },
  captured: {
    css: 'header { position: absolute } body { transform: translateZ(0) }',
    rule: /body \{\n {2}transform: none;\n {2}position: relative;\n {2}isolation: isolate;/,
    free: { css: 'body { transform: translateZ(0) }' },
  },
  'slips beneath': {
    css: 'body { padding-top: 8px } header { height: 60px }',
    options: { hangs: true },
    rule: /body \{\n {2}padding-top: 68px;/,
    free: { css: 'header { position: absolute; height: 60px }' },
  },
  stacking: {
    css: '.page { position: relative; z-index: 1 } .note { position: relative; z-index: 3 }',
    body: `<div class="page">${HEADER}${REST}</div><p class="note">New</p>`,
    rule: /\.page \{\n {2}z-index: 4;\n\}/,
    free: {
      css: '.note { position: relative; z-index: 3 }',
      body: `${HEADER}${REST}<p class="note">New</p>`,
    },
  },
  'see-through': {
    css: 'header { background: none } body { background: #eee }',
    rule: /header \{\n {2}background-color: #eee;/,
    free: { options: { scrolled: 'background: #fff' }, css: 'header { background: none }' },
  },
  anchors: {
    body: `<header><a href="#late">Late</a></header>${REST}<h2 id="late">Late</h2>`,
    options: { height: 72 },
    rule: /html \{\n {2}scroll-padding-top: 72px;/,
    free: { body: `<header><a href="#gone">Late</a></header>${REST}` },
  },
};

test.each(OBSTACLE_KINDS)(
  '%s is found, told with a way out that is taken, and not found where it is none',
  (kind) => {
    const { css = '', body = HEADER + REST, options = {}, rule, free } = CASES[kind];
    const made = staying(`${FILLED} ${css}`, body, options);
    expect(kindsOf(made)).toEqual([kind]);
    expect(made.obstacles[0]?.ways.map(({ taken }) => taken)).toEqual(rule === null ? [] : [true]);
    if (rule) expect(made.added).toMatch(rule);
    expect(made.sideEffects).toEqual([]);
    const beside = staying(`${FILLED} ${free.css ?? ''}`, free.body ?? HEADER + REST, free.options ?? {});
    expect([kindsOf(beside), beside.sideEffects]).toEqual([[], []]);
  },
);

test('an obstacle says where it stands', () => {
  const { obstacles } = staying(`${FILLED}\nhtml, body { overflow-x: hidden }`, HEADER + REST);
  expect(obstacles[0]).toMatchObject({ element: 'body', file: 'index.html', line: 2, column: 14 });
});

describe('ways out', () => {
  const CROWDED = `<div class="top"><p>Open today</p>${HEADER}</div>${REST}`;
  test('a box without a look of its own makes none; else it stays as a whole; the other one can be chosen', () => {
    const plain = staying(FILLED, CROWDED);
    expect(waysOf(plain)).toEqual([['no box', 'around']]);
    expect(plain.added).toContain('.top {\n  display: contents;\n}');
    const framed = staying(`${FILLED} .top { border: 1px solid }`, CROWDED);
    expect(waysOf(framed)).toEqual([['around']]);
    const chosen = staying(FILLED, CROWDED, { ways: { 'short box': 'around' } });
    expect(chosen.added).toContain('.top {\n  position: sticky;');
    expect(chosen.obstacles[0]?.ways.map(({ taken }) => taken)).toEqual([false, true]);
  });
  test('where there is none, or only layout could tell, it is said', () => {
    const turned = staying(`${FILLED} body { transform: rotate(3deg) }`, HEADER + REST, {
      hangs: true,
      height: 9,
    });
    expect(waysOf(turned)).toEqual([[], ['room']]);
    const unknown = staying(FILLED, HEADER + REST, { hangs: true });
    expect(unknown.obstacles[0]).toMatchObject({ kind: 'slips beneath', ways: [] });
    expect(unknown.obstacles[0]?.text).toContain('--height');
    const boxed = staying(
      `${FILLED} .page { height: 100vh; overflow-y: scroll }`,
      `<aside>Menu</aside><div class="page">${HEADER}${REST}</div>`,
      { sticking: { kind: 'hides' } },
    );
    expect(waysOf(boxed)).toEqual([[]]);
  });
});

test('rules count as much as they must, and no more', () => {
  const made = staying(
    `${FILLED} header { position: relative !important } #a .b header { top: auto; z-index: 3 }`,
    `<div id="a"><div class="b">${HEADER}${REST}</div></div>`,
  );
  expect(made.sideEffects).toEqual([]);
  expect(made.added).toMatch(/position: sticky !important;/);
  const weak = staying(
    `${FILLED} .b header { top: auto; position: static }`,
    `<div class="b">${HEADER}${REST}</div>`,
  );
  expect(weak.added).toContain(':root header {');
  expect(weak.sideEffects).toEqual([]);
});

test('what cannot be is told as a side effect', () => {
  const made = staying(FILLED, `<header style="position: relative !important"><a>1</a></header>${REST}`);
  expect(made.sideEffects[0]).toMatchObject({ property: 'position', after: 'relative' });
});

test('while scrolled, header and logo look otherwise, and move with what moves already', () => {
  const made = staying(
    `${FILLED} header { transition: color 1s linear }`,
    `<header><a href="/"><img alt="Reed"></a></header>${REST}`,
    { scrolled: 'background: #063; color: #fff', scrolledLogo: 'height: 20px', sticking: { kind: 'hides' } },
  );
  expect(made.sideEffects).toEqual([]);
  expect(made.added).toContain('transition: color 1s linear 0s, translate 250ms, background 250ms;');
  expect(made.added).toContain('header[data-hm-scrolled] {\n  background: #063;\n  color: #fff;\n}');
  expect(made.added).toContain('header[data-hm-scrolled] :is(html > body > header > a > img) {');
  expect(made.added).toContain('header[data-hm-down]:not(:focus-within) {\n  translate: 0 -100%;\n}');
  expect(made.files.get('index.html')).toContain('<script src="added.js" defer></script>');
  const states = new Set(made.changed.map(({ state, property }) => `${state} ${property}`));
  expect(states).toContain('scrolled background-color');
  expect(states).toContain('down translate');
  expect(states).not.toContain('rest background-color');
});

test('it stays at the widths that are meant', () => {
  const made = staying(FILLED, HEADER + REST, { widths: { from: 600, below: 1000 } });
  expect(made.added).toContain('@media (600px <= width < 1000px) {');
  expect(new Set(made.changed.map(({ width }) => width))).toEqual(new Set([820]));
});

test.each<[StayRefusal, Partial<StayOptions>]>([
  ['no selector', { at: 'a:bogus' }],
  ['no element', { at: 'aside' }],
  ['no declaration', { scrolled: 'colour: red' }],
  ['no logo', { scrolledLogo: 'height: 20px' }],
  ['no width', { widths: { from: 900, below: 800 } }],
])('%s is refused', (reason, options) => {
  expect(ask(FILLED, HEADER + REST, options)).toEqual({ ok: false, error: reason });
});
