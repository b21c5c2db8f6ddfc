import { widthsIn } from './conditions/media.ts';
import type { ForeignPage } from './page.ts';

/** A width at which rules of a page begin or end to apply, px, and how many of them do. */
export interface PageBreakpoint {
  readonly width: number;
  readonly rules: number;
}

/** Widths that lie so near each other are one: `max-width: 767px` and `min-width: 768px` (px). */
const NEAR = 1;

/** Widths that a page is looked at in, px. */
const RANGE = { from: 240, to: 3000 } as const;

/** The widths at which a page changes, by the media queries of its rules, the narrowest first. */
export function breakpointsOf({ rules }: ForeignPage): readonly PageBreakpoint[] {
  const counts = new Map<number, number>();
  const read = new Map<string, readonly number[]>();
  for (const { conditions } of rules.styles)
    for (const condition of conditions) {
      if (condition.kind !== 'media') continue;
      const widths = read.get(condition.text) ?? widthsIn(condition.text);
      read.set(condition.text, widths);
      for (const width of widths) {
        const whole = Math.ceil(width);
        if (whole >= RANGE.from && whole <= RANGE.to) counts.set(whole, (counts.get(whole) ?? 0) + 1);
      }
    }
  const found: PageBreakpoint[] = [];
  for (const [width, count] of [...counts].sort(([a], [b]) => a - b)) {
    const last = found.at(-1);
    // The larger one is where the new look begins.
    if (last && width - last.width <= NEAR) found[found.length - 1] = { width, rules: last.rules + count };
    else found.push({ width, rules: count });
  }
  return found;
}
