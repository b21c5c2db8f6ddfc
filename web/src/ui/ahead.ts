import { whenIdle } from '../store/when-idle.ts';

/*
 * What is loaded when it is first needed is fetched ahead of that once the page has nothing else to do, so that a place that
 * was opened works on when the connection is gone.
 */

type Load = () => Promise<unknown>;

const waiting = new Set<Load>();

/** How long a page that was opened is left alone first, in ms. */
const AFTER_OPENING = 2500;

/** Lets something be fetched ahead of need. */
export function fetchedAhead(load: Load): void {
  waiting.add(load);
}

const idle = () => new Promise<void>(whenIdle);

async function fetchAll(isLeft: () => boolean): Promise<void> {
  for (const load of waiting) {
    await idle();
    if (isLeft()) return;
    try {
      await load();
      waiting.delete(load);
    } catch {
      // There is no connection now: it is tried again when the next page is opened, or when it is needed.
    }
  }
  document.documentElement.toggleAttribute('data-fetched', waiting.size === 0);
}

/** Fetches all of it, bit by bit; answers how to stop. */
export function fetchAhead(): () => void {
  let isLeft = false;
  const timer = setTimeout(() => void fetchAll(() => isLeft), AFTER_OPENING);
  return () => {
    isLeft = true;
    clearTimeout(timer);
  };
}
