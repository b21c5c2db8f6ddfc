import { useEffect } from 'react';
import { fetchedAhead } from './ahead.ts';
import { notify } from '../store/notices.ts';
import { WORDS } from '../words/words.ts';

/** What drags are made of: loaded once the pointer moves where something can be dragged, so that nothing waits for it. */
export type Dragging = typeof import('./dragging.ts');

let loading: Promise<Dragging> | null = null;

/** The first movement of a pointer since the page was opened. */
const firstMovement = (): Promise<void> =>
  new Promise((resolve) => {
    for (const type of ['pointermove', 'pointerdown'])
      window.addEventListener(
        type,
        () => {
          resolve();
        },
        { once: true, passive: true },
      );
  });

fetchedAhead(async () => import('./dragging.ts'));

const load = (): Promise<Dragging> => (loading ??= firstMovement().then(async () => import('./dragging.ts')));

/**
 * Sets up what takes part in drags as long as the component stands, and whenever what it depends on changes; `setUp` answers
 * how to end it, or nothing where there is nothing to set up.
 */
export function useDragging(
  setUp: (dragging: Dragging) => (() => void) | undefined,
  depends: readonly unknown[],
): void {
  useEffect(() => {
    let end: (() => void) | undefined;
    let isOver = false;
    load().then(
      (dragging) => {
        if (!isOver) end = setUp(dragging);
      },
      (error: unknown) => {
        loading = null;
        notify({ tone: 'error', text: WORDS.notLoaded(String(error), navigator.onLine) });
      },
    );
    return () => {
      isOver = true;
      end?.();
    };
  }, depends);
}
