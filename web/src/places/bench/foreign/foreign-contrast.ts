import { contrastOver, parseColour, requiredRatio } from '@hamaca/core';
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

/** The contrast of a painted text; null where it was not measured, or in colours that cannot be read. */
export function contrastOf(paint: TextPaint | undefined): PaintedContrast | null {
  const ink = paint ? parseColour(paint.ink) : null;
  const behind = paint?.behind.map(parseColour) ?? [];
  if (!paint || !ink || behind.some((colour) => colour === null)) return null;
  const ratio = contrastOver(
    ink,
    behind.filter((colour) => colour !== null),
  );
  const required = requiredRatio(paint.size, paint.weight);
  return {
    ratio: (Math.floor(ratio * 10) / 10).toFixed(1),
    required,
    passes: ratio >= required,
    certain: !paint.overPicture,
  };
}
