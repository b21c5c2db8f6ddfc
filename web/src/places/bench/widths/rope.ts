import type { Fit, FitSegment } from '@hamaca/core';

/** How far the rope hangs through in its middle, in px of the drawing. */
const SAG = 7;
const TOP = 12;
/** Distance of the teeth where the row breaks, in px. */
const TOOTH = 7;
const TOOTH_HEIGHT = 4;

/** The rope's height at a place from 0 (left post) to 1 (right post). */
export const ropeY = (share: number) => TOP + SAG * Math.sin(Math.PI * share);

export interface RopePiece {
  readonly fit: Fit;
  readonly path: string;
}

/** The rope between two posts, a path a segment: smooth where the row fits, toothed where it breaks. */
export function drawRope(
  segments: readonly FitSegment[],
  toX: (width: number) => number,
  length: number,
): RopePiece[] {
  return segments.map(({ from, to, fit }) => {
    const start = toX(from);
    const end = toX(to + 1);
    const step = fit === 'breaks' ? TOOTH : 12;
    const points: string[] = [];
    for (let x = start, count = 0; x < end; x += step, count++)
      points.push(
        `${x.toFixed(1)} ${(ropeY(x / length) + (fit === 'breaks' ? (count % 2 === 0 ? -TOOTH_HEIGHT : TOOTH_HEIGHT) : 0)).toFixed(1)}`,
      );
    points.push(`${end.toFixed(1)} ${ropeY(end / length).toFixed(1)}`);
    return { fit, path: `M${points.join('L')}` };
  });
}
