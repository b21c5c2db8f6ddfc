import type { Start } from '../tools.ts';

/** A panel closes once the page behind it is scrolled on. */
export const start: Start<HTMLDialogElement> = (root, at, on) => {
  if (!root.hasAttribute(at('away'))) return;
  // eslint-disable-next-line @typescript-eslint/no-confusing-void-expression -- every page gets these bytes
  on(window, 'scroll', () => root.close());
};
