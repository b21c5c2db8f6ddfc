import type { Element } from 'domhandler';
import type { Viewport } from '../conditions/media.ts';
import type { ForeignPage } from '../page.ts';
import { AT_REST, type Live } from '../selectors/pseudos.ts';
import { lineage, parentOf } from '../tree.ts';
import { marksOf, opensByPointing } from './marked-states.ts';

/** The states that a page can be asked about. */
export const FOREIGN_STATES = ['rest', 'hover', 'focus', 'pressed', 'current', 'open'] as const;
export type ForeignState = (typeof FOREIGN_STATES)[number];

/** When a page is looked at: its window, and what is going on. */
export interface Situation {
  readonly viewport: Viewport;
  readonly live: Live;
}

/** A page at rest, in a window. */
export const atRestIn = (viewport: Viewport): Situation => ({ viewport, live: AT_REST });

/** What is going on with a page where one of its elements is in a state, as those around it are, too. */
function liveOf(page: ForeignPage, element: Element, state: ForeignState): Live {
  const around = new Set(lineage(element));
  switch (state) {
    case 'rest':
      return AT_REST;
    case 'hover':
      return { ...AT_REST, pointed: around };
    case 'focus':
      return { ...AT_REST, focused: element, around };
    case 'pressed':
      return { ...AT_REST, pointed: around, pressed: around };
    case 'current':
      return { ...AT_REST, marks: marksOf(page, element, state) };
    case 'open': {
      const marks = marksOf(page, element, state);
      const outer = parentOf(element);
      if (!outer || !opensByPointing(page).value) return { ...AT_REST, marks };
      // One points at what it lies in, not at itself.
      const pointed = new Set(lineage(outer));
      return { ...AT_REST, marks, pointed, around: pointed };
    }
  }
}

/** A page with one of its elements in a state, in a window. */
export const situationOf = (
  page: ForeignPage,
  element: Element,
  state: ForeignState,
  viewport: Viewport,
): Situation => ({ viewport, live: liveOf(page, element, state) });
