import type { Start } from '../tools.ts';

/** Tells the stylesheet on which way the page is scrolled: a bar hides on the way down and comes back on the way up. */
export const start: Start = (root, at, on, _html, undo) => {
  // Panels are not scrolled with the page.
  if ('close' in root) return;
  const name = at('down');
  let last = scrollY;
  on(window, 'scroll', () => {
    // At the ends of the page some browsers let it spring back: that is no way up.
    if (Math.abs(scrollY - last) < 4) return;
    root.toggleAttribute(name, scrollY > Math.max(last, (root as HTMLElement).offsetHeight));
    last = scrollY;
  });
  if (STOPPABLE)
    undo?.(() => {
      root.removeAttribute(name);
    });
};
