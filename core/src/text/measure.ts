import type { FontMetrics, FontTable } from './font-table.ts';

/** How a label is set. Lengths in px. */
export interface TextStyle {
  readonly family: string;
  readonly size: number;
  readonly weight: number;
  readonly tracking: number;
}

/** A measured width in px. `certain` is false where a character or the typeface is unknown and was estimated. */
export interface Measure {
  readonly width: number;
  readonly certain: boolean;
}

/** Answers how wide a label is; passed into core by whoever has the font tables. */
export type Measurer = (text: string, style: TextStyle) => Measure;

/** Average advance of unknown characters, in em: between narrow and wide Latin faces. */
const ESTIMATED_ADVANCE = 0.56;

/** Scripts whose signs are drawn in squares of one em. */
const SQUARE =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\u3000-\u303f\uff00-\uff60]/u;

/** What a character that no table knows may take, in em. */
const estimated = (character: string) => (SQUARE.test(character) ? 1 : ESTIMATED_ADVANCE);

/** The tables around a weight, and how far it lies between them: 0 at the lighter one, 1 at the heavier one. */
interface Between {
  readonly lighter: FontTable;
  readonly heavier: FontTable;
  readonly share: number;
}

/** A variable typeface grows evenly from one measured weight to the next; beyond its ends it stays as it is there. */
function tablesAround({ tables }: FontMetrics, weight: number): Between | null {
  const lighter = tables.filter((table) => table.weight <= weight).at(-1) ?? tables[0];
  const heavier = tables.find((table) => table.weight >= weight) ?? tables.at(-1);
  if (!lighter || !heavier) return null;
  const span = heavier.weight - lighter.weight;
  return { lighter, heavier, share: span > 0 ? (weight - lighter.weight) / span : 0 };
}

function kerning(table: FontTable, first: string, second: string): number {
  const left = table.left[first];
  const right = table.right[second];
  return left === undefined || right === undefined ? 0 : (table.kerning[left]?.[right] ?? 0);
}

/** The table that knows a character: the face's own, or one of other letters; of several the last, as in a stylesheet. */
function tableOf(table: FontTable, character: string): FontTable | undefined {
  return table.advances[character] === undefined
    ? table.others?.findLast((other) => other.advances[character] !== undefined)
    : table;
}

/** The advance of `text` in font units, and what the characters it does not know may take, in em. */
function advance(table: FontTable, text: string, withLigatures: boolean): { units: number; unknown: number } {
  let units = 0;
  let unknown = 0;
  let before = '';
  let tableBefore: FontTable | undefined;
  for (const character of text) {
    const own = tableOf(table, character);
    if (own) units += own.advances[character] ?? 0;
    else unknown += estimated(character);
    if (own && own === tableBefore) units += kerning(own, before, character);
    before = character;
    tableBefore = own;
  }
  if (withLigatures) units += ligatureAdjustment(table, text);
  return { units, unknown };
}

function ligatureAdjustment(table: FontTable, text: string): number {
  let units = 0;
  let position = 0;
  while (position < text.length) {
    const found = table.ligatures.find(([letters]) => text.startsWith(letters, position));
    units += found?.[1] ?? 0;
    position += found?.[0].length ?? 1;
  }
  return units;
}

/**
 * A measurer over font tables. Ligatures count only without letter spacing, which turns optional ones off
 * (CSS Text 3, section 8.2). Runs of white space count as one, as in normal flow.
 */
export function createMeasurer(fonts: readonly FontMetrics[]): Measurer {
  const byFamily = new Map(fonts.map((metrics) => [metrics.family, metrics]));
  return (text, style) => {
    const line = text.replace(/\s+/g, ' ').trim();
    const length = [...line].length;
    const metrics = byFamily.get(style.family);
    const around = metrics ? tablesAround(metrics, style.weight) : null;
    const spacing = style.tracking * length;
    if (!metrics || !around)
      return {
        width: [...line].reduce((sum, letter) => sum + estimated(letter), 0) * style.size + spacing,
        certain: false,
      };
    const joins = style.tracking === 0;
    const light = advance(around.lighter, line, joins);
    const heavy = around.share === 0 ? light : advance(around.heavier, line, joins);
    const units = light.units + (heavy.units - light.units) * around.share;
    const width = (units / metrics.unitsPerEm + light.unknown) * style.size + spacing;
    return { width, certain: light.unknown === 0 };
  };
}
