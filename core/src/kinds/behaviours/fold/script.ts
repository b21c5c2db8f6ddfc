import type { Start } from '../tools.ts';

/** Parts move to their berth where the stylesheet says that they fold, and back to their place. */
export const start: Start = (root, at, on, undo) => {
  for (const part of root.querySelectorAll(`[${at('berth')}]`)) {
    const berth = document.getElementById(part.getAttribute(at('berth')) as string) as Element;
    const panel = (berth as Element | null)?.closest('dialog');
    // The panel is a root too: what has just moved into it is not its own.
    if (!panel || panel === root) continue;
    const place = document.createComment('');
    part.before(place);
    const settle = () => {
      const folds = !!getComputedStyle(part).getPropertyValue(`-${at('folds').slice(4)}`);
      if (folds === panel.contains(part)) return;
      if (folds) berth.before(part);
      else {
        panel.close();
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
