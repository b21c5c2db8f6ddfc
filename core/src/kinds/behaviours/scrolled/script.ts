import type { Start } from '../tools.ts';

/**
 * Tells the stylesheet that the page is scrolled. Going on is noticed later than coming back, so that a bar which
 * shrinks does not bring itself back.
 */
export const start: Start = (root, at, on, _html, undo) => {
  // Panels are not scrolled with the page.
  if ('close' in root) return;
  const name = at('scrolled');
  const look = () => root.toggleAttribute(name, scrollY > 40 * Number(!root.hasAttribute(name)));
  on(window, 'scroll', look);
  look();
  if (STOPPABLE)
    undo?.(() => {
      root.removeAttribute(name);
    });
};
