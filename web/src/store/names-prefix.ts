import { DEFAULT_PREFIX, PREFIX } from '@hamaca/core';

const keyOf = (site: string) => `hamaca.prefix.${site}`;

/** What the names of a site's hand-off begin with, as it was last chosen in this browser. */
export function namesPrefix(site: string): string {
  try {
    const kept = localStorage.getItem(keyOf(site)) ?? DEFAULT_PREFIX;
    return PREFIX.test(kept) ? kept : DEFAULT_PREFIX;
  } catch {
    // Forbidden storage remembers nothing.
    return DEFAULT_PREFIX;
  }
}

export function keepNamesPrefix(site: string, prefix: string): void {
  try {
    localStorage.setItem(keyOf(site), prefix);
  } catch {
    // It holds as long as the page is open.
  }
}
