import type { Start } from '../tools.ts';

/** Tells the stylesheet that the page is scrolled as far as a bar waits for. */
export const start: Start = (root, at, on, _html, undo) => {
  // Panels are not scrolled with the page.
  if ('close' in root) return;
  const name = at('past');
  const after = () => getComputedStyle(root).getPropertyValue(`-${at('after').slice(4)}`);
  const look = () => root.toggleAttribute(name, scrollY > parseFloat(after()));
  on(window, 'scroll', look);
  look();
  if (STOPPABLE)
    undo?.(() => {
      root.removeAttribute(name);
    });
};
