import { converter } from 'culori/fn';
import { clamp, type Rgba } from './colour.ts';

const toOklab = converter('oklab');
const toRgb = converter('rgb');

const lab = ({ r, g, b }: Rgba) => toOklab({ mode: 'rgb', r, g, b });

/**
 * Two colours mixed in OKLab, `share` (0 to 1) of the second, with alpha premultiplied: what `color-mix(in oklab, …)`
 * gives (CSS Color 5, section 3.1). Colours outside sRGB are clipped to it.
 */
export function mixColours(first: Rgba, second: Rgba, share: number): Rgba {
  const a = first.a * (1 - share) + second.a * share;
  if (a === 0) return { r: 0, g: 0, b: 0, a: 0 };
  const one = lab(first);
  const two = lab(second);
  const mixed = (channel: 'l' | 'a' | 'b') =>
    (one[channel] * first.a * (1 - share) + two[channel] * second.a * share) / a;
  const { r, g, b } = toRgb({ mode: 'oklab', l: mixed('l'), a: mixed('a'), b: mixed('b') });
  return { r: clamp(r), g: clamp(g), b: clamp(b), a };
}

const toOklch = converter('oklch');

/** A colour as lightness (0 to 100), chroma (0 to about 0.4) and hue (degrees) in OKLCH. */
export interface Oklch {
  readonly l: number;
  readonly c: number;
  readonly h: number;
}

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

export function oklchOf({ r, g, b }: Rgba): Oklch {
  const { l, c, h } = toOklch({ mode: 'rgb', r, g, b });
  return { l: round(l * 100, 1), c: round(c, 3), h: round(h ?? 0, 1) };
}

/** OKLCH as a CSS colour, `alpha` 0 to 1. */
export function formatOklch({ l, c, h }: Oklch, alpha = 1): string {
  return `oklch(${round(l, 1)}% ${round(c, 3)} ${round(h, 1)}${alpha < 1 ? ` / ${round(alpha, 3)}` : ''})`;
}

/** Whether sRGB holds a colour as it is, without clipping. */
export function isInSrgb({ l, c, h }: Oklch): boolean {
  const { r, g, b } = toRgb({ mode: 'oklch', l: l / 100, c, h });
  return [r, g, b].every((channel) => channel >= -0.0005 && channel <= 1.0005);
}

/** How different two opaque colours look: their distance in OKLab, where 0.02 is about the least that is seen side by side. */
export function colourDistance(first: Rgba, second: Rgba): number {
  const one = lab(first);
  const two = lab(second);
  return Math.hypot(one.l - two.l, one.a - two.a, one.b - two.b, first.a - second.a);
}
