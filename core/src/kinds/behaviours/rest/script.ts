import type { Start } from '../tools.ts';

/** Links that a row has no room for move into the submenu of a last one, where the stylesheet says so, and back. */
export const start: Start = (root, at, _on, _html, undo) => {
  for (const box of root.querySelectorAll(`[${at('rest')}]`)) {
    const own = box.parentElement as HTMLElement;
    const list = own.parentElement as HTMLElement;
    const settle = () => {
      const focused = list.querySelector<HTMLElement>(':focus');
      own.before(...box.children);
      own.hidden = true;
      if (getComputedStyle(own).getPropertyValue(`-${at('rest').slice(4)}`))
        // The last link leaves as long as there is more than one line, and a link that can.
        for (
          let shown;
          ((shown = ([...list.children] as HTMLElement[]).filter((item) => item.offsetHeight)).pop()
            ?.offsetTop as number) > (shown[0]?.offsetTop as number) && own.previousElementSibling;
        ) {
          own.hidden = false;
          box.prepend(own.previousElementSibling);
        }
      focused?.focus();
    };
    const observer = new ResizeObserver(settle);
    observer.observe(list);
    // The observer comes too late for the first picture.
    settle();
    if (STOPPABLE)
      undo?.(() => {
        observer.disconnect();
        own.before(...box.children);
        own.hidden = true;
      });
  }
};
