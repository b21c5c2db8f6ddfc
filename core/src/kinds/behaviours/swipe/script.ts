import type { Start } from '../tools.ts';

/** A finger sweeps a panel back over the edge it stands at; one that fills the window goes to either side. */
export const start: Start<HTMLDialogElement> = (root, at, on) => {
  if (!root.hasAttribute(at('swipe'))) return;
  let x: number;
  let y: number;
  const place = ({ changedTouches: [touch] }: TouchEvent) => {
    const { clientX, clientY } = touch as Touch;
    return [clientX, clientY] as const;
  };
  on(root, 'touchstart', (event: TouchEvent) => {
    [x, y] = place(event);
  });
  on(root, 'touchend', (event: TouchEvent) => {
    const { left, right, top, bottom } = root.getBoundingClientRect();
    const [endX, endY] = place(event);
    const isAcross = Math.abs(endX - x) > Math.abs(endY - y);
    const [way, from, to] = isAcross
      ? [endX - x, left, right >= innerWidth]
      : [endY - y, top, bottom >= innerHeight];
    // Along what it spans it scrolls: only one that fills the window goes sideways all the same.
    const spans = from <= 0 && to && !(isAcross && bottom - top >= innerHeight);
    if (!spans && (way > 60 ? to : way < -60 && from <= 0)) root.close();
  });
};
