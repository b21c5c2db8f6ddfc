import { memoise } from '../base/memo.ts';

/** What sites call things, and what the library calls their drawings. */
export const WORDS: Readonly<Record<string, readonly string[]>> = {
  access: ['wheelchair', 'accessible'],
  account: ['user'],
  address: ['map-pin'],
  adopt: ['heart-handshake', 'paw'],
  alert: ['bell', 'alert'],
  animal: ['paw', 'fish', 'feather'],
  appointment: ['calendar'],
  archive: ['archive', 'folder'],
  arrival: ['plane-arrival', 'map-pin'],
  art: ['palette', 'brush'],
  article: ['news', 'article'],
  audio: ['headphones', 'volume'],
  bag: ['shopping-bag', 'basket'],
  bakery: ['bread'],
  basket: ['basket', 'shopping-cart'],
  bike: ['bike'],
  bird: ['feather', 'egg'],
  birds: ['feather', 'egg'],
  blog: ['news', 'pencil'],
  boat: ['sailboat', 'ship'],
  book: ['book', 'notebook'],
  booking: ['calendar', 'ticket'],
  bus: ['bus'],
  buy: ['shopping-cart', 'basket'],
  cafe: ['coffee', 'cup'],
  camping: ['tent', 'campfire'],
  career: ['briefcase'],
  catalogue: ['list', 'book'],
  chat: ['message', 'messages'],
  children: ['mood-kid', 'baby-carriage', 'balloon'],
  clothes: ['shirt', 'hanger'],
  concert: ['music', 'microphone'],
  contact: ['mail', 'message', 'phone'],
  cookie: ['cookie'],
  course: ['school', 'certificate'],
  courses: ['school', 'certificate'],
  culture: ['masks-theater', 'building-arch'],
  date: ['calendar'],
  delivery: ['truck-delivery', 'package'],
  directions: ['route', 'directions', 'compass'],
  discount: ['discount', 'tag'],
  dog: ['dog', 'paw'],
  donate: ['heart', 'gift'],
  download: ['download', 'file-download'],
  drink: ['glass', 'cup', 'bottle'],
  education: ['school', 'book'],
  email: ['mail'],
  event: ['calendar-event'],
  events: ['calendar-event'],
  exhibition: ['frame', 'palette'],
  faq: ['help', 'message-question'],
  favourite: ['heart', 'star', 'bookmark'],
  film: ['movie', 'video'],
  food: ['tools-kitchen', 'soup', 'apple'],
  forest: ['trees', 'tree'],
  gallery: ['photo', 'frame'],
  garden: ['plant', 'flower', 'leaf'],
  give: ['heart', 'gift'],
  group: ['users'],
  guide: ['map', 'compass', 'book'],
  guided: ['walk', 'flag', 'users'],
  health: ['heartbeat', 'stethoscope'],
  help: ['help', 'lifebuoy'],
  hide: ['binoculars', 'eye'],
  hike: ['walk', 'mountain', 'shoe'],
  history: ['history', 'building-monument'],
  hotel: ['bed', 'building'],
  hours: ['clock'],
  idea: ['bulb'],
  information: ['info'],
  instrument: ['guitar', 'piano'],
  jobs: ['briefcase'],
  join: ['user-plus', 'heart-handshake'],
  kitchen: ['tools-kitchen', 'chef-hat'],
  language: ['language', 'world'],
  law: ['scale', 'gavel'],
  learn: ['school', 'book'],
  library: ['books', 'book'],
  location: ['map-pin'],
  log: ['notebook', 'clipboard'],
  login: ['login', 'user'],
  lunch: ['soup', 'tools-kitchen'],
  map: ['map'],
  member: ['id-badge', 'users'],
  membership: ['id-badge', 'users'],
  menu: ['menu', 'list'],
  money: ['coin', 'cash'],
  museum: ['building-bank', 'building-arch'],
  music: ['music', 'guitar'],
  nature: ['leaf', 'trees'],
  news: ['news', 'speakerphone'],
  newsletter: ['mail', 'send'],
  night: ['moon', 'stars'],
  offer: ['discount', 'tag'],
  office: ['building', 'briefcase'],
  open: ['clock', 'door'],
  opening: ['clock', 'door'],
  order: ['shopping-cart', 'receipt'],
  parking: ['parking', 'car'],
  partners: ['heart-handshake', 'users'],
  party: ['confetti', 'balloon'],
  pay: ['credit-card', 'cash'],
  people: ['users'],
  phone: ['phone', 'device-mobile'],
  picture: ['photo'],
  place: ['map-pin'],
  plant: ['plant', 'leaf', 'seedling'],
  podcast: ['microphone', 'headphones'],
  press: ['news', 'speakerphone'],
  price: ['tag', 'receipt', 'coin'],
  privacy: ['lock', 'shield'],
  products: ['package', 'box'],
  programme: ['calendar-event', 'list'],
  question: ['help'],
  rail: ['train'],
  rent: ['key', 'home'],
  reserve: ['calendar', 'leaf'],
  restaurant: ['tools-kitchen', 'chef-hat'],
  ringing: ['bell', 'notebook'],
  river: ['ripple', 'droplet'],
  rooms: ['bed', 'door'],
  route: ['route', 'map'],
  safety: ['shield', 'lifebuoy'],
  sale: ['discount', 'tag'],
  school: ['school', 'backpack'],
  science: ['microscope', 'flask'],
  sea: ['ripple', 'sailboat'],
  search: ['search', 'zoom'],
  season: ['leaf', 'snowflake', 'sun'],
  seats: ['armchair', 'ticket'],
  settings: ['settings', 'adjustments'],
  share: ['share'],
  shipping: ['truck', 'package'],
  shop: ['shopping', 'basket', 'building-store'],
  sightings: ['binoculars', 'eye'],
  signup: ['user-plus', 'mail'],
  species: ['list', 'feather', 'leaf'],
  sport: ['ball-football', 'run'],
  staff: ['users', 'id-badge'],
  stage: ['masks-theater', 'microphone'],
  stay: ['bed', 'tent'],
  store: ['building-store', 'shopping'],
  story: ['book', 'news'],
  support: ['lifebuoy', 'help', 'heart'],
  swim: ['swimming', 'pool'],
  team: ['users'],
  terms: ['file-text', 'scale'],
  theatre: ['masks-theater'],
  ticket: ['ticket'],
  tickets: ['ticket'],
  time: ['clock'],
  timetable: ['calendar-time', 'clock'],
  tour: ['route', 'flag', 'walk'],
  tower: ['tower', 'building'],
  trail: ['route', 'walk'],
  trails: ['route', 'walk'],
  train: ['train'],
  travel: ['plane', 'luggage', 'train'],
  trip: ['backpack', 'map'],
  video: ['video', 'player-play'],
  visit: ['map', 'ticket'],
  volunteer: ['heart-handshake', 'users'],
  walk: ['walk', 'shoe'],
  walks: ['walk', 'shoe'],
  watch: ['binoculars', 'eye', 'device-watch'],
  water: ['droplet', 'ripple'],
  weather: ['cloud', 'sun'],
  wine: ['glass-full', 'bottle'],
  work: ['briefcase', 'tools'],
  workshop: ['tools', 'hammer'],
};

/** What the library may call what somebody calls so. */
const othersFor = (word: string): readonly string[] =>
  Object.hasOwn(WORDS, word) ? (WORDS[word] ?? []) : [];

/**
 * How plain a name is: the word itself, the names it is known by, what begins with the word, the rest, brands last; short
 * ones first.
 */
function plainness(name: string, first: string): number {
  if (name === first) return 0;
  const known = othersFor(first).indexOf(name);
  if (known !== -1) return 1 + known;
  const rank = name.startsWith('brand-') ? 3 : name.startsWith(first) ? 1 : 2;
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
  const known = words.map((word) => [word, othersFor(word)] as const);
  return icons
    .filter((name) =>
      known.every(([word, others]) => name.includes(word) || others.some((other) => name.startsWith(other))),
    )
    .map((name) => ({ name, rank: plainness(name, first) }))
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ name }) => name);
}

/** Words of a label that say nothing of what it leads to. */
const EMPTY = new Set([
  'a',
  'all',
  'an',
  'and',
  'at',
  'for',
  'here',
  'in',
  'of',
  'on',
  'our',
  'the',
  'to',
  'us',
  'your',
]);

/** The names of the library, gathered once however many labels are asked for. */
const namesIn = memoise((icons: readonly string[]): ReadonlySet<string> => new Set(icons));

/** The icon that fits a label best: that of its first telling word; null where no word finds one. */
export function iconForLabel(icons: readonly string[], label: string): string | null {
  const words = (label.toLowerCase().match(/\p{L}+/gu) ?? []).filter(
    (word) => word.length > 1 && !EMPTY.has(word),
  );
  const known = namesIn(icons);
  const named = words.flatMap((word) => [
    ...(known.has(word) ? [word] : []),
    ...othersFor(word).filter((name) => known.has(name)),
    ...(word.endsWith('s') && known.has(word.slice(0, -1)) ? [word.slice(0, -1)] : []),
  ]);
  return named[0] ?? words.flatMap((word) => findIcons(icons, word, 1))[0] ?? null;
}

const FILLED = /-filled$/;

/** The same drawing in the other style of the library, where it has one. */
export function inStyle(
  icons: ReadonlySet<string>,
  name: string,
  style: 'outlined' | 'filled',
): string | null {
  const plain = name.replace(FILLED, '');
  const wanted = style === 'filled' ? `${plain}-filled` : plain;
  return icons.has(wanted) ? wanted : null;
}
