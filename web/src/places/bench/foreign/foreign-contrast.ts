import {
  contrastOver,
  evenLayering,
  formatColour,
  nearestPassing,
  parseColour,
  requiredRatio,
  type Rgba,
} from '@hamaca/core';
import type { TextPaint } from '../../../stage/frame/protocol.ts';

/** Contrast of a text with what is behind it, by WCAG 2.2. */
export interface PaintedContrast {
  /** Rounded down to a tenth, as text. */
  readonly ratio: string;
  readonly required: number;
  readonly passes: boolean;
  /** False where a picture lies behind. */
  readonly certain: boolean;
}

const known = (colours: readonly (Rgba | null)[]): readonly Rgba[] =>
  colours.filter((colour) => colour !== null);

/** The colour nearest to that of a text which can be read where it stands; null where there is none. */
export function passingInk({ ink, behind, size, weight }: TextPaint): string | null {
  const colour = parseColour(ink);
  const passing =
    colour &&
    nearestPassing(colour, evenLayering(known(behind.map(parseColour))), requiredRatio(size, weight));
  return passing && formatColour(passing);
}

/** The contrast of a painted text; null where it was not measured, or in colours that cannot be read. */
export function contrastOf(paint: TextPaint | undefined): PaintedContrast | null {
  const ink = paint ? parseColour(paint.ink) : null;
  const behind = paint?.behind.map(parseColour) ?? [];
  if (!paint || !ink || behind.some((colour) => colour === null)) return null;
  const ratio = contrastOver(ink, known(behind));
  const required = requiredRatio(paint.size, paint.weight);
  return {
    ratio: (Math.floor(ratio * 10) / 10).toFixed(1),
    required,
    passes: ratio >= required,
    certain: !paint.overPicture,
  };
}
