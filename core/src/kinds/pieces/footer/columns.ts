import { styleRule, type ConditionalRule, type Declaration } from '../../../print/trees.ts';
import { lengthCss } from '../../../values/kinds/length.ts';
import { isLength } from '../../../values/length.ts';
import type { LineValue, Value } from '../../../values/values.ts';
import { containedPadding, rulesByBand, type PieceOut } from '../../out.ts';
import type { PropertyId } from '../../properties/properties.ts';
import { isColumn, type Column } from '../../sections/column/column.ts';
import type { Section } from '../../site.ts';
import type { Footer } from './footer.ts';

/** Sections that follow one another: columns together, anything else by itself. */
export function runsOf<S extends Section>(sections: readonly S[]): readonly (readonly S[])[] {
  const runs: S[][] = [];
  for (const section of sections) {
    const run = runs.at(-1);
    const last = run?.at(-1);
    if (run && last && isColumn(last) && isColumn(section)) run.push(section);
    else runs.push([section]);
  }
  return runs;
}

/** Columns that stand together, and the word for the class of their box besides that of all such boxes. */
interface ColumnBox {
  readonly columns: readonly Column[];
  /** Null where there is one box alone. */
  readonly word: string | null;
}

/** The boxes of a footer's columns, in document order. */
export function columnBoxes({ sections }: Footer): readonly ColumnBox[] {
  const boxes = runsOf(sections)
    .map((run) => run.filter(isColumn))
    .filter(({ length: count }) => count > 0);
  return boxes.map((columns, index) => ({
    columns,
    word: boxes.length === 1 ? null : `columns-box-${index + 1}`,
  }));
}

/** The classes of a box. */
export const boxClass = ({ word }: ColumnBox, out: PieceOut): string =>
  word === null ? out.class('columns') : `${out.class('columns')} ${out.class(word)}`;

/** How some columns stand in some bands; lengths as CSS. */
interface Stand {
  readonly across: boolean;
  /** How many in a line; 0 is as many as have room. */
  readonly count: number;
  readonly least: string;
  readonly gap: string;
  readonly padding: string;
  readonly line: LineValue;
  /** The room each takes of a line, and its own width where it has one. */
  readonly widths: readonly { readonly share: number; readonly own: string | null }[];
}

const NO_LINE: LineValue = { line: null };

const length = (value: Value | undefined): string => (isLength(value) ? lengthCss(value) : '0');

function standIn(footer: Footer, columns: readonly Column[], band: number, out: PieceOut): Stand {
  const said = (id: PropertyId) => out.valueIn(footer.id, 'columns', id, band);
  return {
    across: said('columnsStand') !== 'beneath one another',
    count: Number(said('columnsCount') ?? 0),
    least: length(said('columnsLeast')),
    gap: length(said('gap')),
    padding: length(said('paddingInline')),
    line: (said('columnsLine') as LineValue | undefined) ?? NO_LINE,
    widths: columns.map(({ id }) => {
      const own = length(out.valueIn(id, 'column', 'columnWidth', band));
      return {
        share: Number(out.valueIn(id, 'column', 'columnShare', band) ?? 1),
        own: own === '0' ? null : own,
      };
    }),
  };
}

/** The tracks of a line of so many columns, as the first ones say. */
function tracks({ count, widths }: Stand): string {
  const track = (index: number) => {
    const { own, share } = widths[index] ?? { own: null, share: 1 };
    return own ?? `minmax(0, ${share}fr)`;
  };
  const each = Array.from({ length: count }, (_, index) => track(index));
  return new Set(each).size === 1 ? `repeat(${count}, ${each[0] ?? ''})` : each.join(' ');
}

/** Room around what has the focus, in px: it is not cut off where lines are. */
const FOCUS_ROOM = 6;

/** Pixels as a number; null for what is in other units. */
const pixelsIn = (css: string): number | null => (/^[\d.]+px$/.test(css) ? Number.parseFloat(css) : null);

/** Half a gap back. */
function halfBack(gap: string): string {
  const pixels = pixelsIn(gap);
  return pixels === null ? `calc(${gap} / -2)` : `${pixels / -2}px`;
}

/** What is cut off at the sides: all of the padding but room for a ring of focus, and never what stands in the gap. */
function keptAside(sides: string, gap: string): string {
  const [own, between] = [pixelsIn(sides), pixelsIn(gap)];
  return own === null || between === null
    ? `calc(${sides} - min(${FOCUS_ROOM}px, ${gap} / 4))`
    : `${own - Math.min(FOCUS_ROOM, between / 4)}px`;
}

/**
 * Lines in the middle of the gaps. Where columns go on in further lines by themselves nobody knows which of them begins
 * one: each has a line before it, and what would stand before the first is cut off.
 */
function lineRules(
  { across, count, gap, line }: Stand,
  box: string,
  sides: string,
  out: PieceOut,
): ConditionalRule[] {
  if (line.line === null) return [];
  const first = across && count > 0 ? `>:nth-child(${count}n + 1)` : '>:first-child';
  const cut = across && count === 0;
  const before = cut ? '>*' : `>:not(${first.slice(1)})`;
  const drawn = out.declared('columnsLine', line);
  // Without a gap a line stands before its column, where it is as well cut off.
  const middle = gap === '0' ? `-${line.line.width}px` : halfBack(gap);
  const kept = gap === '0' ? sides : keptAside(sides, gap);
  return [
    styleRule(`${box}${before}`, [['position', 'relative']]),
    styleRule(`${box}${before}::before`, [
      ['content', '""'],
      ['position', 'absolute'],
      ...(across
        ? ([['inset-block', '0'], ['inset-inline-start', middle], ...drawn] as const)
        : ([
            ['inset-inline', '0'],
            ['inset-block-start', middle],
            ...drawn.map(([, css]): Declaration => ['border-block-start', css]),
          ] as const)),
    ]),
    ...(cut ? [styleRule(box, [['clip-path', `inset(-100vmax ${kept})`]])] : []),
  ];
}

function standRules(
  { columns, word }: ColumnBox,
  stand: Stand,
  sides: string,
  out: PieceOut,
): ConditionalRule[] {
  const box = out.at(word ?? 'columns');
  const lines = lineRules(stand, box, sides, out);
  if (!stand.across)
    return [
      styleRule(box, [
        ['display', 'flex'],
        ['flex-direction', 'column'],
      ]),
      ...lines,
    ];
  if (stand.count > 0)
    return [
      styleRule(box, [
        ['display', 'grid'],
        ['grid-template-columns', tracks(stand)],
      ]),
      ...lines,
    ];
  return [
    styleRule(box, [
      ['display', 'flex'],
      ['flex-wrap', 'wrap'],
    ]),
    styleRule(`${box}>*`, [['flex', `1 1 min(100%, ${stand.least})`]]),
    ...columns.flatMap(({ id }, index) => {
      const { share, own } = stand.widths[index] ?? { share: 1, own: null };
      if (own !== null) return [styleRule(out.atOf(id, 'column'), [['flex', `0 1 ${own}`]])];
      return share === 1 ? [] : [styleRule(out.atOf(id, 'column'), [['flex-grow', String(share)]])];
    }),
    ...lines,
  ];
}

/** How the columns that stand together share the width of a footer. */
export function columnRules(footer: Footer, box: ColumnBox, out: PieceOut): ConditionalRule[] {
  return rulesByBand(out, (band) => {
    const stand = standIn(footer, box.columns, band, out);
    const { padding } = stand;
    const sides = footer.contained === null ? padding : containedPadding(padding, footer.contained);
    return standRules(box, stand, sides, out);
  });
}
