import type { Start } from '../tools.ts';

/**
 * Links that a row has no room for move into the submenu of a last one, where the stylesheet says so, and back. Of two lists
 * around a logo both give way evenly.
 */
export const start: Start = (root, at, _on, _html, undo) => {
  for (const box of root.querySelectorAll(`[${at('rest')}]`)) {
    const own = box.parentElement as HTMLElement;
    const last = own.parentElement as HTMLElement;
    const first = last.previousElementSibling;
    const lists = first ? [first, last] : [last];
    const even = () => {
      const more = () => (first as Element).children.length - last.children.length + Number(own.hidden);
      if (!first) return;
      while (more() > 1) last.prepend(first.lastElementChild as Element);
      while (more() < 0) first.append(last.firstElementChild as Element);
    };
    const isOver = () =>
      lists.some(({ children }) => {
        const shown = ([...children] as HTMLElement[]).filter((item) => item.offsetHeight);
        return (shown.pop()?.offsetTop as number) > (shown[0]?.offsetTop as number);
      });
    const settle = () => {
      const focused = last.querySelector<HTMLElement>(':focus');
      own.before(...box.children);
      own.hidden = true;
      even();
      if (getComputedStyle(own).getPropertyValue(`-${at('rest').slice(4)}`))
        // The last link leaves as long as there is more than one line, and a link that can.
        while (isOver()) {
          const next = own.previousElementSibling ?? first?.lastElementChild;
          if (!next) break;
          own.hidden = false;
          box.prepend(next);
          even();
        }
      focused?.focus();
    };
    const observer = new ResizeObserver(settle);
    for (const list of lists) observer.observe(list);
    // The observer comes too late for the first picture.
    settle();
    if (STOPPABLE)
      undo?.(() => {
        observer.disconnect();
        own.before(...box.children);
        own.hidden = true;
        even();
      });
  }
};
