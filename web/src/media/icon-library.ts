let names: Promise<readonly string[]> | null = null;

/** The names of all drawings of the library, fetched once when they are first asked for. */
export function loadIconNames(): Promise<readonly string[]> {
  names ??= fetch('/api/icons/names')
    .then(async (response) => {
      if (!response.ok) throw new Error(`The icon library answers ${response.status}.`);
      return (await response.json()) as readonly string[];
    })
    .catch((error: unknown) => {
      names = null;
      throw error;
    });
  return names;
}

const drawings = new Map<string, string>();

/** Drawings of the library by name, each what stands inside its 24 by 24 root; those it has not are left out. */
export async function loadDrawings(wanted: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const missing = wanted.filter((name) => !drawings.has(name));
  if (missing.length > 0) {
    const response = await fetch(`/api/icons/drawings?names=${missing.map(encodeURIComponent).join(',')}`);
    if (!response.ok) throw new Error(`The icon library answers ${response.status}.`);
    for (const [name, body] of Object.entries((await response.json()) as Record<string, string>))
      drawings.set(name, body);
  }
  return new Map(
    wanted.flatMap((name) => {
      const body = drawings.get(name);
      return body === undefined ? [] : [[name, body] as const];
    }),
  );
}

/** One drawing of the library; null where it has none of the name, or cannot be reached. */
export async function loadIcon(name: string): Promise<string | null> {
  // Without the library a part starts without its icon; one can be chosen later.
  return loadDrawings([name]).then(
    (found) => found.get(name) ?? null,
    () => null,
  );
}

export const iconSvg = (body: string) => `<svg viewBox="0 0 24 24">${body}</svg>`;

/** What sites call things, and what the library calls their drawings. */
const WORDS: Readonly<Record<string, readonly string[]>> = {
  access: ['wheelchair', 'accessible'],
  account: ['user'],
  address: ['map-pin'],
  animal: ['paw', 'fish', 'feather'],
  bird: ['feather', 'egg'],
  boat: ['sailboat', 'ship'],
  book: ['book', 'notebook'],
  buy: ['shopping-cart', 'basket'],
  contact: ['mail', 'message', 'phone'],
  course: ['school', 'certificate'],
  date: ['calendar'],
  donate: ['heart', 'gift'],
  event: ['calendar-event'],
  give: ['heart', 'gift'],
  hours: ['clock'],
  information: ['info'],
  language: ['language', 'world'],
  learn: ['school', 'book'],
  location: ['map-pin'],
  member: ['id-badge', 'users'],
  money: ['coin', 'cash'],
  music: ['music', 'guitar'],
  open: ['clock', 'door'],
  people: ['users'],
  picture: ['photo'],
  place: ['map-pin'],
  plant: ['plant', 'leaf', 'seedling'],
  question: ['help'],
  route: ['route', 'map'],
  shop: ['shopping', 'basket', 'building-store'],
  ticket: ['ticket'],
  time: ['clock'],
  tower: ['tower', 'building'],
  trail: ['route', 'walk'],
  visit: ['map', 'ticket'],
  volunteer: ['heart-handshake', 'users'],
  walk: ['walk', 'shoe'],
  water: ['droplet', 'ripple'],
};

/** How plain a name is: the word itself, then what begins with it, then the rest, brands last; short ones first. */
function plainness(name: string, first: string): number {
  const rank = name === first ? 0 : name.startsWith('brand-') ? 3 : name.startsWith(first) ? 1 : 2;
  return rank * 1000 + name.length;
}

/** Icons in whose names every word, or another word for it, occurs; the plainest lead. */
export function findIcons(icons: readonly string[], typed: string, most: number): readonly string[] {
  const words = typed
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const [first] = words;
  if (first === undefined) return icons.slice(0, most);
  const isFound = (name: string) =>
    words.every(
      (word) => name.includes(word) || WORDS[word]?.some((other) => name.startsWith(other)) === true,
    );
  return icons
    .filter(isFound)
    .map((name) => ({ name, rank: plainness(name, first) }))
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ name }) => name);
}
