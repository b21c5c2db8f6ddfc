import type { Start } from '../tools.ts';

/** A finger sweeps a panel out over the side of the window it stands at; one in the middle of its width goes to either side. */
export const start: Start<HTMLDialogElement> = (root, at, on) => {
  if (!root.hasAttribute(at('swipe'))) return;
  let start: Touch;
  on(root, 'touchstart', ({ changedTouches: [touch] }: TouchEvent) => {
    start = touch as Touch;
  });
  on(root, 'touchend', ({ changedTouches: [touch] }: TouchEvent) => {
    const end = touch as Touch;
    const x = end.clientX - start.clientX;
    const y = end.clientY - start.clientY;
    const across = 2 * root.offsetLeft + root.offsetWidth - innerWidth;
    const down = 2 * root.offsetTop + root.offsetHeight - innerHeight;
    const lead = Math.abs(x) - Math.abs(y);
    if (lead > 60 ? x * (across || x) > 0 : lead < -60 && y * down > 0) root.close();
  });
};
