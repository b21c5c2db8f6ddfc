import type { Expand } from '../shorthands.ts';
import { partsOf, splitParts } from '../value-parts.ts';

export const GRID_TEMPLATE = ['grid-template-rows', 'grid-template-columns', 'grid-template-areas'];
const AUTO = ['grid-auto-flow', 'grid-auto-rows', 'grid-auto-columns'];
export const GRID_LONGHANDS = [...GRID_TEMPLATE, ...AUTO];

const isString = (part: string) => /^["']/.test(part);
const isLine = (part: string) => part.startsWith('[');

/** Rows that stand beside the drawing of their areas: each string is a row, `auto` where no size follows. */
function readRows(parts: readonly string[]): { readonly rows: string; readonly areas: string } {
  const rows: string[] = [];
  const areas: string[] = [];
  let isSized = true;
  for (const part of parts) {
    if (isString(part)) {
      if (!isSized) rows.push('auto');
      areas.push(part);
      isSized = false;
      continue;
    }
    // Names of lines after a string belong behind its size.
    if (isLine(part) && !isSized) {
      rows.push('auto');
      isSized = true;
    }
    rows.push(part);
    if (!isLine(part)) isSized = true;
  }
  if (!isSized) rows.push('auto');
  return { rows: rows.join(' '), areas: areas.join(' ') };
}

/** Takes `grid-template` apart (CSS Grid 2, 7.4). */
export const expandGridTemplate: Expand = (value) => {
  const made = new Map(GRID_TEMPLATE.map((name) => [name, 'none']));
  if (value === 'none') return made;
  const [before, after] = splitParts(partsOf(value), '/');
  if (!before || before.length === 0) return null;
  if (after) made.set('grid-template-columns', after.join(' '));
  if (!before.some(isString)) return after ? made.set('grid-template-rows', before.join(' ')) : null;
  const { rows, areas } = readRows(before);
  return made.set('grid-template-rows', rows).set('grid-template-areas', areas);
};

/** Takes `grid` apart (CSS Grid 2, 7.8). */
export const expandGrid: Expand = (value) => {
  const auto = new Map([
    ['grid-auto-flow', 'row'],
    ['grid-auto-rows', 'auto'],
    ['grid-auto-columns', 'auto'],
  ]);
  const [before, after] = splitParts(partsOf(value), '/');
  const isAuto = (parts: readonly string[] | undefined) => parts?.includes('auto-flow') === true;
  if (!isAuto(before) && !isAuto(after)) {
    const template = expandGridTemplate(value);
    return template ? new Map([...template, ...auto]) : null;
  }
  if (!before || !after) return null;
  const side = isAuto(before) ? before : after;
  const sizes = side.filter((part) => part !== 'auto-flow' && part !== 'dense').join(' ');
  const dense = side.includes('dense') ? ' dense' : '';
  const made = new Map([...GRID_TEMPLATE.map((name) => [name, 'none'] as const), ...auto]);
  if (side === before) {
    made.set('grid-template-columns', after.join(' ')).set('grid-auto-flow', `row${dense}`);
    if (sizes !== '') made.set('grid-auto-rows', sizes);
  } else {
    made.set('grid-template-rows', before.join(' ')).set('grid-auto-flow', `column${dense}`);
    if (sizes !== '') made.set('grid-auto-columns', sizes);
  }
  return made;
};
