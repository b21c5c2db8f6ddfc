import type { SlotRef } from '../../model/look.ts';
import type { Level } from '../../model/states.ts';

/** What may be wrong with a thing as a browser draws it. */
export const SIGHTS = ['cut', 'outside', 'beneath', 'faint', 'small'] as const;

export type SightKind = (typeof SIGHTS)[number];

/** Colours of a mark and of what is behind it, as the browser computed them. */
export interface MarkPaint {
  /** Colours the mark is drawn in. */
  readonly mark: readonly string[];
  /** Grounds behind it, innermost first; the last one lets nothing through. */
  readonly grounds: readonly string[];
}

/** One thing of the output that a browser draws in a way that may be wrong, with what was measured. */
export interface Sight extends SlotRef {
  readonly level: Level | null;
  readonly kind: SightKind;
  /**
   * In px: how much of a text is cut away, how far a thing reaches past the window, how far two things lie over one another,
   * the smaller side of what can be pressed. Of a mark its contrast, which follows from its paint.
   */
  readonly amount: number;
  readonly paint?: MarkPaint;
  /** Words of the thing, or the name it has for screen readers. */
  readonly words: string;
  /** Words of the other thing, where two are concerned. */
  readonly other: string | null;
  /** The page’s width in px. */
  readonly width: number;
  /** Names of what was opened one after the other to see it. */
  readonly opened: readonly string[];
}
