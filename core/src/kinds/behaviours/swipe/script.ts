import type { Start } from '../tools.ts';

/** A finger sweeps a panel back over the edge it stands at; one that fills the window goes to either side. */
export const start: Start = (root, at, on) => {
  if (!root.matches(`[${at('swipe')}]`)) return;
  let x = 0;
  let y = 0;
  on(root, 'touchstart', ({ touches: [touch] }: TouchEvent) => {
    x = touch?.clientX ?? 0;
    y = touch?.clientY ?? 0;
  });
  on(root, 'touchend', ({ changedTouches: [touch] }: TouchEvent) => {
    const across = (touch?.clientX ?? 0) - x;
    const along = (touch?.clientY ?? 0) - y;
    const { left, right, top, bottom } = root.getBoundingClientRect();
    const isAcross = Math.abs(across) > 2 * Math.abs(along);
    const isAlong = Math.abs(along) > 2 * Math.abs(across);
    const isFull = left <= 0 && right >= innerWidth && top <= 0 && bottom >= innerHeight;
    const isSwept =
      (isAcross && (across > 60 ? left > 0 || isFull : across < -60 && (right < innerWidth || isFull))) ||
      (isAlong && (along > 60 ? top > 0 : along < -60 && bottom < innerHeight));
    if (isSwept) (root as HTMLDialogElement).close();
  });
};
