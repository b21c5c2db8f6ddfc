import type { Start } from '../tools.ts';

/** Links that a row has no room for move into the submenu of a last one, where the stylesheet says so, and back. */
export const start: Start = (root, at, _on, undo) => {
  for (const box of root.querySelectorAll(`[${at('rest')}]`)) {
    const own = box.parentElement as HTMLElement;
    const list = own.parentElement as HTMLElement;
    /** The last link that can leave, where there is more than one line. */
    const leaves = () => {
      const shown = ([...list.children] as HTMLElement[]).filter((item) => item.offsetHeight);
      const isLower = (shown.pop()?.offsetTop as number) > (shown[0]?.offsetTop as number);
      return isLower && own.previousElementSibling;
    };
    const settle = () => {
      const focused = document.activeElement as HTMLElement;
      own.before(...box.children);
      own.hidden = true;
      if (getComputedStyle(own).getPropertyValue(`-${at('rest').slice(4)}`))
        for (let item; (item = leaves());) {
          own.hidden = false;
          box.prepend(item);
        }
      focused.focus();
    };
    const observer = new ResizeObserver(settle);
    observer.observe(list);
    if (STOPPABLE)
      undo?.(() => {
        observer.disconnect();
        own.before(...box.children);
        own.hidden = true;
      });
  }
};
