import type { FetchedLink } from '@hamaca/core';
import { fetchPage, FetchRefused, type FetchWorld } from '@hamaca/fetching';

/** Bounds on one round of checks: addresses, at a time, per second, and in all. */
export const CHECK_LIMITS = {
  addresses: 1000,
  parallel: 4,
  perSecond: 20,
  milliseconds: 8000,
  total: 180_000,
} as const;

/** Methods that a server may not know for a page that it has. */
const NO_HEAD = new Set([400, 403, 404, 405, 406, 501]);

async function checkAddress(url: string, world: FetchWorld, signal: AbortSignal): Promise<FetchedLink> {
  try {
    let answer = await fetchPage(url, world, {
      method: 'HEAD',
      signal,
      milliseconds: CHECK_LIMITS.milliseconds,
    });
    if (NO_HEAD.has(answer.status))
      answer = await fetchPage(url, world, { signal, milliseconds: CHECK_LIMITS.milliseconds });
    const { status, finalUrl, permanent } = answer;
    return { url, status, finalUrl, permanent: permanent && finalUrl !== url, error: null };
  } catch (error) {
    if (!(error instanceof FetchRefused)) throw error;
    return { url, status: null, finalUrl: url, permanent: false, error: error.message };
  }
}

/** Asks addresses one after the other, a few at a time and not too fast; `tell` gets each answer as it comes. */
export async function checkAddresses(
  addresses: readonly string[],
  world: FetchWorld,
  signal: AbortSignal,
  tell: (found: FetchedLink) => Promise<void>,
): Promise<void> {
  const bounded = AbortSignal.any([signal, AbortSignal.timeout(CHECK_LIMITS.total)]);
  const waiting = [...addresses];
  let nextStart = Date.now();
  const work = async (): Promise<void> => {
    for (let url = waiting.shift(); url !== undefined && !bounded.aborted; url = waiting.shift()) {
      const wait = nextStart - Date.now();
      nextStart = Math.max(nextStart, Date.now()) + 1000 / CHECK_LIMITS.perSecond;
      if (wait > 0)
        await new Promise((resolve) => {
          setTimeout(resolve, wait);
        });
      await tell(await checkAddress(url, world, bounded));
    }
  };
  await Promise.all(Array.from({ length: CHECK_LIMITS.parallel }, work)).catch((error: unknown) => {
    if (!bounded.aborted) throw error;
  });
}
