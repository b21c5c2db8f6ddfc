const KEY = 'hamaca.icons';

/** How many names are kept. */
const MOST = 22;

/** Names of library icons as they were last used on this machine, the newest first. */
export function recentIcons(): readonly string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? kept.filter((name) => typeof name === 'string').slice(0, MOST) : [];
  } catch {
    // Not ours, cut off, or no storage is given here: none was used.
    return [];
  }
}

/** Keeps that an icon of the library was used. */
export function rememberIcon(name: string): void {
  try {
    localStorage.setItem(
      KEY,
      JSON.stringify([name, ...recentIcons().filter((other) => other !== name)].slice(0, MOST)),
    );
  } catch {
    // Without room or leave to keep it, it is only not remembered.
  }
}
