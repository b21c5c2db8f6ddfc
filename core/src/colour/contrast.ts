import { converter } from 'culori/fn';
import { formatColour, layOver, parseColour, type Rgba } from './colour.ts';

/** Relative luminance of an opaque sRGB colour, 0 to 1 (WCAG 2.2, definition "relative luminance"). */
export function luminance({ r, g, b }: Rgba): number {
  const linear = (channel: number) =>
    channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
  return 0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b);
}

/** Contrast ratio of two opaque colours, 1 to 21 (WCAG 2.2, definition "contrast ratio"). */
export function contrastRatio(a: Rgba, b: Rgba): number {
  const [dark, light] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

/** The colour seen when layers lie on each other, topmost first; the last should be opaque. */
export function flatten(layers: readonly Rgba[]): Rgba {
  return layers.reduceRight<Rgba>((below, layer) => layOver(layer, below), { r: 1, g: 1, b: 1, a: 1 });
}

/** For a text colour, the pairs of colours that are seen: the text's and its neighbour's. */
export type Layering = (text: Rgba) => readonly { readonly text: Rgba; readonly behind: Rgba }[];

/** A layering of even layers, topmost first; the last should be opaque. */
export function evenLayering(behind: readonly Rgba[]): Layering {
  const ground = flatten(behind);
  return (text) => [{ text: layOver(text, ground), behind: ground }];
}

/** Contrast of a text colour with what is behind it, topmost layer first; translucency is laid over at each step. */
export function contrastOver(text: Rgba, behind: readonly Rgba[]): number {
  const ground = flatten(behind);
  return contrastRatio(layOver(text, ground), ground);
}

/**
 * The ratio text needs for level AA: 3 for large text (24 px, or 18.66 px from weight 700), else 4.5
 * (WCAG 2.2, success criterion 1.4.3). `size` in CSS px.
 */
export function requiredRatio(size: number, weight: number): 3 | 4.5 {
  return size >= 24 || (size >= 18.66 && weight >= 700) ? 3 : 4.5;
}

const toOklch = converter('oklch');

/**
 * The colour nearest to `text` (same hue and chroma, lightness changed in OKLCH) that reaches `required` in
 * every pair of the layering; where only greys can, a grey; null where nothing does. Lightness is searched in steps of 0.5 %, the
 * smaller change first.
 */
export function nearestPassing(text: Rgba, layering: Layering, required: number): Rgba | null {
  const { r, g, b } = text;
  const { l, c, h } = toOklch({ mode: 'rgb', r, g, b });
  const passes = (candidate: Rgba) =>
    layering(candidate).every((pair) => contrastRatio(pair.text, pair.behind) >= required);
  return searchLightness(l, c, h ?? 0, passes) ?? searchLightness(l, 0, 0, passes);
}

function searchLightness(
  from: number,
  chroma: number,
  hue: number,
  passes: (colour: Rgba) => boolean,
): Rgba | null {
  for (let step = 0; step <= 200; step++) {
    for (const lightness of [from - step * 0.005, from + step * 0.005]) {
      if (lightness < -0.005 || lightness > 1.005) continue;
      const inRange = Math.min(1, Math.max(0, lightness));
      const parsed = parseColour(`oklch(${inRange.toFixed(4)} ${chroma.toFixed(4)} ${hue.toFixed(2)})`);
      // The answer is shown and stored as hex: judge what hex can hold, not the unrounded colour.
      const rounded = parsed && parseColour(formatColour(parsed));
      if (rounded && passes(rounded)) return rounded;
    }
  }
  return null;
}
