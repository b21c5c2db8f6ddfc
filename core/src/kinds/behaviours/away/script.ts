import type { Start } from '../tools.ts';

/** A panel closes once the page behind it is scrolled on. */
export const start: Start<HTMLDialogElement> = (root, at, on) => {
  if (!root.hasAttribute(at('away'))) return;
  on(window, 'scroll', () => {
    root.close();
  });
};
