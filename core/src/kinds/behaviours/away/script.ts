import type { Start } from '../tools.ts';

/** A panel closes once the page behind it is scrolled on. */
export const start: Start = (root, at, on) => {
  if (!root.matches(`[${at('away')}]`)) return;
  on(window, 'scroll', () => {
    (root as HTMLDialogElement).close();
  });
};
