import type { Start } from '../tools.ts';

/** Tells the stylesheet how far the page is scrolled, so that a page drawn smaller keeps its middle in the window's. */
export const start: Start = (_root, at, on, html, undo) => {
  const { style } = html;
  const name = `-${at('y').slice(4)}`;
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
