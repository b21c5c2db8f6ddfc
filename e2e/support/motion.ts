import type { Page } from '@playwright/test';

/** A page, or an element in the frame that is meant. */
interface Place {
  readonly evaluate: (run: () => Promise<void>) => Promise<void>;
}

/** Waits until nothing of a page is on its way any more; what goes round for ever is let be. */
export async function still(place: Place): Promise<void> {
  await place.evaluate(async () => {
    const drawn = async () => new Promise((resolve) => requestAnimationFrame(resolve));
    const underWay = () =>
      document.getAnimations().filter(
        (animation) =>
          animation.playState === 'running' &&
          animation.effect?.getComputedTiming().endTime !== Infinity &&
          // What waits for the script is on its way nowhere.
          !/-(?:wait|hold)$/.test((animation as CSSAnimation).animationName ?? ''),
      );
    // What begins in this task is there with the next picture.
    await drawn();
    await drawn();
    for (let moving = underWay(); moving.length > 0; moving = underWay()) {
      await Promise.allSettled(moving.map(async ({ finished }) => finished));
      await drawn();
    }
  });
}

/** Holds all motion of a page at its beginning, so that it is seen there however slow the machine; answers what lets it go. */
export async function holdMotion(page: Page): Promise<() => Promise<void>> {
  const session = await page.context().newCDPSession(page);
  const play = async (playbackRate: number) => {
    await session.send('Animation.setPlaybackRate', { playbackRate });
  };
  await session.send('Animation.enable');
  await play(0);
  return async () => play(1);
}

/** Watches from now on how much the page shifts by itself (Layout Instability). */
export const watchShifts = (page: Page) =>
  page.evaluate(() => {
    const seen = window as unknown as { shifts: number };
    seen.shifts = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) seen.shifts += (entry as unknown as { value: number }).value;
    }).observe({ type: 'layout-shift' });
  });
/** The sum of all shifts since then. */
export const shifts = (page: Page) => page.evaluate(() => (window as unknown as { shifts: number }).shifts);
