import type { Start } from '../tools.ts';

/**
 * Starts behaviours on every root that has not been started; answers how to stop them. Each behaviour runs over all
 * roots before the next one: what moves between roots moves last.
 */
export const start = (prefix: string, roots: string, starts: readonly Start[]): (() => void) | undefined => {
  const controller = STOPPABLE ? new AbortController() : null;
  const at = (word: string) => `data-${prefix}${word}`;
  const on = (target: EventTarget, type: string, listener: (event: Event) => unknown): void =>
    // eslint-disable-next-line @typescript-eslint/no-confusing-void-expression -- every page gets these bytes
    target.addEventListener(type, listener, ...(controller ? [controller] : []));
  const ready = at('ready');
  // Whatever the page's own forms are named, this is the document's.
  // eslint-disable-next-line @typescript-eslint/no-deprecated -- only what it says of elements that are gone is
  const found = Document.prototype.querySelectorAll.call(document, `${roots}:not([${ready}])`);
  for (const root of found) root.toggleAttribute(ready);
  const undo = controller
    ? (step: () => unknown) => {
        controller.signal.addEventListener('abort', step);
      }
    : undefined;
  if (STOPPABLE) for (const root of found) undo?.(() => root.toggleAttribute(ready));
  for (const begin of starts)
    for (const root of found) begin(root, at, on, root.closest('html') as HTMLElement, undo);
  // What it is like from now on has been drawn up once, so that nothing moves to it: from here on things may.
  for (const root of found) root.setAttribute(ready, (root.clientWidth >= 0) as unknown as string);
  return controller
    ? () => {
        controller.abort();
      }
    : undefined;
};
