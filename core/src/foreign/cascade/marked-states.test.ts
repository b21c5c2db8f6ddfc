import { describe, expect, test } from '@jest/globals';
import { readForeignPage } from '../page.ts';
import { tellRules } from '../told-rules.ts';
import { markSelector, marksState, opensByPointing } from './marked-states.ts';
import type { ForeignState } from './situation.ts';

const read = (css: string, body: string) =>
  readForeignPage({ text: () => null }, 'index.html', `<!DOCTYPE html><style>${css}</style>${body}`);

function valueOf(css: string, body: string, at: string, state: ForeignState, name: string): string | null {
  const told = tellRules(read(css, body), at, state, { width: 1280, height: null });
  if ('reason' in told) throw new Error(told.reason);
  return told[0]?.properties.find((property) => property.name === name)?.value ?? null;
}

const MENU =
  '<nav><ul><li class="x is-active"><a href=/>1</a></li><li id=b><a href=/b>2</a><ul><li><a href=/c id=c>3</a></li></ul></li></ul></nav>';

describe('the current page, as the page marks it', () => {
  test.each<[string, string, string, string | null]>([
    ['by a class of what it lies in', '.is-active a { color: red }', MENU, 'red'],
    ['by an attribute', 'a[aria-current] { color: red }', '<nav id=b><a href=/>1</a></nav>', 'red'],
    [
      'by a class that rules alone know',
      'a.current { color: red }',
      '<nav id=b><a href=/>1</a></nav>',
      'red',
    ],
    ['not by what marks something else', 'a.currently { color: red }', '<nav id=b><a>1</a></nav>', null],
  ])('%s', (_, css, body, value) => {
    expect(valueOf(css, body, '#b a', 'current', 'color')).toBe(value);
    expect(valueOf(css, body, '#b a', 'rest', 'color')).toBe(null);
  });
  test('the one that was current is so no more meanwhile', () => {
    const css = 'li:not(.is-active) ~ li { color: red }';
    expect(valueOf(css, MENU, '#b', 'current', 'color')).toBe('red');
    expect(valueOf(css, MENU, '#b', 'rest', 'color')).toBe(null);
  });
});

describe('what is open, as the page marks it', () => {
  test.each<[string, string, string, string]>([
    ['by a class around it', 'ul ul { display: none } .open > ul { display: flex }', MENU, '#b ul'],
    ['by pointing', 'ul ul { display: none } li:hover > ul { display: flex }', MENU, '#b ul'],
    ['by focus within', 'ul ul { display: none } li:focus-within > ul { display: flex }', MENU, '#b ul'],
    [
      'by its button',
      '.s { display: none } [aria-expanded=true] + .s { display: flex }',
      '<nav><button aria-expanded=false>x</button><div class=s></div></nav>',
      '.s',
    ],
    [
      'by a box that is ticked',
      '.s { display: none } :checked ~ .s { display: flex }',
      '<nav><input type=checkbox><div class=s></div></nav>',
      '.s',
    ],
    [
      'by details',
      '.s { display: none } details[open] .s { display: flex }',
      '<nav><details><summary>x</summary><div class=s></div></details></nav>',
      '.s',
    ],
    [
      'by a class of its own',
      '.s { display: none } .s.is-visible { display: flex }',
      '<nav><div class=s></div></nav>',
      '.s',
    ],
  ])('%s', (_, css, body, at) => {
    expect(valueOf(css, body, at, 'open', 'display')).toBe('flex');
    expect(valueOf(css, body, at, 'rest', 'display')).toBe('none');
  });
  test('the link that opens a menu by pointing is not pointed at itself', () => {
    const css = 'ul ul { display: none } li:hover > ul { display: flex } a:hover { color: red }';
    expect(valueOf(css, MENU, '#c', 'open', 'color')).toBe(null);
    expect(opensByPointing(read(css, MENU)).value).toBe(true);
    expect(opensByPointing(read('li:hover { display: flex } a:hover b { color: red }', MENU)).value).toBe(
      false,
    );
  });
});

test.each<[string, string, string, 'current' | 'open', string | null]>([
  ['.is-active a {}', MENU, '#b a', 'current', ':is(.is-active *)'],
  ['', '<nav><a class=on>0</a><a class="a selected">1</a><a id=b>2</a></nav>', '#b', 'current', '.selected'],
  ['', '<nav><a aria-current=page>1</a><a id=b>2</a></nav>', '#b', 'current', '[aria-current="page"]'],
  ['.here b {}', '<nav><a id=b>2</a></nav>', '#b', 'current', ':is(.here *)'],
  ['', '<nav><a id=b>2</a></nav>', '#b', 'current', '[aria-current="page"]'],
  ['', '<nav><a id=b aria-expanded=false>2</a></nav>', '#b', 'open', '[aria-expanded="true"]'],
  ['.menu.is-open {}', '<nav><ul id=b class=menu></ul></nav>', '#b', 'open', '.is-open'],
  ['.is-open .menu {}', '<nav><ul id=b class=menu></ul></nav>', '#b', 'open', ':is(.is-open *)'],
  ['', '<nav><ul id=b></ul></nav>', '#b', 'open', null],
])('with %j in %j, %s is told %s by %j', (css, body, at, state, selector) => {
  const page = read(css === '' ? '' : `${css.replace('{}', '{ color: red }')}`, body);
  const [element] = page.matcher.select(at, page.elements)?.elements ?? [];
  expect(element && markSelector(page, element, state)).toBe(selector);
});

test('a page says whether its rules look for a mark', () => {
  const page = read('.active { color: red } .opening { color: red }', '<nav></nav>');
  expect([marksState(page, 'current'), marksState(page, 'open')]).toEqual([true, false]);
  expect(marksState(read('a[aria-expanded="true"] { color: red }', ''), 'open')).toBe(true);
});
