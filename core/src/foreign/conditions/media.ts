import { parse, type CssNode } from 'css-tree';
import { memoiseText } from '../../base/memo.ts';
import { every, judgeCondition, not, some, type Truth } from './truth.ts';

/** The window a page stands in, in px; what is null is not known. */
export interface Viewport {
  readonly width: number;
  readonly height: number | null;
}

/** Px of one unit. In media queries, font-relative units are of the browser's own text size (Media Queries 4, 1.3). */
const UNITS: ReadonlyMap<string, number> = new Map([
  ['px', 1],
  ['em', 16],
  ['rem', 16],
  ['pt', 96 / 72],
  ['pc', 16],
  ['in', 96],
  ['cm', 96 / 2.54],
  ['mm', 96 / 25.4],
  ['q', 96 / 101.6],
]);

/** A screen with a mouse and no wishes: what designers look at. Words that a feature has, beside the ones that are numbers;
 * features that Chromium does not know hold nowhere. */
const WORDS: ReadonlyMap<string, string> = new Map([
  ['any-hover', 'hover'],
  ['any-pointer', 'fine'],
  ['color-gamut', 'srgb'],
  ['display-mode', 'browser'],
  ['dynamic-range', 'standard'],
  ['forced-colors', 'none'],
  ['grid', '0'],
  ['hover', 'hover'],
  ['overflow-block', 'scroll'],
  ['overflow-inline', 'scroll'],
  ['pointer', 'fine'],
  ['prefers-color-scheme', 'light'],
  ['prefers-contrast', 'no-preference'],
  ['prefers-reduced-motion', 'no-preference'],
  ['prefers-reduced-transparency', 'no-preference'],
  ['scripting', 'enabled'],
  ['update', 'fast'],
]);

/** Without a value, a feature asks whether there is any of it. */
const NOTHING = new Set(['none', 'no-preference', '0']);

const FLIPPED: Readonly<Record<string, string>> = { '<': '>', '<=': '>=', '>': '<', '>=': '<=', '=': '=' };

function numberOf(node: CssNode | null): number | null {
  switch (node?.type) {
    case 'Number':
      return Number(node.value);
    case 'Dimension': {
      const unit = node.unit.toLowerCase();
      if (unit === 'dppx' || unit === 'x') return Number(node.value);
      if (unit === 'dpi') return Number(node.value) / 96;
      if (unit === 'dpcm') return Number(node.value) / (96 / 2.54);
      const size = UNITS.get(unit);
      return size === undefined ? null : Number(node.value) * size;
    }
    case 'Ratio': {
      const right = node.right ? numberOf(node.right) : 1;
      const left = numberOf(node.left);
      return left === null || right === null ? null : left / right;
    }
    default:
      return null;
  }
}

/** What a feature measures; undefined for one that is no number, null for what is not known. */
function measure(name: string, { width, height }: Viewport): number | null | undefined {
  switch (name) {
    case 'width':
    case 'device-width':
      return width;
    case 'height':
    case 'device-height':
      return height;
    case 'aspect-ratio':
    case 'device-aspect-ratio':
      return height === null ? null : width / height;
    case 'resolution':
    case '-webkit-device-pixel-ratio':
      return 1;
    case 'color':
      return 8;
    case 'color-index':
    case 'monochrome':
      return 0;
    default:
      return undefined;
  }
}

function compare(left: number, sign: string, right: number): boolean {
  switch (sign) {
    case '<':
      return left < right;
    case '<=':
      return left <= right;
    case '>':
      return left > right;
    case '>=':
      return left >= right;
    default:
      return left === right;
  }
}

/** A length without a unit is none, but for nought. */
const isLength = (name: string) => /(?:width|height)$/.test(name);
const isUsable = (name: string, node: CssNode | null) =>
  !(isLength(name) && node?.type === 'Number' && Number(node.value) !== 0);

function judgeComparison(name: string, sign: string, value: CssNode | null, viewport: Viewport): Truth {
  const measured = measure(name, viewport);
  if (measured === undefined || !isUsable(name, value)) return false;
  if (measured === null) return null;
  const number = numberOf(value);
  // A calculation, say.
  if (number === null) return value?.type === 'Function' ? null : false;
  return compare(measured, sign, number);
}

function judgeFeature(term: CssNode, viewport: Viewport): Truth {
  if (term.type === 'FeatureRange') {
    const { left, leftComparison, middle, rightComparison, right } = term;
    if (left.type === 'Identifier') return judgeComparison(left.name, leftComparison, middle, viewport);
    if (middle.type !== 'Identifier') return false;
    const first = judgeComparison(middle.name, FLIPPED[leftComparison] ?? '=', left, viewport);
    if (rightComparison === null || !right) return first;
    return every([first, judgeComparison(middle.name, rightComparison, right, viewport)]);
  }
  if (term.type !== 'Feature') return false;
  const full = term.name.toLowerCase();
  const limit = /^(-webkit-)?(min|max)-(.+)$/.exec(full);
  const name = limit ? `${limit[1] ?? ''}${limit[3]}` : full;
  const sign = limit ? (limit[2] === 'min' ? '>=' : '<=') : '=';
  if (name === 'orientation') {
    if (viewport.height === null) return null;
    const is = viewport.height >= viewport.width ? 'portrait' : 'landscape';
    return term.value === null || (term.value.type === 'Identifier' && term.value.name === is);
  }
  const measured = measure(name, viewport);
  if (measured !== undefined) {
    if (term.value === null) return measured === null ? null : measured !== 0;
    return judgeComparison(name, sign, term.value, viewport);
  }
  const word = WORDS.get(name);
  if (word === undefined || limit) return false;
  const { value } = term;
  if (value === null) return !NOTHING.has(word);
  return value.type === 'Identifier'
    ? value.name.toLowerCase() === word
    : value.type === 'Number' && value.value === word;
}

const readQueries = memoiseText((text: string): readonly CssNode[] | null => {
  try {
    const list = parse(text, { context: 'mediaQueryList' });
    return list.type === 'MediaQueryList' ? list.children.toArray() : null;
  } catch {
    return null;
  }
});

function judgeQuery(query: CssNode, viewport: Viewport): Truth {
  if (query.type !== 'MediaQuery') return false;
  const type = query.mediaType?.toLowerCase() ?? 'all';
  const isOfType = type === 'all' || type === 'screen';
  const condition = query.condition
    ? judgeCondition(query.condition, (term) => judgeFeature(term, viewport))
    : true;
  const truth = every([isOfType, condition]);
  return query.modifier?.toLowerCase() === 'not' ? not(truth) : truth;
}

/** Whether a list of media queries holds in a window on a screen; what is no query holds nowhere. */
export function judgeMedia(text: string, viewport: Viewport): Truth {
  if (text.trim() === '') return true;
  const queries = readQueries(text);
  if (!queries) {
    // One query that is none leaves the others as they are.
    const parts = text.split(',');
    return parts.length > 1
      ? some(parts.map((part) => judgeMedia(part.trim() || 'not all', viewport)))
      : false;
  }
  return some(queries.map((query) => judgeQuery(query, viewport)));
}

/** The lengths in px that a list of media queries turns at: where a page may look another way. */
export function widthsIn(text: string): number[] {
  const widths: number[] = [];
  const take = (node: CssNode) => {
    if (node.type === 'Feature' && /width$/.test(node.name)) {
      const width = numberOf(node.value);
      if (width !== null) widths.push(width);
    } else if (node.type === 'FeatureRange') {
      for (const side of [node.left, node.middle, node.right]) {
        const width = side ? numberOf(side) : null;
        if (width !== null) widths.push(width);
      }
    }
    return true;
  };
  for (const query of readQueries(text) ?? [])
    if (query.type === 'MediaQuery' && query.condition) judgeCondition(query.condition, take);
  return widths;
}
