import type { Start } from '../tools.ts';

/** Tells the stylesheet how far the page is scrolled, so that a page drawn smaller keeps its middle in the window's. */
export const start: Start = (root, at, on, undo) => {
  if (!root.matches('dialog')) return;
  const { style } = document.documentElement;
  const name = at('y').replace('data', '-');
  const tell = () => {
    style.setProperty(name, `${scrollY}px`);
  };
  on(window, 'scroll', tell);
  tell();
  if (STOPPABLE)
    undo?.(() => {
      style.removeProperty(name);
    });
};
