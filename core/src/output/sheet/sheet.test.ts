import { describe, expect, test } from '@jest/globals';
import { compilePage, DEMO, FONTS, MARISMA } from '../../../test/demo.ts';
import { looking } from '../../../test/pieces.ts';
import { randomSite, seeded, wholeSite } from '../../../test/random-site.ts';
import { element, shared, styleRule, type ConditionalRule, type HtmlNode } from '../../print/trees.ts';
import { compileSite } from '../compile-site.ts';
import { createNames } from '../names.ts';
import { blockPlace } from './block-place.ts';
import { elementSorts } from './elements.ts';
import { Precedence } from './ordered.ts';
import { printBlock } from './print-sheet.ts';
import { familyOf } from './property-families.ts';
import { selectorParts } from './selector-parts.ts';
import { arrangeBlocks } from './sheet.ts';

const names = createNames(DEMO, 'hm-');
const LINK = `.${names.slotClass('menu-main', 'link')}`;
const LIST = `.${names.slotClass('menu-main', 'list')}`;
const SUBMENU = `.${names.slotClass('menu-main', 'submenu')}`;
names.slotClass('header', 'header');
const ROOT = '.hm-marisma:not(#hm)';

const NODES: readonly HtmlNode[] = [
  element(
    'ul',
    { class: LIST.slice(1) },
    element(
      'li',
      {},
      element('a', { class: `${LINK.slice(1)} hm-kept` }),
      element('ul', { class: SUBMENU.slice(1) }, element('li', {})),
    ),
  ),
];

const printed = (rules: readonly ConditionalRule[]) =>
  arrangeBlocks(
    rules,
    names,
    elementSorts(NODES),
    () => null,
    ({ rule }) => rule,
  )
    .map((block) => printBlock(block, rules, ''))
    .join('');

describe('a selector', () => {
  test.each([
    [ROOT, 10_100],
    [`${ROOT} ${LINK}`, 10_200],
    [`${ROOT} ${LINK}:where(:hover,.a>*)`, 10_200],
    [`${ROOT}[data-hm-ready] ${LIST}>li:has(>[data-x])::before`, 10_402],
    [`${ROOT} :not(svg, svg *)`, 10_101],
    [`html:has(.hm-marisma.hm-panel:modal)`, 301],
    ['li:nth-child(n + 12)', 101],
  ])('%s weighs %i', (selector, weight) => {
    expect(selectorParts(selector).weight).toBe(weight);
  });
  test.each([
    [ROOT, '', '&'],
    [
      `.hm-marisma.hm-header:not(#hm):where([data-hm-scrolled])`,
      '&.hm-header',
      '&:where([data-hm-scrolled])',
    ],
    [`.hm-marisma.hm-header:not(#hm) nav li>ul`, '&.hm-header', 'nav li > ul'],
    [`${ROOT} :focus-visible`, ':focus-visible', '&'],
    [`${ROOT} ${LINK}`, LINK, '&'],
    [`${ROOT} ${LINK}:where(:hover)::after`, LINK, '&:where(:hover)::after'],
    [`${ROOT} ${LIST}>li`, LIST, '> li'],
    [`${ROOT} button${LINK}`, LINK, '&:is(button)'],
    [`${ROOT} ${SUBMENU} ${LINK}`, LINK, `${SUBMENU} &`],
    [
      `${ROOT}[data-hm-ready] ${SUBMENU}:not([data-hm-open])`,
      SUBMENU,
      '[data-hm-ready] &:not([data-hm-open])',
    ],
    [
      `${ROOT}:not([data-hm-ready]) li:hover>${SUBMENU}`,
      SUBMENU,
      '.hm-marisma:not([data-hm-ready]) li:hover > &',
    ],
    [`.hm-marisma.hm-header:not(#hm) ${LIST}>li`, LIST, '.hm-header & > li'],
    [`html:has(${ROOT})`, 'page', `html:has(${ROOT})`],
  ])('%s stands in the block %s as %s', (selector, block, nested) => {
    expect(blockPlace(selector, names)).toMatchObject({ block, nested });
  });
});

describe('blocks', () => {
  const at = (selector: string) => `${ROOT} ${selector}`;
  test('gather what is said of an element, states and widths in it', () => {
    expect(
      printed([
        styleRule(at(LINK), [['display', 'flex']]),
        styleRule(at(LIST), [['gap', '0']]),
        styleRule(at(LINK), [['color', 'red']]),
        styleRule(at(LINK), [['color', 'blue']], '@media (width < 700px)'),
        styleRule(at(`${LINK}:where(:hover)`), [['color', 'green']], '@media (hover: hover)'),
      ]),
    ).toBe(
      `${LINK} {\n  display: flex;\n  color: red;\n  @media (width < 700px) {\n    color: blue;\n  }\n  @media (hover: hover) {\n    &:where(:hover) {\n      color: green;\n    }\n  }\n}\n${LIST} {\n  gap: 0;\n}\n`,
    );
  });
  test('keep what wins winning: nothing is moved past a rival of the same weight', () => {
    const rules = [
      styleRule(at(LINK), [['color', 'red']]),
      styleRule(at('.hm-kept'), [['color', 'blue']]),
      styleRule(at(LINK), [['color', 'green']]),
    ];
    expect(printed(rules)).toBe(
      `${LINK} {\n  color: red;\n}\n.hm-kept {\n  color: blue;\n}\n${LINK} {\n  color: green;\n}\n`,
    );
    const apart = rules.map((rule, index) =>
      index === 1 ? styleRule(at('.hm-kept'), [['gap', '0']]) : rule,
    );
    expect(printed(apart)).toBe(`${LINK} {\n  color: green;\n}\n.hm-kept {\n  gap: 0;\n}\n`);
  });
  test('say what a designer wrote where it stands, with what browsers may fall back to', () => {
    const own = {
      ...styleRule(at(LINK), [
        ['color', 'red'],
        ['color', 'oklch(1 0 0)'],
      ]),
      stays: true,
    };
    expect(printed([styleRule(at(LINK), [['color', 'blue']]), own])).toBe(
      `${LINK} {\n  color: blue;\n  color: red;\n  color: oklch(1 0 0);\n}\n`,
    );
  });
  test('join neighbours that say the same, and lists of what has no name stay lists', () => {
    expect(
      printed([
        styleRule(`${at('svg')}, ${at('svg *')}`, [['all', 'unset']]),
        styleRule(`${at(`${LINK}:where(:hover)`)}, ${at(`${LINK}:where(:focus)`)}`, [['color', 'red']]),
      ]),
    ).toBe(
      `svg,\nsvg * {\n  all: unset;\n}\n${LINK} {\n  &:where(:hover),\n  &:where(:focus) {\n    color: red;\n  }\n}\n`,
    );
  });
  test('say once what several share under one name, as far as they say the same', () => {
    const flex = [['display', 'flex']] as const;
    const list = [
      ...shared('Lists', [styleRule(at(LIST), flex), styleRule(at(`${LIST}>li`), [['gap', '0']])]),
      ...shared('Lists', [styleRule(at(SUBMENU), flex), styleRule(at(`${SUBMENU}>li`), [['gap', '0']])]),
      styleRule(at(SUBMENU), [['color', 'red']]),
    ];
    expect(printed(list)).toBe(
      `${LIST},\n${SUBMENU} {\n  display: flex;\n  > li {\n    gap: 0;\n  }\n}\n${SUBMENU} {\n  color: red;\n}\n`,
    );
    // One that says more stands by itself, with all it says.
    const other = list.map((rule, index) =>
      index === 3 ? styleRule(at(`${SUBMENU}>li`), [['gap', '1px']]) : rule,
    );
    expect(printed(other)).toContain(`${LIST} {\n  display: flex;\n  > li {`);
  });
  test('of a piece that say the same all over are one', () => {
    const { stylesheet } = compilePage(MARISMA, { flat: false });
    expect(stylesheet).toMatch(
      /\.hm-footer-visit-link,\n {2}\.hm-footer-birds-link,\n {2}\.hm-footer-learn-link,\n {2}\.hm-footer-join-in-link \{/,
    );
    const changed = looking(MARISMA, { owner: 'menu2', slot: 'link', property: 'size', value: 17 });
    expect(compilePage(changed, { flat: false }).stylesheet).toMatch(/^ {2}\.hm-footer-birds-link \{\n/m);
  });
  test('know that lists of one sort inside different elements are different ones', () => {
    const { matching } = elementSorts(NODES);
    const sortsOf = (selector: string) => matching(selectorParts(selector).compounds);
    expect(sortsOf(`${LIST}>li`)).not.toEqual(sortsOf(`${SUBMENU}>li`));
    expect(sortsOf(`${LIST} li`)).toHaveLength(2);
    expect(sortsOf('.hm-none')).toEqual([]);
  });
});

test('an order heeds what has to come first, and leaves out what goes round in circles', () => {
  const order = (pairs: readonly (readonly [number, number])[], count: number) => {
    const precedence = new Precedence();
    for (const [a, b] of pairs) precedence.note(a, b);
    return precedence.order(count);
  };
  expect(order([], 3)).toEqual([0, 1, 2]);
  expect(order([[2, 0]], 3)).toEqual([1, 2, 0]);
  expect(
    order(
      [
        [0, 1],
        [1, 0],
        [1, 2],
      ],
      4,
    ),
  ).toEqual([3]);
});

test.each([
  ['padding-inline', 'padding'],
  ['width', 'size'],
  ['max-inline-size', 'max-size'],
  ['inset-block-start', 'inset'],
  ['top', 'inset'],
  ['flex-grow', 'flex'],
  ['flex-direction', 'flex-flow'],
  ['row-gap', 'gap'],
  ['justify-content', 'align'],
  ['place-items', 'align'],
  ['line-height', 'font'],
  ['--hm-x', '--hm-x'],
  ['all', null],
])('%s is of the family %s', (property, family) => {
  expect(familyOf(property)).toBe(family);
});

describe('a whole sheet', () => {
  const sites = () => [DEMO, MARISMA, wholeSite(), ...[1, 2, 3].map((seed) => randomSite(seeded(seed)))];
  test('has one block an element, in one root', () => {
    for (const site of [DEMO, MARISMA]) {
      const { stylesheet } = compilePage(site, { flat: false });
      expect(stylesheet.match(/^\.hm-marisma:not\(#hm\) \{$/gm)).toHaveLength(1);
      const own = stylesheet.slice(stylesheet.indexOf('/* Header -'));
      const blocks = [...own.matchAll(/^ {2}([.&][^\n]*)(?: \{|,)$/gm)].map(([, selector]) => selector);
      expect(blocks.length).toBeGreaterThan(15);
      expect(new Set(blocks).size).toBe(blocks.length);
    }
  });
  test('says the same nested and flat, declaration by declaration', () => {
    for (const site of sites()) {
      const [nested, flat] = [false, true].map(
        (isFlat) => compileSite(site, { fonts: FONTS, flat: isFlat }).stylesheet,
      );
      const said = (text = '') =>
        [...text.matchAll(/^\s*((?!\/\*)[a-z-]+): ([^;]+);$/gm)]
          .map(([, name, value]) => `${name}: ${value}`)
          .sort();
      expect(new Set(said(nested))).toEqual(new Set(said(flat)));
      expect(flat).not.toMatch(/^\s*&/m);
    }
  });
  test('names of designers end no comment', () => {
    const site = { ...DEMO, pieces: DEMO.pieces.map((piece) => ({ ...piece, name: 'a */ } </style> {' })) };
    const { stylesheet } = compilePage(site, { flat: false });
    expect(stylesheet).toContain('/* a * / }  /style> {');
    expect(stylesheet).not.toContain('</style');
  });
});
