import type { Change, Edit } from '@hamaca/core';

/** A change that the server has not confirmed yet. `edit` lets it be made again on a newer document. */
export interface PendingChange extends Change {
  readonly id: string;
  readonly edit: Edit | null;
}

const PREFIX = 'hamaca.pending.';
const keyOf = (siteId: string, tab: string) => `${PREFIX}${siteId}.${tab}`;
const lockOf = (tab: string) => `hamaca-tab-${tab}`;

/** A short random id. */
export function randomId(): string {
  return [...crypto.getRandomValues(new Uint8Array(12))].map((byte) => (byte % 36).toString(36)).join('');
}

/** An id for a new link. */
export const newLinkId = () => `link-${randomId()}`;

/** Keeps unconfirmed changes in the browser, so that closing the page loses nothing. */
export function keepPending(siteId: string, tab: string, pending: readonly PendingChange[]): void {
  try {
    if (pending.length === 0) localStorage.removeItem(keyOf(siteId, tab));
    else localStorage.setItem(keyOf(siteId, tab), JSON.stringify(pending));
  } catch {
    // Storage may be full or forbidden; the changes still stand in this page.
  }
}

async function liveTabs(): Promise<ReadonlySet<string>> {
  const held = (await navigator.locks.query()).held ?? [];
  return new Set(held.map((lock) => lock.name ?? ''));
}

/** This tab's id, held by a lock for as long as the tab lives; a duplicated tab gets a new one. */
export async function claimTab(): Promise<string> {
  const known = sessionStorage.getItem('hamaca.tab');
  const tab = known && !(await liveTabs()).has(lockOf(known)) ? known : randomId();
  sessionStorage.setItem('hamaca.tab', tab);
  void navigator.locks.request(lockOf(tab), () => new Promise(() => undefined));
  return tab;
}

/** Changes that this tab, or one that was closed, kept for a site and never saw confirmed. They are this tab's now. */
export async function adoptPending(siteId: string, tab: string): Promise<PendingChange[]> {
  const live = await liveTabs();
  const adopted: PendingChange[] = [];
  for (const key of Object.keys(localStorage).filter((name) => name.startsWith(`${PREFIX}${siteId}.`))) {
    const owner = key.slice(`${PREFIX}${siteId}.`.length);
    if (owner !== tab && live.has(lockOf(owner))) continue;
    adopted.push(...(JSON.parse(localStorage.getItem(key) ?? '[]') as PendingChange[]));
    localStorage.removeItem(key);
  }
  return adopted;
}
