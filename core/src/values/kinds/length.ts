import { fail, succeed, type Result } from '../../base/result.ts';
import {
  LENGTH_UNITS,
  lengthTree,
  parseLength,
  printLength,
  readLength,
  toPixels,
  unitsOf,
  type LengthUnit,
  type LengthValue,
} from '../length.ts';
import type { JsonSchema, PropertyOf, ValueKind } from '../value-kind.ts';

type LengthLike = PropertyOf<'length' | 'corners'>;

/** The units a length may be written in. */
export function allowedUnits(entry: LengthLike): readonly LengthUnit[] {
  const extra: readonly LengthUnit[] = entry.units ?? [];
  return LENGTH_UNITS.filter(
    (unit) =>
      unit === 'px' || unit === 'rem' || extra.includes(unit) || (unit === '%' && entry.share === true),
  );
}

/** Widths of the page between which a length must keep its bounds, in px. */
const JUDGED_AT = [320, 1920] as const;

/** Whether a length is written in allowed units and stays within its bounds. */
export function acceptsLength(entry: LengthLike, value: unknown): boolean {
  if (typeof value !== 'number' && typeof value !== 'string') return false;
  // A plain number is written as one.
  if (typeof value === 'string' && /^-?[\d.]+$/.test(value)) return false;
  const tree = lengthTree(value);
  if (!tree || !unitsOf(tree).every((unit) => allowedUnits(entry).includes(unit))) return false;
  return JUDGED_AT.every((width) => {
    const pixels = toPixels(value, { fontSize: 16, width, whole: 100 });
    return pixels >= entry.min && pixels <= entry.max;
  });
}

/** A decimal comma is a point where it cannot separate arguments, and a unit may stand apart. */
export const withPoint = (text: string): string =>
  text.includes('(') ? text : text.replace(',', '.').replace(/^(-?[\d.]+)\s+(?=[a-z%]+$)/i, '$1');

export function parseLengthText(entry: LengthLike, text: string): Result<LengthValue, string> {
  const tree = parseLength(withPoint(text));
  if (!tree.ok) return fail(`“${text}” is no length: ${tree.error}. Type 16, 1rem or clamp(12px, 1vw, 20px)`);
  const units = allowedUnits(entry);
  const refused = unitsOf(tree.value).find((unit) => !units.includes(unit));
  if (refused !== undefined)
    return fail(`${entry.label} is written in ${units.join(', ')}, not in ${refused}`);
  const value: LengthValue =
    tree.value.op === 'amount' && (tree.value.unit === 'px' || tree.value.unit === '')
      ? tree.value.amount
      : printLength(tree.value);
  if (acceptsLength(entry, value)) return succeed(value);
  const where = unitsOf(tree.value).includes('vw') ? ' at some width' : '';
  return fail(`${text} is outside ${entry.min} to ${entry.max} px${where}`);
}

export const lengthAllowed = (entry: LengthLike): string =>
  `a number of px from ${entry.min} to ${entry.max}, or text with ${allowedUnits(entry).join(', ')} such as "1.25rem" or "clamp(8px, 1vw, 20px)"`;

export const LENGTH_SCHEMA: JsonSchema = { anyOf: [{ type: 'number' }, { type: 'string', maxLength: 200 }] };

export function lengthCss(value: LengthValue): string {
  const tree = lengthTree(value);
  return tree ? printLength(tree) : '0';
}

/** The px a step of one unit is; a share steps by whole per cents. */
const UNIT_SCALE = { px: 1, rem: 16, em: 16, vw: 16, '%': 1 } as const;

interface Bounds {
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

/** An amount moved by whole steps in its unit, kept within bounds. A rem or em is about sixteen px: a step is a sixteenth. */
export function stepAmount(
  { min, max, step }: Bounds,
  { amount, unit }: { readonly amount: number; readonly unit: LengthUnit },
  steps: number,
): LengthValue {
  const scale = UNIT_SCALE[unit];
  const moved = Math.round((amount + (steps * step) / scale) * 10_000) / 10_000;
  const kept = Math.min(max / scale, Math.max(min / scale, moved));
  return unit === 'px' ? kept : `${kept}${unit}`;
}

export function stepLength(entry: LengthLike, value: unknown, steps: number): LengthValue | null {
  if (typeof value !== 'number' && typeof value !== 'string') return null;
  const length = readLength(value);
  const stepped = length && stepAmount(entry, length, steps);
  return acceptsLength(entry, stepped) ? stepped : null;
}

/** A length in px, or as text with a unit or a calculation. */
export const LENGTH: ValueKind<'length', LengthValue> = {
  id: 'length',
  accepts: acceptsLength,
  allowed: lengthAllowed,
  schema: () => LENGTH_SCHEMA,
  parse: parseLengthText,
  step: stepLength,
  css: (value) => lengthCss(value as LengthValue),
};
