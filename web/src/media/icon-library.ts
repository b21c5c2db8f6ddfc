const drawings = new Map<string, string>();

/** Most drawings that are asked for at once. */
const MOST_AT_ONCE = 200;

/** Drawings of the library by name, each what stands inside its 24 by 24 root; those it has not are left out. */
export async function loadDrawings(wanted: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const missing = wanted.filter((name) => !drawings.has(name));
  for (let at = 0; at < missing.length; at += MOST_AT_ONCE) {
    const names = missing
      .slice(at, at + MOST_AT_ONCE)
      .map(encodeURIComponent)
      .join(',');
    const response = await fetch(`/api/icons/drawings?names=${names}`);
    if (!response.ok) throw new Error(`The icon library answers ${response.status}.`);
    for (const [name, body] of Object.entries((await response.json()) as Record<string, string>))
      drawings.set(name, body);
  }
  return knownDrawings(wanted);
}

/** Those drawings of the library that have been fetched already. */
export const knownDrawings = (wanted: readonly string[]): ReadonlyMap<string, string> =>
  new Map(
    wanted.flatMap((name) => {
      const body = drawings.get(name);
      return body === undefined ? [] : [[name, body] as const];
    }),
  );

/** One drawing of the library; null where it has none of the name, or cannot be reached. */
export async function loadIcon(name: string): Promise<string | null> {
  // Without the library a part starts without its icon; one can be chosen later.
  return loadDrawings([name]).then(
    (found) => found.get(name) ?? null,
    () => null,
  );
}

export const iconSvg = (body: string) => `<svg viewBox="0 0 24 24">${body}</svg>`;
