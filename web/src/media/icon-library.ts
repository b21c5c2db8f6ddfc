import iconsUrl from '@iconify-json/tabler/icons.json?url';

/** One drawing of the library: its name and what stands inside its 24 by 24 root. */
export interface LibraryIcon {
  readonly name: string;
  readonly body: string;
}

let loading: Promise<readonly LibraryIcon[]> | null = null;

/** The icon library, fetched once when it is first asked for. */
export function loadIcons(): Promise<readonly LibraryIcon[]> {
  loading ??= fetch(iconsUrl)
    .then((response) => response.json() as Promise<{ icons: Record<string, { body: string }> }>)
    .then(({ icons }) => Object.entries(icons).map(([name, { body }]) => ({ name, body })))
    .catch((error: unknown) => {
      loading = null;
      throw error;
    });
  return loading;
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

/** Icons in whose names every word, or another word for it, occurs; those that begin with the first lead. */
export function findIcons(
  icons: readonly LibraryIcon[],
  typed: string,
  most: number,
): readonly LibraryIcon[] {
  const words = typed
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const found = icons.filter(({ name }) =>
    words.every(
      (word) => name.includes(word) || WORDS[word]?.some((other) => name.startsWith(other)) === true,
    ),
  );
  const [first = ''] = words;
  return [
    ...found.filter(({ name }) => name.startsWith(first)),
    ...found.filter(({ name }) => !name.startsWith(first)),
  ].slice(0, most);
}
