import { printSiteFile, slugify } from '@hamaca/core';
import type { SiteStore } from '../../store/site-store.ts';
import { saveFile } from '../../media/files.ts';

/** What a command can reach. */
export interface CommandContext {
  /** The open site, or null in places without one. */
  readonly store: SiteStore | null;
  readonly navigate: (path: string) => void;
  readonly openFinder: () => void;
  readonly openKeys: () => void;
  /** What the place that is open can do, by the id of the command. */
  readonly actions: Readonly<Record<string, () => void>>;
}

/** One thing a person can do. Buttons, keys, the finder and the page of keys all name it by its id. */
export interface Command {
  readonly id: string;
  readonly label: string;
  /** Keys such as `mod+z`; `mod` is Ctrl, or Command on a Mac. */
  readonly keys?: readonly string[];
  readonly when: (context: CommandContext) => boolean;
  readonly run: (context: CommandContext) => void;
}

const withSite = ({ store }: CommandContext) => store?.getState().site != null;
const always = () => true;

const place = (id: string, label: string, path: string, keys: readonly string[]): Command => ({
  id,
  label,
  keys,
  when: withSite,
  run: ({ store, navigate }) => {
    if (store) navigate(`/sites/${store.getState().id}/${path}`);
  },
});

/** A command that the open place carries out; it is there only while that place is. */
const local = (id: string, label: string, keys: readonly string[] = []): Command => ({
  id,
  label,
  ...(keys.length > 0 ? { keys } : {}),
  when: ({ actions }) => actions[id] !== undefined,
  run: ({ actions }) => {
    actions[id]?.();
  },
});

export const COMMANDS: readonly Command[] = [
  {
    id: 'undo',
    label: 'Undo',
    keys: ['mod+z'],
    when: ({ store }) => (store?.getState().history.undo.length ?? 0) > 0,
    run: ({ store }) => {
      store?.undo();
    },
  },
  {
    id: 'redo',
    label: 'Redo',
    keys: ['mod+shift+z', 'mod+y'],
    when: ({ store }) => (store?.getState().history.redo.length ?? 0) > 0,
    run: ({ store }) => {
      store?.redo();
    },
  },
  place('go-links', 'Go to Links', 'links', ['alt+1']),
  place('go-pages', 'Go to Pages', 'pages', ['alt+6']),
  place('go-bench', 'Go to Bench', 'bench', ['alt+2']),
  place('go-palette', 'Go to Palette', 'palette', ['alt+3']),
  place('go-checks', 'Go to Checks', 'checks', ['alt+4']),
  place('go-hand-off', 'Go to Hand-off', 'hand-off', ['alt+5']),
  place('go-try', 'Try the site', 'try/', ['alt+t']),
  {
    id: 'go-sites',
    label: 'Go to all sites',
    keys: ['alt+0'],
    when: always,
    run: ({ navigate }) => {
      navigate('/');
    },
  },
  {
    id: 'new-site',
    label: 'New site',
    when: always,
    run: ({ navigate }) => {
      navigate('/new');
    },
  },
  {
    id: 'save-file',
    label: 'Save the site as a file',
    keys: ['mod+s'],
    when: withSite,
    run: ({ store }) => {
      const site = store?.getState().site;
      if (site)
        saveFile(`${slugify(site.name, 'site')}.hamaca.json`, printSiteFile(site), 'application/json');
    },
  },
  local('links-duplicate', 'Duplicate the taken links', ['mod+d']),
  local('links-remove', 'Remove the taken links', ['mod+shift+backspace']),
  local('links-nest', 'Nest the taken links', ['mod+]']),
  local('links-unnest', 'Un-nest the taken links', ['mod+[']),
  local('links-details', 'Show or hide the rest of a link'),
  local('links-style', 'Style the taken links', ['alt+l']),
  local('links-fold', 'Fold or unfold a link', ['mod+.']),
  local('links-fold-all', 'Fold all links'),
  local('links-unfold-all', 'Unfold all links'),
  local('links-icons', 'Icons of this menu', ['alt+i']),
  local('links-import', 'Import links', ['mod+i']),
  local('bench-spread', 'Show every band and state at once', ['alt+s']),
  local('bench-compare', 'Hold the stage against the kept version (hold ` to see it in place)', ['alt+c']),
  local('bench-keep', 'Keep this version to compare with', ['alt+k']),
  local('bench-starters', 'Choose a starting design', ['alt+d']),
  local('bench-bring-page', 'Bring a page along that exists already'),
  local('bench-tie', 'Add a breakpoint at the stage’s width', ['alt+b']),
  local('bench-measures', 'Measure on the stage what takes the room', ['alt+m']),
  local('bench-next-piece', 'Go to the next piece', ['alt+.']),
  local('bench-piece-before', 'Go to the piece before', ['alt+,']),
  local('bench-faint', 'Draw all but this piece faintly', ['alt+g']),
  local('bench-longer', 'Tell the fit for labels 30 % longer', ['alt+x']),
  local('bench-what-if', 'What would let the row fit', ['alt+w']),
  local('bench-filter', 'Find a property', ['alt+f']),
  {
    id: 'find',
    label: 'Find anything',
    keys: ['mod+k'],
    when: always,
    run: ({ openFinder }) => {
      openFinder();
    },
  },
  {
    id: 'keys',
    label: 'Show all keys',
    keys: ['mod+/'],
    when: always,
    run: ({ openKeys }) => {
      openKeys();
    },
  },
];

export function findCommand(id: string): Command {
  const command = COMMANDS.find((entry) => entry.id === id);
  if (!command) throw new Error(`There is no command ${id}.`);
  return command;
}

/** A key press, from the page or handed over by the stage. */
export interface KeyPress {
  readonly key: string;
  readonly code: string;
  readonly meta: boolean;
  readonly shift: boolean;
  readonly alt: boolean;
}

function matches(keys: string, press: KeyPress): boolean {
  const parts = keys.split('+');
  const key = parts.at(-1) ?? '';
  const pressed = press.alt && press.code.startsWith('Digit') ? press.code.slice(5) : press.key.toLowerCase();
  return (
    parts.includes('mod') === press.meta &&
    parts.includes('shift') === press.shift &&
    parts.includes('alt') === press.alt &&
    pressed === key
  );
}

/** Runs the command that belongs to a key press; answers whether there was one. */
export function runKeys(press: KeyPress, context: CommandContext): boolean {
  const command = COMMANDS.find(
    (entry) => entry.keys?.some((keys) => matches(keys, press)) && entry.when(context),
  );
  command?.run(context);
  return command !== undefined;
}

/** Keys as they are written for people. */
export function keysLabel(keys: string): string {
  const mac = typeof navigator !== 'undefined' && /Mac/.test(navigator.platform);
  const names: Readonly<Record<string, string>> = {
    mod: mac ? '⌘' : 'Ctrl',
    shift: 'Shift',
    alt: mac ? '⌥' : 'Alt',
  };
  return keys
    .split('+')
    .map((part) => names[part] ?? part.toUpperCase())
    .join('+');
}
