import { parse, converter, formatHex, formatHex8, type Color } from 'culori/fn';
import { memoiseText } from '../base/memo.ts';
import { registerModes } from './modes.ts';

/** A colour in gamma-encoded sRGB; every channel and alpha from 0 to 1. */
export interface Rgba {
  readonly r: number;
  readonly g: number;
  readonly b: number;
  readonly a: number;
}

registerModes();
const toRgb = converter('rgb');

/** A channel kept from 0 to 1. */
export const clamp = (value: number) => Math.min(1, Math.max(0, value));

/**
 * Reads a CSS colour literal (CSS Color 4: hex, names, rgb, hsl, hwb, lab, lch, oklab, oklch, color()).
 * Colours outside sRGB are clipped to it. Answers null for anything else, `currentColor` included.
 */
export function parseColour(text: string): Rgba | null {
  return text.length > 100 ? null : readColour(text);
}

/** The library's parser gives up with an error on some texts that are no colour. */
function parseQuietly(text: string): Color | undefined {
  try {
    return parse(text);
  } catch {
    return undefined;
  }
}

const readColour = memoiseText((text: string): Rgba | null => {
  const trimmed = text.trim().toLowerCase();
  if (trimmed === 'transparent') return { r: 0, g: 0, b: 0, a: 0 };
  // The library takes hex without its sign, CSS does not: 300 is a weight, not a colour.
  const parsed = /^[\da-f]{3,8}$/.test(trimmed) ? undefined : parseQuietly(trimmed);
  if (!parsed) return null;
  const { r, g, b, alpha } = toRgb(parsed);
  if (![r, g, b].every(Number.isFinite)) return null;
  return { r: clamp(r), g: clamp(g), b: clamp(b), a: clamp(alpha ?? 1) };
});

/** The shortest usual hex notation: `#rrggbb`, or `#rrggbbaa` where it is translucent. */
export function formatColour(colour: Rgba): string {
  const { r, g, b, a } = colour;
  return a >= 1 ? formatHex({ mode: 'rgb', r, g, b }) : formatHex8({ mode: 'rgb', r, g, b, alpha: a });
}

/** `top` laid over `bottom`: source-over in sRGB, as browsers do (CSS Compositing 1, section 9.1.4). */
export function layOver(top: Rgba, bottom: Rgba): Rgba {
  const a = top.a + bottom.a * (1 - top.a);
  if (a === 0) return { r: 0, g: 0, b: 0, a: 0 };
  const mix = (upper: number, lower: number) => (upper * top.a + lower * bottom.a * (1 - top.a)) / a;
  return { r: mix(top.r, bottom.r), g: mix(top.g, bottom.g), b: mix(top.b, bottom.b), a };
}

/** The same colour with its alpha multiplied by `factor` (0 to 1). */
export function withAlpha(colour: Rgba, factor: number): Rgba {
  return { ...colour, a: clamp(colour.a * factor) };
}
