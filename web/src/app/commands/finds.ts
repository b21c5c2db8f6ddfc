import {
  hasSlot,
  itemsOf,
  kindLabel,
  kindOf,
  ownersOf,
  property,
  PROPERTY_IDS,
  shapeOf,
  slotsOf,
  type Owner,
  type Site,
} from '@hamaca/core';
import { benchStore, selectSlot } from '../../store/bench-store.ts';
import { enterSite, showLink } from '../../store/links-store.ts';
import { COMMANDS, keysLabel, type CommandContext } from './commands.ts';

/** One thing the finder leads to. */
export interface Find {
  readonly id: string;
  readonly label: string;
  /** Where it is, in a word or two. */
  readonly where: string;
  /** Other words for it. */
  readonly words: string;
  readonly keys?: string;
  readonly run: (context: CommandContext) => void;
}

/** What people call things besides their names here: by id of a command, slot, setting or property. Kinds say it themselves. */
const OTHER_WORDS: Readonly<Record<string, string>> = {
  'go-links': 'navigation menu structure sitemap pages',
  'go-try': 'preview walk through real page phone tablet live',
  'go-pages': 'which page gets which piece rules exclude include shop table',
  'go-bench': 'edit design style preview header',
  'go-palette': 'colors colours fonts typefaces swatches theme',
  'go-checks': 'problems errors accessibility contrast validate',
  'go-hand-off': 'export download publish code html css zip',
  'go-sites': 'home projects all sites',
  'save-file': 'export backup json',
  'bench-starters': 'template preset theme layout',
  'bench-tie': 'media query responsive width',
  'bench-measures': 'width room dimensions gaps px ruler',
  'bench-longer': 'translation language text expansion fit',
  'bench-what-if': 'fit overflow wrap narrower room shorter smaller',
  'bench-spread': 'overview hover states',
  undo: 'back revert',
  submenu: 'dropdown flyout mega',
  marker: 'arrow chevron caret sign',
  scrim: 'overlay backdrop',
  sticks: 'sticky fixed scroll shrink hide',
  over: 'transparent overlay hero',
  fill: 'background',
  colour: 'text color',
  radius: 'rounded corners',
  mark: 'underline indicator active line',
  motion: 'transition animation',
  motionTime: 'duration speed transition animation',
  family: 'font typeface',
  size: 'font size',
  gap: 'space distance',
};

const wordsFor = (...ids: readonly string[]) => ids.map((id) => OTHER_WORDS[id] ?? '').join(' ');
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Where the site’s places begin. */
const pathOf = ({ store }: CommandContext, rest: string) => `/sites/${store?.getState().id ?? ''}/${rest}`;

/** Goes to a slot on the bench. */
const openSlot = ({ id, kind, piece }: Owner, slot: string, context: CommandContext) => {
  const [level] = slotsOf(kind)[slot]?.levels ?? [];
  selectSlot(id, slot, level ?? null);
  context.navigate(pathOf(context, `bench/${piece.id}`));
};

const nameOf = ({ thing, kind }: Owner): string =>
  'name' in thing && typeof thing.name === 'string' && thing.name !== '' ? thing.name : kindLabel(kind);

/** A piece, section or part with its slots and its settings. */
function ownerFinds(site: Site, owner: Owner): Find[] {
  const { id, kind, piece, sort } = owner;
  const { hint, alsoCalled } = kindOf(kind);
  const label = sort === 'piece' ? nameOf(owner) : kindLabel(kind);
  const where = sort === 'piece' ? 'piece' : piece.name;
  const slots = Object.entries(slotsOf(kind)).filter(([slot]) => hasSlot(site, owner, slot));
  const [first] = slots;
  if (!first) return [];
  const settings = Object.entries(shapeOf(kind)).filter(
    ([, { spec, label: named }]) =>
      named !== '' && ['flag', 'choice', 'number', 'text', 'reference'].includes(spec.kind),
  );
  return [
    {
      id: `owner ${id}`,
      label: sort === 'piece' || nameOf(owner) === label ? label : `${label} ${nameOf(owner)}`,
      where,
      words: `${hint} ${alsoCalled}`,
      run: (context) => {
        openSlot(owner, first[0], context);
      },
    },
    ...slots
      .filter(([, slot]) => slot.label !== label)
      .map(([slot, { label: named }]): Find => ({
        id: `slot ${id} ${slot}`,
        label: named,
        where: `${piece.name} › ${label}`,
        words: wordsFor(slot),
        run: (context) => {
          openSlot(owner, slot, context);
        },
      })),
    ...settings.map(([key, { label: named, hint = '' }]): Find => ({
      id: `setting ${id} ${key}`,
      label: capital(named),
      where: `setting of ${sort === 'piece' ? label : `${piece.name} › ${label}`}`,
      words: `${hint} ${wordsFor(key)}`,
      run: (context) => {
        openSlot(owner, first[0], context);
      },
    })),
  ];
}

/** The rows of the look sheet: each is filtered out of the sheet of what is selected. */
const propertyFinds = (piece: string): Find[] =>
  PROPERTY_IDS.map((id): Find => {
    const { label, hint, css, group } = property(id);
    return {
      id: `property ${id}`,
      label: capital(label),
      where: `look sheet, ${group}`,
      words: `${hint} ${css.join(' ')} ${wordsFor(id)}`,
      run: (context) => {
        benchStore.setState({ filter: label });
        if (!location.pathname.includes('/bench/')) context.navigate(pathOf(context, `bench/${piece}`));
      },
    };
  });

const siteFinds = (site: Site): Find[] => [
  ...[...ownersOf(site).values()].flatMap((owner) => ownerFinds(site, owner)),
  ...propertyFinds(site.pieces[0]?.id ?? ''),
  ...site.menus.map(({ id, name }): Find => ({
    id: `menu ${id}`,
    label: `Menu ${name}`,
    where: 'Links',
    words: kindOf('menu').alsoCalled,
    run: (context) => {
      context.navigate(pathOf(context, 'links'));
    },
  })),
  ...[...itemsOf(site).values()].flatMap(({ item, menu }): Find[] =>
    item.label === ''
      ? []
      : [
          {
            id: `link ${item.id}`,
            label: item.label,
            where: `link in ${menu.name}`,
            words: item.description ?? '',
            run: (context) => {
              enterSite(context.store?.getState().id ?? '');
              showLink(site, item.id);
              context.navigate(pathOf(context, 'links'));
            },
          },
        ],
  ),
  ...site.pages.map(({ id, title, path }): Find => ({
    id: `page ${id}`,
    label: title || path,
    where: `page ${path}`,
    words: '',
    run: (context) => {
      context.navigate(pathOf(context, 'links'));
    },
  })),
];

/** Everything there is to find: what can be done now, and every piece, part, slot, setting, property, menu, link and page. */
export function everythingToFind(context: CommandContext): readonly Find[] {
  const site = context.store?.getState().site;
  const commands = COMMANDS.filter((command) => command.id !== 'find' && command.when(context)).map(
    (command): Find => ({
      id: command.id,
      label: command.label,
      where: '',
      words: wordsFor(command.id),
      ...(command.keys?.[0] === undefined ? {} : { keys: keysLabel(command.keys[0]) }),
      run: command.run,
    }),
  );
  return [...commands, ...(site ? siteFinds(site) : [])];
}

/** How many are shown at once. */
const MOST = 40;

/** How well a thing answers what was typed: the label first, its words after; null where a word is nowhere. */
function rank({ label, where, words }: Find, typed: readonly string[]): number | null {
  const [name, more] = [label.toLowerCase(), `${where} ${words}`.toLowerCase()];
  let score = 0;
  for (const word of typed) {
    if (name.startsWith(word)) score += 0;
    else if (name.includes(` ${word}`)) score += 1;
    else if (name.includes(word)) score += 2;
    else if (` ${more}`.includes(` ${word}`)) score += 3;
    else if (more.includes(word)) score += 4;
    else return null;
  }
  return score;
}

/** What answers the words typed, best first; with nothing typed what can be done. */
export function find(everything: readonly Find[], typed: string): readonly Find[] {
  const words = typed.trim().toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return everything.filter(({ where }) => where === '');
  return everything
    .map((entry, index) => ({ entry, index, score: rank(entry, words) }))
    .filter((found) => found.score !== null)
    .sort((a, b) => (a.score ?? 0) - (b.score ?? 0) || a.index - b.index)
    .slice(0, MOST)
    .map(({ entry }) => entry);
}
