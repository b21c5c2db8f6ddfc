/** The jobs a colour does everywhere on a site. */
export const ROLES = ['ink', 'paper', 'accent', 'on-accent', 'soft', 'line'] as const;

export type Role = (typeof ROLES)[number];

/** A colour as the designer meant it: linked to a swatch or a role (`alpha` 0 to 1 thins it), or a literal. */
export type ColourValue =
  | { readonly swatch: string; readonly alpha?: number }
  | { readonly role: Role; readonly alpha?: number }
  | { readonly literal: string };

/** A length in px when a number, else with the unit the designer wrote (`1rem`, `0.5em`). */
export type LengthValue = number | string;

export type Value = ColourValue | LengthValue;

export const LENGTH_UNITS = ['px', 'rem', 'em'] as const;

export type LengthUnit = (typeof LENGTH_UNITS)[number];

const LENGTH = /^(-?\d+(?:\.\d{1,4})?)(px|rem|em)?$/;

/** Splits a length into number and unit, or null where the text is none. */
export function readLength(value: LengthValue): { amount: number; unit: LengthUnit } | null {
  if (typeof value === 'number') return Number.isFinite(value) ? { amount: value, unit: 'px' } : null;
  const match = LENGTH.exec(value);
  return match ? { amount: Number(match[1]), unit: (match[2] ?? 'px') as 'px' } : null;
}

/** A rem where the host page has not changed it; our own lengths are px for just that uncertainty. */
const ROOT_SIZE = 16;

/** A length in px: `em` counts in `fontSize` px, `rem` in 16 px. */
export function toPixels(value: LengthValue, fontSize: number): number {
  const length = readLength(value);
  if (!length) return 0;
  const factor = { px: 1, rem: ROOT_SIZE, em: fontSize }[length.unit];
  return length.amount * factor;
}
