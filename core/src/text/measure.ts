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

function nearestTable(metrics: FontMetrics, weight: number): FontTable | undefined {
  return metrics.tables.reduce<FontTable | undefined>(
    (best, table) =>
      best && Math.abs(best.weight - weight) <= Math.abs(table.weight - weight) ? best : table,
    undefined,
  );
}

function kerning(table: FontTable, first: string, second: string): number {
  const left = table.left[first];
  const right = table.right[second];
  return left === undefined || right === undefined ? 0 : (table.kerning[left]?.[right] ?? 0);
}

/** The advance of `text` in font units, and how many characters the table does not know. */
function advance(table: FontTable, text: string, withLigatures: boolean): { units: number; unknown: number } {
  let units = 0;
  let unknown = 0;
  const characters = [...text];
  characters.forEach((character, index) => {
    const own = table.advances[character];
    if (own === undefined) unknown++;
    units += own ?? 0;
    const next = characters[index + 1];
    if (next !== undefined) units += kerning(table, character, next);
  });
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
    const table = metrics && nearestTable(metrics, style.weight);
    const spacing = style.tracking * length;
    if (!metrics || !table)
      return { width: length * ESTIMATED_ADVANCE * style.size + spacing, certain: false };
    const { units, unknown } = advance(table, line, style.tracking === 0);
    const width = (units / metrics.unitsPerEm + unknown * ESTIMATED_ADVANCE) * style.size + spacing;
    return { width, certain: unknown === 0 && table.weight === style.weight };
  };
}
