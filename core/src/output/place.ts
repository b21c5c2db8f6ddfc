import { pieceKind } from '../kinds/catalogue.ts';
import { foldOf, type Fold } from '../kinds/folds.ts';
import { ruled, type Rules } from '../kinds/out.ts';
import { opensOver, type PlacedPart } from '../kinds/placed.ts';
import type { ConditionalRule } from '../print/trees.ts';
import type { CompileContext } from './context.ts';
import { below, from } from './shown.ts';

/** Conditions under which something holds; null where it never does. */
export type Widths = readonly string[] | null;

/** Where a part stands at which widths. */
export interface PartPlace {
  readonly fold: Fold | null;
  /** In its own place. */
  readonly inPlace: Widths;
  /** In a row, and in a panel or another column. */
  readonly inRow: Widths;
  readonly inPanel: Widths;
  /** Id of the berth it folds to, as far as that is in the output. */
  readonly berth: string | null;
}

/** How a part leaves its place in this output; null where it never does, also for want of need. */
export function foldIn({ site, givingWay }: CompileContext, part: string): Fold | null {
  const fold = foldOf(site, part);
  if (!fold?.tight) return fold;
  const below = givingWay.get(part) ?? 0;
  return below > 0 ? { ...fold, below } : null;
}

export function placeOf(context: CompileContext, { part, piece }: PlacedPart): PartPlace {
  // What goes with its piece is moved along with that.
  const fold = part.folds ? foldIn(context, part.id) : null;
  const arrives = fold?.to && context.pieces.includes(fold.to.piece) ? fold : null;
  const isColumn = opensOver(piece) || pieceKind(piece).stands === 'beside';
  return {
    fold,
    inPlace: fold ? from(fold.below) : [],
    inRow: isColumn ? null : arrives ? from(arrives.below) : [],
    inPanel: isColumn ? [] : arrives ? below(arrives.below) : null,
    berth: arrives?.to?.part.id ?? null,
  };
}

/** Rules under conditions; none where those are never met. */
export const under = (rules: Rules, widths: Widths): ConditionalRule[] =>
  widths === null ? [] : ruled(rules, widths);
