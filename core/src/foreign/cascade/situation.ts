import type { Element } from 'domhandler';
import type { Viewport } from '../conditions/media.ts';
import { AT_REST, type Live } from '../selectors/pseudos.ts';
import { lineage } from '../tree.ts';

/** The states that a page can be asked about. */
export const FOREIGN_STATES = ['rest', 'hover', 'focus', 'pressed', 'current'] as const;
export type ForeignState = (typeof FOREIGN_STATES)[number];

/** When a page is looked at: its window, and what is going on. */
export interface Situation {
  readonly viewport: Viewport;
  readonly live: Live;
}

/** A situation in which one element is pointed at, focused or pressed, as those around it are, too. Who is current, only its marks say. */
export function situationOf(element: Element | null, state: ForeignState, viewport: Viewport): Situation {
  if (!element || state === 'rest' || state === 'current') return { viewport, live: AT_REST };
  const around = new Set(lineage(element));
  const nobody: ReadonlySet<Element> = new Set();
  const isPointed = state === 'hover' || state === 'pressed';
  const isFocused = state === 'focus';
  return {
    viewport,
    live: {
      pointed: isPointed ? around : nobody,
      pressed: state === 'pressed' ? around : nobody,
      focused: isFocused ? element : null,
      around: isFocused ? around : nobody,
    },
  };
}
