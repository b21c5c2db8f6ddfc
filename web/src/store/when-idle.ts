/** Longest that work waits for the browser to have nothing else to do, in ms. */
const LONGEST_WAIT = 3000;

/** Does some work once the browser has nothing else to do; at once where it cannot tell. */
export function whenIdle(work: () => void): void {
  if (typeof requestIdleCallback === 'function') requestIdleCallback(work, { timeout: LONGEST_WAIT });
  else work();
}
