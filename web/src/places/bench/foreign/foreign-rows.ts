import { FOREIGN_STATES } from '@hamaca/core';
import type { ComputedStates } from '../../../stage/frame/protocol.ts';
import type { ElementLook } from '../../../workers/foreign-page.ts';

/** What is said of a property in one state. */
export type SaidCell = ElementLook['states'][number][number];

/** A property of an element of a foreign page, with what is said of it in each state. */
export interface ForeignRow {
  readonly name: string;
  /** A longhand that stands for it. */
  readonly longhand: string;
  /** In the order of the states; null where nothing is said. */
  readonly cells: readonly (SaidCell | null)[];
  /** How the browser draws it in each state; null where the stage has not measured that. */
  readonly drawn: readonly (string | null)[];
}

/** Properties that are told of everything, also where no rule says them. */
const ALWAYS = [
  'color',
  'font-family',
  'font-size',
  'font-weight',
  'text-decoration-line',
  'background-color',
  'border-width',
  'border-radius',
  'outline-style',
  'padding',
  'margin',
  'display',
] as const;

/** Most properties that nobody says which are found by a name. */
const MOST_FOUND = 24;

/** Properties in the order they are told: what they begin with. */
const GROUPS: readonly (readonly [title: string, names: RegExp])[] = [
  ['text', /^(?:color|font|line-height|letter|word|text|white-space|-webkit-text|-webkit-font)/],
  ['fill', /^(?:background|opacity|backdrop|filter|mix)/],
  ['edge', /^(?:border|outline|box-shadow)/],
  ['space', /^(?:padding|margin|gap|row-gap|column-gap)/],
  [
    'box',
    /^(?:display|position|top|right|bottom|left|inset|z-index|width|height|min-|max-|overflow|float|flex|grid|align|justify|order|place|visibility|box-sizing)/,
  ],
  ['motion', /^(?:transition|animation|transform|translate|rotate|scale|will-change)/],
  ['other', /./],
];

/** Longhands that are told as one where all of them are said alike: by the name they go by. */
const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const TOGETHER: readonly (readonly [name: string, longhands: readonly string[]])[] = [
  ['padding', SIDES.map((side) => `padding-${side}`)],
  ['margin', SIDES.map((side) => `margin-${side}`)],
  ['inset', SIDES],
  ['border-width', SIDES.map((side) => `border-${side}-width`)],
  ['border-style', SIDES.map((side) => `border-${side}-style`)],
  ['border-color', SIDES.map((side) => `border-${side}-color`)],
  [
    'border-radius',
    ['top-left', 'top-right', 'bottom-right', 'bottom-left'].map((corner) => `border-${corner}-radius`),
  ],
  ['overflow', ['overflow-x', 'overflow-y']],
];

/** What shorthands set along with what they are written for: told only where it is another value, or looked for. */
const SET_ALONG: Readonly<Record<string, string>> = {
  'background-attachment': 'scroll',
  'background-clip': 'border-box',
  'background-image': 'none',
  'background-origin': 'padding-box',
  'background-position': '0% 0%',
  'background-repeat': 'repeat',
  'background-size': 'auto',
  'text-decoration-color': 'currentcolor',
  'text-decoration-style': 'solid',
  'text-decoration-thickness': 'auto',
  'white-space-collapse': 'collapse',
  'list-style-image': 'none',
  'list-style-position': 'outside',
  'transition-behavior': 'normal',
  'transition-delay': '0s',
  'transition-timing-function': 'ease',
  'border-image-outset': '0',
  'border-image-repeat': 'stretch',
  'border-image-slice': '100%',
  'border-image-source': 'none',
  'border-image-width': '1',
  'font-kerning': 'auto',
  'font-stretch': 'normal',
  'font-optical-sizing': 'auto',
  'font-size-adjust': 'none',
  'font-feature-settings': 'normal',
  'font-variation-settings': 'normal',
};

/** Whether a property is set along with others alone, to what it would be anyhow. */
const isSetAlong = ({ name, cells }: ForeignRow): boolean =>
  cells.some((cell) => cell !== null) &&
  (Object.hasOwn(SET_ALONG, name) || name.startsWith('font-variant-')) &&
  cells.every((cell) => cell === null || cell.value.toLowerCase() === (SET_ALONG[name] ?? 'normal'));

/** Whether two properties are said alike in a state: the same value, in the same place. */
const isAlike = (a: SaidCell | null, b: SaidCell | null): boolean =>
  a === null || b === null
    ? a === b
    : a.value === b.value && a.file === b.file && a.line === b.line && a.column === b.column;

/** Browsers tell what is seen through as a black of which nothing is there. */
const inWords = (value: string | null) => (value === 'rgba(0, 0, 0, 0)' ? 'transparent' : value);

/** What the browser computes of some longhands in each state, as one value. */
const drawnBy = (computed: ComputedStates, longhands: readonly string[]): readonly (string | null)[] =>
  FOREIGN_STATES.map((state) => {
    const values = longhands.map((name) => inWords(computed[state]?.[name] ?? computed.rest?.[name] ?? null));
    const [first = null] = values;
    return values.every((value) => value === first) ? first : values.join(' ');
  });

/** Properties that nobody says: the main ones, or those that are called as wanted. */
function unsaid(
  said: readonly ForeignRow[],
  computed: ComputedStates,
  wanted: string,
): readonly ForeignRow[] {
  const known = new Set(said.flatMap(({ name, longhand }) => [name, longhand]));
  const longhandsOf = (name: string) => TOGETHER.find(([one]) => one === name)?.[1] ?? [name];
  const found =
    wanted === ''
      ? ALWAYS
      : [...TOGETHER.map(([name]) => name), ...Object.keys(computed.rest ?? {})]
          .filter((name) => name.includes(wanted))
          .slice(0, MOST_FOUND);
  return found
    .filter((name) => !longhandsOf(name).some((longhand) => known.has(longhand)))
    .map((name) => {
      const longhands = longhandsOf(name);
      return {
        name,
        longhand: longhands[0] ?? name,
        cells: FOREIGN_STATES.map(() => null),
        drawn: drawnBy(computed, longhands),
      };
    })
    .filter(({ drawn }) => drawn[0] !== null);
}

/** The properties of an element by groups, with those said alike told as one. */
export function foreignRows(
  { states }: ElementLook,
  computed: ComputedStates,
  filter: string,
): readonly { readonly title: string; readonly rows: readonly ForeignRow[] }[] {
  const byState = states.map((said) => new Map(said.map((cell) => [cell.name, cell])));
  const cellsOf = (name: string) => byState.map((said) => said.get(name) ?? null);
  const names = new Set(states.flatMap((said) => said.map(({ name }) => name)));
  const rows: ForeignRow[] = [];
  for (const [name, longhands] of TOGETHER) {
    const [first = '', ...others] = longhands;
    const cells = cellsOf(first);
    const isOne = others.every((other) =>
      cellsOf(other).every((cell, at) => isAlike(cell, cells[at] ?? null)),
    );
    if (!isOne || cells.every((cell) => cell === null)) continue;
    for (const longhand of longhands) names.delete(longhand);
    rows.push({ name, longhand: first, cells, drawn: drawnBy(computed, longhands) });
  }
  for (const name of names)
    rows.push({ name, longhand: name, cells: cellsOf(name), drawn: drawnBy(computed, [name]) });
  const wanted = filter.trim().toLowerCase();
  rows.push(...unsaid(rows, computed, wanted));
  const isWanted = (row: ForeignRow) => (wanted === '' ? !isSetAlong(row) : isFound(row));
  const isFound = ({ name, cells }: ForeignRow) =>
    name.includes(wanted) || cells.some((cell) => cell?.value.toLowerCase().includes(wanted));
  const taken = new Set<ForeignRow>();
  return GROUPS.map(([title, test]) => {
    const own = rows.filter((row) => !taken.has(row) && isWanted(row) && test.test(row.name));
    for (const row of own) taken.add(row);
    return { title, rows: own.sort((a, b) => (a.name < b.name ? -1 : 1)) };
  }).filter((group) => group.rows.length > 0);
}

/** Whether a state says something of its own, other than what is said at rest. */
export const isOwn = (row: ForeignRow, at: number): boolean =>
  at === 0 || !isAlike(row.cells[at] ?? null, row.cells[0] ?? null);
