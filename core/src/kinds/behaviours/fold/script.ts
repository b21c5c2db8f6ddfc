import type { Start } from '../tools.ts';

/** Parts move to their berth where the stylesheet says that they fold, and back to their place. */
export const start: Start<HTMLDialogElement> = (root, at, on, html, undo) => {
  for (const part of html.querySelectorAll(`[${at('berth')}]`)) {
    const berth = html.querySelector(`#${part.getAttribute(at('berth'))}`) as Element;
    if (!root.contains(berth)) continue;
    const place = new Comment();
    part.before(place);
    const settle = () => {
      const folds = getComputedStyle(part).getPropertyValue(`-${at('folds').slice(4)}`);
      if (!folds !== root.contains(part)) return;
      if (folds) berth.before(part);
      else {
        root.close();
        place.after(part);
      }
    };
    on(window, 'resize', settle);
    settle();
    if (STOPPABLE)
      undo?.(() => {
        place.replaceWith(part);
      });
  }
};
