import { describe, expect, test } from '@jest/globals';
import { readForeignPage } from '../page.ts';
import type { PageChange } from './page-change.ts';
import { restyle, type RestyleOptions } from './restyle.ts';

const NAV =
  '<nav class="n"><a href="/" class="l">Boats</a> <a href="/x" class="l" id="x">Lessons</a></nav><p><a>x</a></p>';

const change = (css: string, options: Partial<RestyleOptions>, body = NAV) => {
  const files = { text: (path: string) => (path === 'a.css' ? css : null) };
  const html = `<!DOCTYPE html><link rel=stylesheet href=a.css>${body}`;
  const page = readForeignPage(files, 'index.html', html);
  return restyle(page, files, { at: '.n a', state: 'rest', set: 'color: #063', inPlace: false, ...options });
};

const done = (...args: Parameters<typeof change>): PageChange => {
  const made = change(...args);
  if (!made.ok) throw new Error(made.error);
  return made.value;
};

describe('an added stylesheet wins, and no more strongly than it must', () => {
  test.each<[string, string, Partial<RestyleOptions>, string]>([
    ['over the same selector', '.n a { color: red }', {}, '.n a'],
    ['over a stronger one', '.n .l { color: red }', {}, ':root .n a'],
    ['over an id', '#x { color: red }', {}, ':root:not(#_) .n a'],
    ['in a state', '.n a:hover { color: red }', { state: 'hover' }, '.n a:hover'],
    ['in a state that nobody styled', '', { state: 'focus' }, '.n a:focus-visible'],
    ['beside a state, which goes on', '.n a { color: red } a:hover { color: blue }', {}, '.n a:not(:hover)'],
    [
      'in a pseudo-element',
      '.n a::after { content: "" }',
      { at: '.n a::after', state: 'hover' },
      '.n a:hover::after',
    ],
    ['in a list', '', { at: '.n a, p a' }, '.n a, p a'],
  ])('%s', (_, css, options, selector) => {
    const made = done(css, options);
    expect(made.added).toBe(`${selector} {\n  color: #063;\n}\n`);
    expect(made.sideEffects).toEqual([]);
  });

  test('over what is important, and over a style attribute, by being so itself', () => {
    expect(done('.l { color: red !important }', {}).added).toContain('#063 !important');
    const body = '<nav class="n"><a style="color: red">x</a></nav>';
    expect(done('', {}, body)).toMatchObject({
      added: '.n a {\n  color: #063 !important;\n}\n',
      sideEffects: [],
    });
  });

  test('a state without a value of its own goes on having the one at rest', () => {
    const made = done('.n a { color: red } .n a:hover { opacity: .5 }', {});
    expect(made.sideEffects).toEqual([]);
    expect(new Set(made.changed.map(({ state }) => state))).toEqual(new Set(['rest', 'hover', 'focus']));
  });
});

describe('in place', () => {
  const sheetOf = ({ files }: PageChange) => files.get('a.css');
  test('a value of the rule is another one, in that rule', () => {
    const css = '/* nav */\r\n.n a { color : red; padding:0 }\r\n';
    const made = done(css, { inPlace: true });
    expect(sheetOf(made)).toBe('/* nav */\r\n.n a { color : #063; padding:0 }\r\n');
    expect([made.added, made.sideEffects]).toEqual([null, []]);
  });
  test('what a rule never said is added to it, as its lines are written', () => {
    const css = '.n a:hover {\n  color: red;\n}\n';
    expect(sheetOf(done(css, { state: 'hover', set: 'background: #063; outline: 0', inPlace: true }))).toBe(
      '.n a:hover {\n  color: red;\n  background: #063;\n  outline: 0;\n}\n',
    );
  });
  test('a state that has no rule gets one beside that of rest', () => {
    const css = '.n a { color: red }\np { margin: 0 }\n';
    expect(sheetOf(done(css, { state: 'focus', set: 'outline: 2px solid', inPlace: true }))).toBe(
      '.n a { color: red }\n.n a:focus-visible {\n  outline: 2px solid;\n}\np { margin: 0 }\n',
    );
  });
  test('a rule that reaches further is left alone', () => {
    const made = done('a { color: red }', { inPlace: true });
    expect(sheetOf(made)).toBe('a { color: red }\n.n a {\n  color: #063;\n}');
    expect(made.sideEffects).toEqual([]);
  });
});

describe('states that a page marks itself', () => {
  const MARKED =
    '<nav class="n"><a href="/" class="l is-active">Boats</a> <a href="/x" class="l">Lessons</a></nav>';
  test.each<[string, string, Partial<RestyleOptions>, string, string]>([
    ['pressed', '.n a:hover { color: red }', { state: 'pressed' }, '.n a:active', NAV],
    ['the current page', '.n .is-active { color: red }', { state: 'current' }, '.n a.is-active', MARKED],
    ['the current page that nothing marks', '', { state: 'current' }, '.n a[aria-current="page"]', NAV],
    ['open', '.n.open a { color: red }', { state: 'open' }, '.n a:is(.open *)', NAV],
  ])('%s', (_, css, options, selector, body) => {
    const made = done(css, options, body);
    expect(made.added).toBe(`${selector} {\n  color: #063;\n}\n`);
    expect(made.sideEffects).toEqual([]);
    expect(new Set(made.changed.map(({ state }) => state))).toContain(options.state);
  });
  test('the rule of the current page is changed in place, and no other', () => {
    const css = '.n a { color: red }\n.n .is-active { color: blue }\n';
    const made = done(css, { state: 'current', inPlace: true }, MARKED);
    expect(made.files.get('a.css')).toBe('.n a { color: red }\n.n .is-active { color: #063 }\n');
    expect(made.sideEffects).toEqual([]);
  });
  test('what is asked of the current page at rest, among others, is asked of all that are current', () => {
    const made = done('.n .is-active { color: blue }', {}, MARKED);
    expect(made.added).toBe(':root .n a {\n  color: #063;\n}\n');
    expect(made.sideEffects).toEqual([]);
    const alone = done('.n .is-active { color: blue }', { at: '.n a[href="/x"]' }, MARKED);
    expect(alone.added).toBe('.n a[href="/x"] {\n  color: #063;\n}\n');
  });
  test('what opens by pointing alone has no mark', () => {
    expect(change('.n li:hover ul { display: block }', { state: 'open' })).toEqual({
      ok: false,
      error: 'no mark',
    });
  });
});

describe('within a media query', () => {
  const css = '.n a { color: red }\n@media (min-width: 60em) { .n a { color: blue } }\n';
  test.each([
    ['the windows that are always looked at', '(min-width: 60em)', [1280]],
    ['a window between them', '(min-width: 500px) and (max-width: 600px)', [500]],
  ])('it holds there alone: %s', (_, media, widths) => {
    const made = done(css, { media: [media] });
    expect(made.added).toBe(`@media ${media} {\n  .n a {\n    color: #063;\n  }\n}\n`);
    expect(made.sideEffects).toEqual([]);
    expect([...new Set(made.changed.map(({ width }) => width))]).toEqual(widths);
  });
  test('in place it is the rule there that changes', () => {
    const made = done(css, { media: ['(min-width: 60em)'], inPlace: true });
    expect(made.files.get('a.css')).toBe(css.replace('blue', '#063'));
    expect(made.sideEffects).toEqual([]);
  });
  test('a window that cannot be is refused', () => {
    expect(change(css, { media: ['(min-width: 60em) and (max-width: 20em)'] })).toEqual({
      ok: false,
      error: 'no window',
    });
  });
});

describe('what others have from what changes', () => {
  const body = '<nav class="n"><p><a href=/>1</a> <b>2</b> <i class=i>3</i><u>4</u></p></nav>';
  const changedOf = (css: string, options: Partial<RestyleOptions>) =>
    done(css, options, body)
      .changed.filter(({ state, width }) => state === 'rest' && width === 390)
      .map(
        ({ element, property, before, after }) =>
          `${element.split(' > ').at(-1)} ${property}: ${before} > ${after}`,
      );
  test('is told, but where something of their own is said of them, or the browser says it', () => {
    const css = '.n { color: red } .i { color: blue } u { border-top: 1px solid }';
    expect(changedOf(css, { at: '.n' })).toEqual([
      'nav color: red > #063',
      'p color: red > #063',
      'b color: red > #063',
      'u color: red > #063',
      'u border-top-color: red > #063',
    ]);
    expect(done(css, { at: '.n' }, body).sideEffects).toEqual([]);
  });
  test('is told where they take it over in so many words', () => {
    expect(changedOf('.n { color: red } a { color: inherit }', { at: '.n' })).toContain(
      'a color: red > #063',
    );
  });
  test('begins with what they had from further out', () => {
    expect(changedOf('body { color: red }', { at: '.n' })).toContain('p color: red > #063');
  });
});

test('what was not asked for is told', () => {
  // An id of the page's own that is important wins over everything else.
  const body = '<nav class="n"><a style="color: red !important">x</a></nav>';
  const made = done('', {}, body);
  expect(made.sideEffects).toContainEqual(
    expect.objectContaining({ property: 'color', before: 'red', after: 'red' }),
  );
});

test('what cannot be done is said', () => {
  expect(change('', { at: 'a::bogus(' })).toEqual({ ok: false, error: 'no selector' });
  expect(change('', { at: 'video' })).toEqual({ ok: false, error: 'no element' });
  expect(change('', { set: 'colour: red; color: rde' })).toEqual({ ok: false, error: 'no declaration' });
});
