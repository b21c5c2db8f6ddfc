import { PROPERTIES } from '../../kinds/properties/properties.ts';
import { loadSite } from '../../load/load-site.ts';
import { expect, test } from '@jest/globals';
import { compilePage, rawDemo } from '../../../test/demo.ts';
import { acceptsValue } from '../accepts.ts';
import { DECLARATIONS, readDeclarations } from './declarations.ts';

const NAMES = { palette: [], typefaces: [] };
const parse = (text: string) => DECLARATIONS.parse(PROPERTIES.ownCss, text, NAMES);

const READ: readonly (readonly [typed: string, printed: string])[] = [
  ['rotate:2deg', 'rotate: 2deg'],
  [' Letter-Spacing : .1em ; ; rotate:  2deg ;', 'letter-spacing: .1em; rotate: 2deg'],
  ['content: "a; b } c"', 'content: "a; b } c"'],
  ['content: "</style>"', 'content: "\\3c /style>"'],
  ["background: url('/reed.png') no-repeat", 'background: url("/reed.png") no-repeat'],
  ['background-image: url(/reed.png)', 'background-image: url("/reed.png")'],
  ['mask: url(#wave)', 'mask: url("#wave")'],
  ['--Tone: calm, [a b] calc(1px + 2px)', '--Tone: calm, [a b] calc(1px + 2px)'],
  ['color: rgb(1 2 3 / 50%) !important', 'color: rgb(1 2 3 / 50%) !important'],
  ['content: "a  b"/**/   attr(x)', 'content: "a  b" attr(x)'],
  ['content: "<  x"', 'content: "\\3c   x"'],
  ['font-family: a\\3c  b', 'font-family: a\\3c  b'],
  ['rotate: 2deg /* a little; more */; scale: 1', 'rotate: 2deg; scale: 1'],
  ['/* first */ rotate: 2deg', 'rotate: 2deg'],
  ['-webkit-text-stroke: 1px', '-webkit-text-stroke: 1px'],
  ['width: calc((1px + 2px) * 3)', 'width: calc((1px + 2px) * 3)'],
  ['none', ''],
];

const REFUSED: readonly (readonly [typed: string, reason: RegExp])[] = [
  ['color: red } body { color: blue', /bracket \}/],
  ['} * { color: red', /bracket \}/],
  ['color: red; a { b: c }', /colon|bracket|name/],
  ['&:hover { color: red }', /bracket \{/],
  ['@import "x.css"', /begins with @/],
  ['color: @x', /begins with @/],
  ['background: url(javascript:alert(1))', /read/],
  ['background: url(javascript:alert)', /address/],
  ['background: url("javascript:alert(1)")', /address/],
  ['background: url( "JaVaScRiPt:alert(1)" )', /address/],
  ['background: url(data:text/html,hi)', /address/],
  ['background: image-set("javascript:x" 1x)', /address/],
  ['color: red /* never closed', /comment/],
  ['content: "never closed', /quotes|finished/],
  ['content: "broken\nline"', /quotes|finished/],
  ['width: expression(alert(1))', /script/],
  ['behavior: url(x.htc)', /runs/],
  ['-moz-binding: url(x.xml#y)', /runs/],
  ['width: calc(1px', /bracket/],
  ['width: 1px)', /bracket/],
  ['width: [1px)', /bracket/],
  ['color', /colon/],
  ['color red', /colon/],
  ['color:', /no value/],
  [': red', /not the name/],
  ['1color: red', /not the name/],
  ['color: <!-- red', /may not/],
  ['color: </style><script>alert(1)</script>', /may not/],
  ['color: re\\', /sign|finished/],
  ['a'.repeat(5000) + ': b', /longer/],
  [Array.from({ length: 101 }, (_, index) => `--n${index}: 1`).join(';'), /more than/],
];

test.each(READ)('%p is read and printed as %p, which reads as itself', (typed, printed) => {
  const read = parse(typed);
  expect(read).toEqual({ ok: true, value: printed });
  expect(acceptsValue(PROPERTIES.ownCss, printed)).toBe(true);
  if (printed !== '') expect(parse(printed)).toEqual({ ok: true, value: printed });
});

test.each(REFUSED)('%p is refused with the reason', (typed, reason) => {
  const read = parse(typed);
  expect(read.ok ? read.value : read.error).toMatch(reason);
  expect(read.ok).toBe(false);
  expect(acceptsValue(PROPERTIES.ownCss, typed)).toBe(false);
});

test('whatever is strewn between declarations, nothing ends their block', () => {
  const pieces = [
    '}',
    '{',
    '@media',
    '"',
    "'",
    '/*',
    '*/',
    '\\',
    'url(',
    ')',
    '(',
    ';',
    ':',
    '<',
    'a',
    ' ',
    '\n',
  ];
  let taken = 0;
  let seed = 7;
  for (let round = 0; round < 4000; round++) {
    let text = 'color: red;';
    for (let count = 0; count < 6; count++) {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      text += pieces[seed % pieces.length] ?? '';
    }
    const read = readDeclarations(text);
    if (!read.ok) continue;
    taken++;
    for (const [name, value] of read.value) {
      expect(name).toMatch(/^[\w-]+$/);
      expect(value.replace(/"[^"\n]*"/g, '')).not.toMatch(/[{}@;<\\]|\/\*|\*\//);
    }
  }
  expect(taken).toBeGreaterThan(10);
});

test('own declarations stand behind what the sheet says, by state, band and link, and never move those who want none', () => {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a raw document is changed
  const raw = rawDemo() as any;
  const menu = raw.pieces[0].rows[0].zones.middle[0];
  const said = (own: string) => ({ all: { ownCss: own } });
  menu.look.link.all = { rest: said('color: teal; transition: none'), hover: said('rotate: 3deg') };
  menu.look.link['@link1'] = { rest: { phone: { ownCss: 'padding-left: 3px' } } };
  const loaded = loadSite(raw);
  if (!loaded.ok) throw new Error(loaded.error[0]?.message);
  const { stylesheet } = compilePage(loaded.value);
  const link = stylesheet.lastIndexOf('color: teal;');
  expect(stylesheet.slice(0, link)).toMatch(/-link \{[^}]*$/);
  expect(stylesheet).toMatch(/:hover[^{}]*\{\n\s*rotate: 3deg;/);
  expect(stylesheet).toMatch(/prefers-reduced-motion: no-preference\) \{[^{}]*\{\n\s*transition: none;/);
  expect(stylesheet).toMatch(/hm-main-visit>\*\) \{\n\s*padding-left: 3px;/);
});

test('a document whose own declarations would leave their block is refused', () => {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a raw document is changed
  const raw = rawDemo() as any;
  raw.pieces[0].rows[0].zones.middle[0].look.link.all = { rest: { all: { ownCss: 'a: b } c { d: e' } } };
  const loaded = loadSite(raw);
  expect(loaded.ok).toBe(false);
  if (!loaded.ok) expect(loaded.error[0]?.path).toMatch(/ownCss$/);
});
