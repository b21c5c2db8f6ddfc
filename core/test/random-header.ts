/* eslint-disable @typescript-eslint/no-explicit-any -- a raw document is built and loaded */
import { makePart } from '../src/kinds/create.ts';
import { MENU_SLOTS, type MenuSlot } from '../src/kinds/parts/menu/slots.ts';
import { PARTS } from '../src/kinds/parts/parts.ts';
import { ARRANGEMENT_IDS, createRow } from '../src/kinds/sections/row/shape.ts';
import type { Site } from '../src/kinds/site.ts';
import { loadSite } from '../src/load/load-site.ts';
import { rawDemo } from './demo.ts';
import { REED } from './furnished.ts';
import { whole, type Random } from './random-site.ts';

/** A picture as data, 24 px wide and 8 px tall. */
const PICTURE = 'data:image/gif;base64,R0lGODlhGAAIAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7';

/** Words of several scripts: Latin, Latin with marks, Greek, Cyrillic and Hebrew. */
const WORDS = [
  ['Visit', 'Birds', 'Opening hours', 'News', 'Join in', 'Contact', 'Species A–Z', 'Trails & hides', 'Give'],
  ['Návštěva', 'Łąki', 'Ptáci', 'Őszi séták', 'Ziyaret', 'İletişim', 'Škola', 'Ţinut'],
  ['Επίσκεψη', 'Πουλιά', 'Νέα', 'Ώρες', 'Επικοινωνία'],
  ['Посещение', 'Птицы', 'Новости', 'Школа', 'Контакты'],
  ['ביקור', 'ציפורים', 'חדשות', 'שעות פתיחה', 'צור קשר', 'סיורים'],
] as const;
/** Typefaces that hold the letters of the script beside. */
const FAMILIES = [
  ['figtree', 'karla', 'newsreader', 'rubik', 'work-sans', 'fraunces'],
  ['figtree', 'karla', 'rubik', 'work-sans'],
  ['commissioner', 'literata', 'source-serif-4'],
  ['rubik', 'commissioner', 'literata'],
  ['rubik'],
] as const;

/** Which of them is written from right to left. */
const HEBREW = 4;

interface World {
  readonly random: Random;
  readonly words: readonly string[];
  readonly family: string;
  readonly fresh: (word: string) => string;
}

const line = (random: Random) => ({
  line: { width: whole(random, 1, 4), style: 'solid', colour: { role: 'line' } },
});

/** A length in one of the units that fit has to follow. */
function length(random: Random, most: number): number | string {
  const px = whole(random, 0, most);
  const kind = random.next();
  if (kind < 0.7) return px;
  if (kind < 0.85) return `${whole(random, 0, Math.max(1, Math.floor(most / 8))) / 4}em`;
  return `clamp(${px}px, ${whole(random, 1, 2)}vw, ${px + whole(random, 1, 16)}px)`;
}

function size(random: Random): number | string {
  const px = whole(random, 12, 20);
  return random.chance(0.2) ? `clamp(${px}px, 1vw + 4px, ${px + 6}px)` : px;
}

/** Values for a control, a share of them. */
function control({ random, family }: World): object {
  const values: Record<string, unknown> = {
    family,
    size: size(random),
    weight: random.pick([300, 400, 450, 500, 600, 700]),
  };
  const maybe = (share: number, id: string, make: () => unknown) => {
    if (random.chance(share)) values[id] = make();
  };
  maybe(0.7, 'paddingInline', () => length(random, 20));
  maybe(0.5, 'paddingBlock', () => whole(random, 0, 10));
  maybe(0.4, 'gap', () => length(random, 12));
  maybe(0.2, 'marginInline', () => whole(random, 0, 8));
  maybe(0.2, 'minWidth', () => whole(random, 20, 120));
  maybe(0.2, 'lineStart', () => line(random));
  maybe(0.2, 'lineEnd', () => line(random));
  maybe(0.2, 'tracking', () => random.pick([0.5, 1, '0.04em']));
  maybe(0.2, 'letters', () => random.pick(['capitals', 'small', 'initial capitals']));
  maybe(0.1, 'wordSpace', () => 3);
  return values;
}

const rest = (values: object) => ({ all: { rest: { all: values } } });

/** Only what a slot of a menu can wear. */
function within(slot: MenuSlot, values: object): object {
  const can: readonly string[] = MENU_SLOTS[slot].properties;
  return Object.fromEntries(Object.entries(values).filter(([id]) => can.includes(id)));
}

function menu(world: World, ids: { menu: string; levels: number }): any {
  const { random } = world;
  return makePart('menu', world.fresh('menu'), {
    menu: ids.menu,
    levels: ids.levels,
    name: world.fresh('Menu'),
    look: {
      list: rest({
        gap: length(random, 16),
        ...(random.chance(0.3) ? { separator: line(random) } : {}),
        ...(random.chance(0.2) ? { paddingInline: whole(random, 0, 12), lineStart: line(random) } : {}),
        ...(random.chance(0.2) ? { marginInline: whole(random, 0, 12) } : {}),
      }),
      link: {
        all: {
          rest: { all: control(world), ...(random.chance(0.3) ? { phone: { size: 14 } } : {}) },
          ...(random.chance(0.3) ? { current: { all: { weight: 700 } } } : {}),
        },
      },
      action: rest(control(world)),
      heading: rest(within('heading', control(world))),
      description: rest({ size: whole(random, 10, 14), family: world.family, weight: 400 }),
      glyph: rest({ size: whole(random, 14, 28) }),
      picture: rest({ width: whole(random, 16, 48) }),
      marker: rest({ size: whole(random, 8, 64) }),
    },
  } as any);
}

function items(world: World, most: number): any[] {
  const { random, words } = world;
  return Array.from({ length: whole(random, 1, most) }, (): any => {
    const id = world.fresh('link');
    const label = random.pick(words);
    const isParent = random.chance(0.3);
    const child = {
      id: `${id}-child`,
      label: random.pick(words),
      target: { kind: 'url', url: '/below/' },
      children: [],
    };
    const role = random.chance(0.12) ? random.pick(['action', 'heading']) : undefined;
    return {
      id,
      label,
      target: isParent && random.chance(0.4) ? { kind: 'none' } : { kind: 'url', url: `/${id}/` },
      children: isParent ? [child] : [],
      ...(role ? { role } : {}),
      ...(random.chance(0.2) ? { icon: 'icon-reed' } : {}),
      ...(random.chance(0.1) ? { image: PICTURE, imageText: 'A reed' } : {}),
      ...(random.chance(0.15) ? { description: random.pick(words) } : {}),
      ...(random.chance(0.05) ? { icon: 'icon-reed', labelHidden: true } : {}),
    };
  });
}

/** Kinds of which a random part says more than a new one does. */
const SHAPED = ['button', 'shortcut', 'text', 'search', 'social', 'image', 'rule'] as const;
/** What stands in a header by a rule of its own, elsewhere, or says anything its designer wrote. */
const APART: readonly string[] = ['menu', 'logo', 'opener', 'ring', 'berth', 'markup'];
/** Any other kind stands as it is made. */
const OTHERS = PARTS.map(({ id }) => id).filter(
  (id) => !APART.includes(id) && !(SHAPED as readonly string[]).includes(id),
);

/** A part of any kind but menus and openers. */
function part(world: World): any {
  const { random, words } = world;
  const margin = random.chance(0.2) ? { marginInline: whole(random, 0, 10) } : {};
  const kind = random.pick([...SHAPED, ...OTHERS]);
  switch (kind) {
    case 'button':
      return makePart('button', world.fresh('button'), {
        label: random.pick(words),
        look: { button: rest(control(world)) },
      } as any);
    case 'shortcut':
      return makePart('shortcut', world.fresh('shortcut'), {
        label: random.pick(words),
        labelShown: random.chance(0.6),
        icon: random.chance(0.7) ? 'icon-reed' : null,
        look: { shortcut: rest(control(world)), symbol: rest({ size: whole(random, 14, 30) }) },
      } as any);
    case 'text':
      return makePart('text', world.fresh('text'), {
        entries: Array.from({ length: whole(random, 1, 2) }, () => ({
          id: world.fresh('entry'),
          text: random.pick(words),
          target: random.chance(0.5) ? { kind: 'phone', number: '+34 955 010 203' } : { kind: 'none' },
          icon: random.chance(0.4) ? 'icon-reed' : null,
        })),
        look: {
          text: rest({
            family: world.family,
            size: size(random),
            weight: 400,
            gap: length(random, 20),
            ...margin,
          }),
        },
      } as any);
    case 'search':
      return makePart('search', world.fresh('search'), {
        open: random.chance(0.6),
        look: {
          search: rest({ gap: whole(random, 0, 6), ...margin }),
          field: rest({
            width: whole(random, 80, 220),
            ...(random.chance(0.5) ? { lineEnd: line(random) } : {}),
          }),
        },
      } as any);
    case 'social':
      return makePart('social', world.fresh('social'), {
        links: ['heronet', 'pondcast'].map((id) => ({
          id: world.fresh(id),
          name: id,
          url: `https://${id}.example/`,
          icon: 'icon-reed',
          colour: null,
        })),
        look: {
          social: rest({ gap: length(random, 10), ...margin }),
          profile: rest({ size: whole(random, 14, 26), paddingInline: whole(random, 0, 8) }),
        },
      } as any);
    case 'image':
      return makePart('image', world.fresh('image'), {
        ...(random.chance(0.4) ? { svg: REED } : random.chance(0.6) ? { image: PICTURE } : {}),
        look: { image: rest({ drawnHeight: whole(random, 16, 48), ...margin }) },
      } as any);
    case 'rule':
      return makePart('rule', world.fresh('rule'), {
        look: { rule: rest({ thickness: whole(random, 1, 4), ...margin }) },
      } as any);
    default:
      return makePart(kind, world.fresh(kind));
  }
}

function logo(world: World): any {
  const { random } = world;
  const drawn = random.next();
  return makePart('logo', world.fresh('logo'), {
    // A name of several words gives way before its row does, beside whatever else grows there.
    text: random.chance(0.4)
      ? `${random.pick(world.words)} ${random.pick(world.words)}`
      : random.pick(world.words),
    ...(drawn < 0.4 ? { svg: REED } : drawn < 0.6 ? { image: PICTURE } : {}),
    textShown: random.chance(0.7),
    look: { logo: rest(control(world)), drawing: rest({ drawnHeight: whole(random, 20, 48) }) },
  } as any);
}

/**
 * A header of one or two rows of any arrangement, with any parts in any zone, values in every unit, and labels of one of
 * several scripts; what may fold does so in half of them, and of that a share `tight` only where there is no room.
 */
export function randomHeader(random: Random, tight = 0): Site {
  let count = 0;
  const script = whole(random, 0, WORDS.length - 1);
  const world: World = {
    random,
    words: WORDS[script] ?? [],
    family: random.pick(FAMILIES[script] ?? ['figtree']),
    fresh: (word) => `${word}-${++count}`,
  };
  const raw = rawDemo() as any;
  if (script === HEBREW) Object.assign(raw, { language: 'he', direction: 'rtl' });
  const [header] = raw.pieces;
  raw.icons = [{ id: 'icon-reed', name: 'reed', svg: REED, set: null }];
  raw.bands[0].min = random.pick([400, 600, 760]);
  raw.menus = [
    { id: 'main', name: 'Main', items: items(world, 6) },
    { id: 'side', name: 'Side', items: items(world, 3) },
    raw.menus.find((entry: any) => entry.id === 'social'),
  ].filter(Boolean);
  header.look = {
    bar: rest({
      ...(random.chance(0.2) ? { sticks: 'stays on top' } : {}),
      ...(random.chance(0.3) ? { lineStart: line(random), lineEnd: line(random) } : {}),
      ...(random.chance(0.3) ? { marginInline: length(random, 24) } : {}),
    }),
  };
  const folds = (entry: any) =>
    random.chance(0.25)
      ? {
          ...entry,
          folds: {
            from: 'phone',
            berth: random.chance(0.7) ? 'panel-berth' : null,
            ...(tight > 0 && random.chance(tight) ? { tight: true } : {}),
          },
        }
      : entry;
  header.rows = Array.from({ length: random.chance(0.3) ? 2 : 1 }, (_, index) => {
    const some = (most: number) => Array.from({ length: whole(random, 0, most) }, () => folds(part(world)));
    const main = folds(menu(world, { menu: index === 0 ? 'main' : 'side', levels: random.pick([1, 2]) }));
    const opener = makePart('opener', world.fresh('opener'), {
      panel: 'panel',
      shows: random.chance(0.8) ? 'needed' : 'always',
      ...(random.chance(0.2)
        ? { look: { opener: rest({ fixedAt: random.pick(['at the top, end', 'at the bottom, end']) }) } }
        : {}),
    } as any);
    return {
      ...createRow(world.fresh('row'), `Row ${index}`),
      arrangement: random.pick(ARRANGEMENT_IDS),
      contained: random.chance(0.15) ? whole(random, 500, 1100) : null,
      apart: whole(random, 1, 2),
      zones: {
        start: [...(random.chance(0.8) ? [logo(world)] : []), ...some(1)],
        middle: random.chance(0.85) ? [main, ...(random.chance(0.1) ? [part(world)] : [])] : some(1),
        end: [...some(2), ...(random.chance(0.2) ? [menu(world, { menu: 'side', levels: 1 })] : []), opener],
      },
      look: {
        row: {
          all: {
            rest: {
              all: {
                height: whole(random, 40, 90),
                paddingInline: length(random, 40),
                gap: length(random, 32),
                ...(random.chance(0.2) ? { lineStart: line(random) } : {}),
              },
              ...(random.chance(0.4) ? { phone: { gap: whole(random, 0, 8), paddingInline: 12 } } : {}),
            },
          },
        },
      },
    };
  });
  const loaded = loadSite(raw);
  if (!loaded.ok)
    throw new Error(
      loaded.error
        .slice(0, 3)
        .map(({ message }) => message)
        .join('; '),
    );
  return loaded.value;
}
