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
    const nav = last.parentElement as HTMLElement;
    const level = `${at('level').slice(5)}-`;
    // What moves is at another level of the menu then.
    const tellLevels = () => {
      for (const one of nav.querySelectorAll(`[class*=${level}]`)) {
        let depth = 0;
        for (let up = one; up !== nav; up = up.parentElement as Element) if (up.matches('ul')) depth++;
        for (const other of [1, 2, 3]) one.classList.toggle(`${level}${other}`, other === Math.min(depth, 3));
      }
    };
    const putBack = () => {
      own.before(...box.children);
      own.hidden = true;
      even();
      tellLevels();
    };
    const settle = () => {
      const focused = last.querySelector<HTMLElement>(':focus');
      putBack();
      if (getComputedStyle(own).getPropertyValue(`-${at('rest').slice(4)}`))
        // The last link leaves as long as there is more than one line, and a link that can.
        while (isOver()) {
          const next = own.previousElementSibling ?? first?.lastElementChild;
          if (!next) break;
          own.hidden = false;
          box.prepend(next);
          even();
        }
      tellLevels();
      focused?.focus();
    };
    const observer = new ResizeObserver(settle);
    for (const list of lists) observer.observe(list);
    // The observer comes too late for the first picture.
    settle();
    if (STOPPABLE)
      undo?.(() => {
        observer.disconnect();
        putBack();
      });
  }
};
