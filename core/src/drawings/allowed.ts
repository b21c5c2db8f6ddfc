import { parseColour } from '../colour/colour.ts';

/*
 * What a drawing may hold (SVG 2): shapes, their paint, and what they refer to inside the drawing itself. Everything that
 * runs, loads, links, styles or moves is none of it, and whatever is not named here is left out.
 */

/** Whether an attribute's value may stand as it is. */
type Form = (value: string) => boolean;

const matches =
  (form: RegExp): Form =>
  (value) =>
    form.test(value);

/**
 * Numbers with or without a unit, apart by white space or commas. Each text is read in one way alone, so that a long one
 * that is none takes no longer: a number ends where no digit follows, and a whole one where no point does.
 */
const numbers = matches(
  /^[\s,]*(?:[+-]?(?:\d+\.\d*(?!\d)|\.\d+(?!\d)|\d+(?![\d.]))(?:e[+-]?\d+(?!\d))?(?:%|px|em|pt|mm|cm|in)?[\s,]*)*$/i,
);
const path = matches(/^[mlhvcsqtaz\d\s.,e+-]*$/i);
const transform = matches(/^\s*(?:(?:matrix|translate|scale|rotate|skewX|skewY)\s*\([\d\s.,e+-]*\)[\s,]*)*$/);
const keyword = matches(/^[a-z][a-zA-Z-]*$/);
const word = matches(/^[A-Za-z_][\w.-]{0,99}$/);
const own = matches(/^url\(#[A-Za-z_][\w.-]{0,99}\)$/);
const reference = matches(/^#[A-Za-z_][\w.-]{0,99}$/);
const family = matches(/^[\w\s,'-]{1,200}$/);

/** Colours without a link to anything: names, hashes and functions of numbers. */
const colour: Form = (value) => /^[#\w\s.,%()/+-]{1,80}$/.test(value) && parseColour(value) !== null;
const paint: Form = (value) =>
  value === 'none' || value === 'currentColor' || value === 'inherit' || own(value) || colour(value);
const ownOrNone: Form = (value) => value === 'none' || own(value);
const either =
  (...forms: readonly Form[]): Form =>
  (value) =>
    forms.some((form) => form(value));

/** How anything is painted. */
const PRESENTATION = {
  fill: paint,
  'fill-opacity': numbers,
  'fill-rule': keyword,
  stroke: paint,
  'stroke-width': numbers,
  'stroke-linecap': keyword,
  'stroke-linejoin': keyword,
  'stroke-miterlimit': numbers,
  'stroke-dasharray': either(numbers, keyword),
  'stroke-dashoffset': numbers,
  'stroke-opacity': numbers,
  'paint-order': matches(/^[a-z\s]+$/),
  'vector-effect': keyword,
  opacity: numbers,
  color: either(colour, keyword),
  display: keyword,
  visibility: keyword,
  overflow: keyword,
  'clip-path': ownOrNone,
  'clip-rule': keyword,
  mask: ownOrNone,
  'mix-blend-mode': keyword,
  'shape-rendering': keyword,
  'color-interpolation': keyword,
} as const satisfies Readonly<Record<string, Form>>;

const OF_ALL = { ...PRESENTATION, id: word, transform } as const;
const OF_TEXT = {
  x: numbers,
  y: numbers,
  dx: numbers,
  dy: numbers,
  rotate: numbers,
  textLength: numbers,
  lengthAdjust: keyword,
  'font-family': family,
  'font-size': numbers,
  'font-weight': either(numbers, keyword),
  'font-style': keyword,
  'font-stretch': keyword,
  'text-anchor': keyword,
  'dominant-baseline': keyword,
  'letter-spacing': either(numbers, keyword),
  'word-spacing': either(numbers, keyword),
} as const;
const BOX = { x: numbers, y: numbers, width: numbers, height: numbers } as const;
const VIEW = { viewBox: numbers, preserveAspectRatio: matches(/^[a-zA-Z\s]+$/) } as const;
const GRADIENT = {
  gradientUnits: keyword,
  gradientTransform: transform,
  spreadMethod: keyword,
  href: reference,
} as const;

type Attributes = Readonly<Record<string, Form>>;

/** Every element a drawing may have, with its attributes and the forms of their values. */
export const ALLOWED: ReadonlyMap<string, Attributes> = new Map<string, Attributes>([
  ['svg', { ...PRESENTATION, ...VIEW }],
  ['g', OF_ALL],
  ['defs', { id: word }],
  ['path', { ...OF_ALL, d: path, pathLength: numbers }],
  ['rect', { ...OF_ALL, ...BOX, rx: numbers, ry: numbers }],
  ['circle', { ...OF_ALL, cx: numbers, cy: numbers, r: numbers }],
  ['ellipse', { ...OF_ALL, cx: numbers, cy: numbers, rx: numbers, ry: numbers }],
  ['line', { ...OF_ALL, x1: numbers, y1: numbers, x2: numbers, y2: numbers }],
  ['polyline', { ...OF_ALL, points: numbers }],
  ['polygon', { ...OF_ALL, points: numbers }],
  ['text', { ...OF_ALL, ...OF_TEXT }],
  ['tspan', { ...OF_ALL, ...OF_TEXT }],
  ['linearGradient', { id: word, ...GRADIENT, x1: numbers, y1: numbers, x2: numbers, y2: numbers }],
  [
    'radialGradient',
    { id: word, ...GRADIENT, cx: numbers, cy: numbers, r: numbers, fx: numbers, fy: numbers, fr: numbers },
  ],
  ['stop', { offset: numbers, 'stop-color': either(colour, keyword), 'stop-opacity': numbers }],
  ['clipPath', { ...OF_ALL, clipPathUnits: keyword }],
  ['mask', { ...OF_ALL, ...BOX, maskUnits: keyword, maskContentUnits: keyword }],
  [
    'pattern',
    {
      ...OF_ALL,
      ...BOX,
      ...VIEW,
      patternUnits: keyword,
      patternContentUnits: keyword,
      patternTransform: transform,
    },
  ],
]);

/** Elements whose text shows. */
export const WITH_TEXT: ReadonlySet<string> = new Set(['text', 'tspan']);

/** Elements that others refer to: many of them in one another take long to draw. */
export const REFERRED_TO: ReadonlySet<string> = new Set(['clipPath', 'mask', 'pattern']);

/** Elements that run, load, link, move or style something, of SVG and of pages: a drawing with one is refused, not tidied. */
const HOSTILE = new Set(
  `a animate animatecolor animatemotion animatetransform applet audio base body button discard embed feimage form
  foreignobject frame frameset handler head html iframe image img input isindex link listener math meta object portal
  script select set slot source style template textarea track video`.split(/\s+/),
);

/** Whether an element that is left out makes a drawing one to refuse; what drawing programs leave behind does not. */
export const isHostileElement = (name: string): boolean =>
  HOSTILE.has(name.toLowerCase().replace(/^.*:/, ''));

/** Whether an attribute that is left out runs something or leads elsewhere. */
export function isHostileAttribute(name: string, value: string): boolean {
  const plain = name.toLowerCase().replace(/^.*:/, '');
  if (plain.startsWith('on')) return true;
  if (plain === 'href' || plain === 'src' || plain === 'action' || plain === 'formaction')
    return !reference(value);
  return /url\s*\(|\\|javascript:|data:|@import|expression/i.test(value);
}
