import type { Element } from 'domhandler';
import type { AddedDeclaration } from '../change/added-sheet.ts';
import type { Value } from '../cascade/cascade.ts';
import type { ForeignPage } from '../page.ts';
import type { BoxReader } from './box-reader.ts';

/** What can keep a header from staying in the window. */
export const OBSTACLE_KINDS = [
  'short box',
  'stays already',
  'clipped box',
  'scrolling box',
  'limited height',
  'captured',
  'slips beneath',
  'stacking',
  'see-through',
  'anchors',
] as const;
export type ObstacleKind = (typeof OBSTACLE_KINDS)[number];

/** A rule that a way out needs: declarations for one element. */
export interface WayRule {
  readonly element: Element;
  readonly declarations: readonly AddedDeclaration[];
}

/** One way out of what prevents it. */
export interface Way {
  readonly id: string;
  /** What is done, in words. */
  readonly text: string;
  readonly rules: readonly WayRule[];
}

/** Something on the page that prevents a header from staying. */
export interface Obstacle {
  readonly kind: ObstacleKind;
  readonly element: Element;
  /** What prevents it, in a sentence. */
  readonly text: string;
  /** What says it; null where it is how the page is built. */
  readonly said: Value | null;
  /** Ways out, the best first; none where the page itself would have to change. */
  readonly ways: readonly Way[];
}

/** What an obstacle is looked for in. */
export interface StayView {
  readonly page: ForeignPage;
  readonly header: Element;
  /** What is made to stay: the header, or a box around it that is as tall as it is. */
  readonly target: Element;
  /** The box whose end is the end of its staying. */
  readonly within: Element | null;
  /** Whether it hangs in the window, out of the page's flow. */
  readonly isFixed: boolean;
  /** Whether it took no room in the page before. */
  readonly wasOver: boolean;
  /** Whether a script has to hear how far the page is scrolled. */
  readonly needsScroll: boolean;
  /** Whether it scrolls away with the page and comes back after a distance. */
  readonly comesLater: boolean;
  /** Whether it has a fill of its own once the page is scrolled. */
  readonly fillsItself: boolean;
  /** Px; null where only layout could tell. */
  readonly height: number | null;
  readonly reader: BoxReader;
  readonly selectorOf: (element: Element) => string;
}

/** Looks for one sort of obstacle. */
export type FindObstacles = (view: StayView) => readonly Obstacle[];

/** A declaration that need not be important. */
export const declare = (property: string, value: string): AddedDeclaration => ({
  property,
  value,
  important: false,
});
