import { isRecord, type Change, type Edit } from '@hamaca/core';

/** A change that the server has not confirmed yet. `edit` lets it be made again on a newer document. */
export interface PendingChange extends Change {
  readonly id: string;
  readonly edit: Edit | null;
}

const PREFIX = 'hamaca.pending.';
const keyOf = (siteId: string, tab: string) => `${PREFIX}${siteId}.${tab}`;

/** The keys that are kept, with the site and the tab of each. */
const keptKeys = (): { readonly key: string; readonly site: string; readonly owner: string }[] =>
  Object.keys(localStorage)
    .filter((key) => key.startsWith(PREFIX))
    .map((key) => {
      const dot = key.lastIndexOf('.');
      return { key, site: key.slice(PREFIX.length, dot), owner: key.slice(dot + 1) };
    });

const lockOf = (tab: string) => `hamaca-tab-${tab}`;

/** A short random id. */
export function randomId(): string {
  return [...crypto.getRandomValues(new Uint8Array(12))].map((byte) => (byte % 36).toString(36)).join('');
}

/** An id for a new link. */
export const newLinkId = () => `link-${randomId()}`;

/** Keeps unconfirmed changes in the browser, so that closing the page loses nothing. Answers whether it does. */
export function keepPending(siteId: string, tab: string, pending: readonly PendingChange[]): boolean {
  try {
    if (pending.length === 0) localStorage.removeItem(keyOf(siteId, tab));
    else localStorage.setItem(keyOf(siteId, tab), JSON.stringify(pending));
    return true;
  } catch {
    // Storage may be full or forbidden; whatever the reason, the changes stand in this page alone.
    return pending.length === 0;
  }
}

/** The names of the locks that tabs hold; null where the browser has none (pages without encryption, on another host). */
async function heldLocks(): Promise<ReadonlySet<string> | null> {
  const { locks } = navigator as { locks?: LockManager };
  if (!locks) return null;
  const held = (await locks.query()).held ?? [];
  return new Set(held.map((lock) => lock.name ?? ''));
}

const TABS = 'hamaca.tabs';
/** How many of a browser's tabs are remembered. */
const MOST_TABS = 100;

function knownTabs(): string[] {
  try {
    const known: unknown = JSON.parse(localStorage.getItem(TABS) ?? '[]');
    return Array.isArray(known) ? known.filter((tab) => typeof tab === 'string') : [];
  } catch {
    // Forbidden, or spoilt: then only this tab is known.
    return [];
  }
}

function rememberTab(tab: string): void {
  const others = knownTabs().filter((known) => known !== tab);
  try {
    localStorage.setItem(TABS, JSON.stringify([...others, tab].slice(-MOST_TABS)));
  } catch {
    // A full storage has better uses.
  }
}

/** The ids of this tab and of those of this browser that were closed: whose edits are one's own. */
export async function ownTabs(tab: string): Promise<ReadonlySet<string>> {
  const held = await heldLocks();
  return new Set([tab, ...knownTabs().filter((known) => held !== null && !held.has(lockOf(known)))]);
}

/** This tab's id, held by a lock for as long as the tab lives; a duplicated tab gets a new one. */
export async function claimTab(): Promise<string> {
  const held = await heldLocks();
  try {
    const known = sessionStorage.getItem('hamaca.tab');
    const tab = known !== null && held?.has(lockOf(known)) !== true ? known : randomId();
    sessionStorage.setItem('hamaca.tab', tab);
    rememberTab(tab);
    if (held) void navigator.locks.request(lockOf(tab), () => new Promise(() => undefined));
    return tab;
  } catch {
    // Without storage nothing is kept that another tab could take for its own.
    return randomId();
  }
}

const isPending = (value: unknown): value is PendingChange =>
  isRecord(value) &&
  typeof value['id'] === 'string' &&
  typeof value['label'] === 'string' &&
  Array.isArray(value['patch']);

/** What stands under one key; null where it cannot be read. */
function readKept(key: string): PendingChange[] | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
    return Array.isArray(kept) && kept.every(isPending) ? kept : null;
  } catch {
    // Half written, or changed by hand: whoever asked puts it aside.
    return null;
  }
}

/** Changes that were kept for a site and are this tab's now, and how many entries could not be read. */
export interface Adopted {
  readonly changes: readonly PendingChange[];
  readonly broken: number;
}

const BROKEN = 'hamaca.broken.';

/**
 * Changes that this tab, or one that was closed, kept for a site and never saw confirmed. What cannot be read is put aside
 * under another name. Without locks nobody knows which tabs live: each keeps to its own.
 */
export async function adoptPending(siteId: string, tab: string): Promise<Adopted> {
  const held = await heldLocks();
  const changes: PendingChange[] = [];
  let broken = 0;
  try {
    for (const { key, owner } of keptKeys().filter(({ site }) => site === siteId)) {
      if (owner !== tab && (held === null || held.has(lockOf(owner)))) continue;
      const kept = readKept(key);
      if (kept) changes.push(...kept);
      else {
        broken++;
        localStorage.setItem(BROKEN + key, localStorage.getItem(key) ?? '');
      }
      localStorage.removeItem(key);
    }
  } catch {
    // Storage that is forbidden keeps nothing; what was read before stands.
  }
  return { changes, broken };
}

/** How many edits of pages that were closed were never confirmed, by the id of their site. */
export async function unsentEdits(): Promise<readonly (readonly [site: string, count: number])[]> {
  const held = await heldLocks();
  const counts = new Map<string, number>();
  try {
    for (const { key, site, owner } of keptKeys()) {
      // Those of a page that is open are sent by it; without locks nobody knows which are.
      if (held === null || held.has(lockOf(owner))) continue;
      const count = readKept(key)?.length ?? 0;
      if (count > 0) counts.set(site, (counts.get(site) ?? 0) + count);
    }
  } catch {
    // Storage that is forbidden keeps nothing.
  }
  return [...counts];
}

/** Throws away what was kept for a site by pages that were closed. */
export async function dropUnsent(siteId: string, tab: string): Promise<void> {
  await adoptPending(siteId, tab);
}
