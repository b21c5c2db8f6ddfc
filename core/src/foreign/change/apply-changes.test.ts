import { describe, expect, test } from '@jest/globals';
import { readForeignPage } from '../page.ts';
import { applyChanges, type PageWish } from './apply-changes.ts';
import { colourPlaces } from './colour-places.ts';

const HTML =
  '<link rel=stylesheet href=a.css><header><nav><a href=/ style="color: #00F">1</a><a class=b>2</a></nav></header><main><p>1<p>2<p>3</main>';
const CSS =
  ':root { --blue: blue }\nnav a { border: 1px solid rgb(0 0 255); background: var(--blue) }\n.b:hover { color: hsl(240 100% 50%) }\n.none { color: blue }\n@media (width > 9px) { .b { color: blue } }';
const files = { text: (path: string) => (path === 'a.css' ? CSS : path === 'index.html' ? HTML : null) };
const page = () => readForeignPage(files, 'index.html', HTML);
const apply = (wishes: readonly PageWish[], inPlace = false) =>
  applyChanges(files, 'index.html', HTML, wishes, inPlace);

const RED: PageWish = { id: 'red', at: 'nav a', state: 'rest', media: '', set: 'padding: 3px' };
const BLUE: PageWish = { id: 'blue', from: '#0000ff', to: '#063', within: '', only: '' };
const STAYS: PageWish = {
  id: 'stays',
  at: 'header',
  sticking: 'hides',
  after: 1,
  coming: 'slides',
  above: 0,
  below: 0,
  scrolled: '',
  scrolledLogo: '',
  height: 40,
  hangs: false,
  ways: '',
};

test('a colour is found in any notation wherever it reaches something, with what it styles', () => {
  const places = colourPlaces(page(), 'rgb(0, 0, 255)');
  expect(
    places.map(({ selector, property, value }) => `${selector ?? 'style'} ${property}: ${value}`),
  ).toEqual([
    ':root --blue: blue',
    'nav a border: 1px solid rgb(0 0 255)',
    '.b:hover color: hsl(240 100% 50%)',
    '.b color: blue',
    'style color: #00F',
  ]);
  expect(places.map(({ elements }) => elements.length)).toEqual([1, 2, 1, 1, 1]);
  expect(places[3]?.conditions).toEqual(['@media (width > 9px)']);
  expect(places[1]).toMatchObject({ file: 'a.css', line: 2 });
  expect(colourPlaces(page(), 'no colour')).toEqual([]);
});

describe('changes of a page', () => {
  test('are made one after the other, in one added stylesheet, linked to once', () => {
    const { files: changed, applied } = apply([RED, BLUE, STAYS]);
    expect(applied.map(({ id, refusal, sideEffects }) => [id, refusal, sideEffects])).toEqual([
      ['red', null, []],
      ['blue', null, []],
      ['stays', null, []],
    ]);
    expect([...changed.keys()].sort()).toEqual(['added.css', 'added.js', 'index.html']);
    expect(changed.get('index.html')?.match(/added\.css/g)).toHaveLength(1);
    expect(changed.get('index.html')?.match(/added\.js/g)).toHaveLength(1);
    const added = changed.get('added.css') ?? '';
    expect(added.indexOf('padding: 3px')).toBeLessThan(added.indexOf('#063'));
    expect(added.indexOf('#063')).toBeLessThan(added.indexOf('position: sticky'));
  });
  test('in place leave every other byte', () => {
    const { files: changed } = apply([BLUE], true);
    expect(changed.get('a.css')).toBe(
      CSS.replace('--blue: blue', '--blue: #063')
        .replace('rgb(0 0 255)', '#063')
        .replace('hsl(240 100% 50%)', '#063')
        .replaceAll('color: blue', 'color: #063'),
    );
    expect(changed.get('index.html')).toBe(HTML.replace('#00F', '#063'));
  });
  test('of some places alone leave the others, and nothing else is told as changed', () => {
    const places = colourPlaces(page(), 'blue');
    const { files: changed, applied } = apply([{ ...BLUE, only: places[3]?.key ?? '' }], true);
    expect(changed.get('a.css')).toBe(CSS.replace('.b { color: blue }', '.b { color: #063 }'));
    expect(applied[0]).toMatchObject({ refusal: null, sideEffects: [] });
    expect(new Set(applied[0]?.changed.map(({ property }) => property))).toEqual(new Set(['color']));
  });
  test('that cannot be made any more are told and left out', () => {
    const { applied, files: changed } = apply([{ ...BLUE, from: 'plum' }, { ...RED, at: '.gone' }, RED]);
    expect(applied.map(({ refusal }) => refusal)).toEqual(['not there', 'no element', null]);
    expect(changed.get('added.css')).toContain('padding: 3px');
  });
  test('take the way out that was chosen', () => {
    const html = HTML.replace('<header>', '<div class=top><p>Open</p><header>').replace(
      '</header>',
      '</header></div>',
    );
    const wish = { ...STAYS, ways: 'short box: around' };
    const { applied } = applyChanges(
      { text: (path) => (path === 'a.css' ? CSS : null) },
      'index.html',
      html,
      [wish],
      false,
    );
    const ways = applied[0]?.obstacles.find(({ kind }) => kind === 'short box')?.ways;
    expect(ways?.map(({ id, taken }) => [id, taken])).toEqual([
      ['no box', false],
      ['around', true],
    ]);
  });
  test('none change nothing', () => {
    expect(apply([])).toEqual({ files: new Map(), applied: [] });
  });
});
