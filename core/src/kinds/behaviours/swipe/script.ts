import type { Start } from '../tools.ts';

/** What an event of a finger tells: there always is one. */
interface Touched {
  readonly changedTouches: readonly [Touch];
}

/** A finger sweeps a panel out over the side of the window it stands at; one in the middle of its width goes to either side. */
export const start: Start<HTMLDialogElement> = (root, at, on) => {
  if (!root.hasAttribute(at('swipe'))) return;
  let start: Touch;
  on(root, 'touchstart', ({ changedTouches: [touch] }: Touched) => {
    start = touch;
  });
  on(root, 'touchend', ({ changedTouches: [end] }: Touched) => {
    const x = end.clientX - start.clientX;
    const y = end.clientY - start.clientY;
    const across = 2 * root.offsetLeft + root.offsetWidth - innerWidth;
    const down = 2 * root.offsetTop + root.offsetHeight - innerHeight;
    const lead = Math.abs(x) - Math.abs(y);
    if (lead > 60 ? x * (across || x) > 0 : lead < -60 && y * down > 0) root.close();
  });
};
