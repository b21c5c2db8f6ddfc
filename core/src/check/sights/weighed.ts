import { parseColour } from '../../colour/colour.ts';
import { contrastOver } from '../../colour/contrast.ts';
import type { MarkPaint, Sight } from './sight.ts';

/** The best contrast that any colour of a mark has with its ground; null where a colour cannot be read. */
function contrastOf({ mark, grounds }: MarkPaint): number | null {
  const behind = grounds.map(parseColour);
  const drawn = mark.map(parseColour);
  if (behind.includes(null) || drawn.length === 0 || drawn.includes(null)) return null;
  const ground = behind.filter((colour) => colour !== null);
  return Math.max(...drawn.filter((colour) => colour !== null).map((colour) => contrastOver(colour, ground)));
}

/** Sights with what they come to; marks whose colours cannot be read are left out. */
export const weighed = (sights: readonly Sight[]): readonly Sight[] =>
  sights.flatMap((sight) => {
    const amount = sight.paint ? contrastOf(sight.paint) : sight.amount;
    return amount === null ? [] : [{ ...sight, amount }];
  });
