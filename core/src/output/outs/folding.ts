import { pieceFoldOf } from '../../kinds/folds.ts';
import type { Out, Whole } from '../../kinds/out.ts';
import type { PlacedPart } from '../../kinds/placed.ts';
import type { Piece } from '../../kinds/site.ts';
import { styleRule, type ConditionalRule } from '../../print/trees.ts';
import { ownRoot, within, type CompileContext } from '../context.ts';
import { placeOf } from '../place.ts';
import { below, media } from '../shown.ts';

/**
 * Where a part has folded away: the stylesheet tells the script so, and hides it until it stands at its berth. Without
 * scripts it stays in its place, every link in sight; where it is left out it is hidden in any case.
 */
export function foldingRules(
  context: CompileContext,
  placed: PlacedPart,
  box: string,
  out: Out,
): ConditionalRule[] {
  const { fold, berth } = placeOf(context, placed);
  if (!fold) return [];
  if (berth !== null) return goingRules(fold.below, box, out);
  return [styleRule(within(context, `.${box}.${box}`), [['display', 'none']], ...below(fold.below))];
}

/** Where a box goes to a berth below a width. */
function goingRules(width: number, box: string, out: Out): ConditionalRule[] {
  return [
    styleRule(out.within(`.${box}`), [[out.variable('folds'), '1']], ...below(width)),
    styleRule(
      `${out.unready} .${box}:not(dialog *)`,
      [out.waits],
      ...media(width === Infinity ? '' : `(width < ${width}px)`, '(scripting: enabled)'),
    ),
  ];
}

/** The box around all of a piece, where that goes into a panel of this output: its attributes and rules; else null. */
export function wholeOf(context: CompileContext, piece: Piece, out: Out): Whole | null {
  const { site, names } = context;
  const fold = pieceFoldOf(site, piece);
  if (!fold?.to || !context.pieces.includes(fold.to.piece)) return null;
  const box = names.slotClass(piece.id, 'whole');
  return {
    attributes: { class: box, [names.attribute('berth')]: names.slotId(fold.to.part.id, 'berth') },
    // The piece is out of sight as long as nothing is in it.
    rules: [
      ...goingRules(fold.below, box, out),
      styleRule(`${ownRoot(context, piece)}:not(:has(.${box}))`, [['display', 'none']]),
    ],
  };
}
