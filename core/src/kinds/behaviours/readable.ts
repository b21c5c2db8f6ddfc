import { BEHAVIOURS, type BehaviourId } from './behaviours.ts';
import { READABLE } from './built-readable.ts';

/** The prefix that the texts were written with. */
const WRITTEN = 'hm-';

/** Starts all behaviours, as `join` does. */
const begin = (
  roots: string,
  names: readonly string[],
): string => `// Whatever forms of the page are named, this is the document's own way to look.
const roots = Document.prototype.querySelectorAll.call(document, '${roots}:not([data-hm-ready])');

// What is marked as ready is started once, also where the script is loaded twice.
for (const root of roots) root.setAttribute('data-hm-ready', '');

// Each behaviour runs over all roots before the next one: what moves between roots moves last.
for (const start of [${names.join(', ')}]) {
  for (const root of roots) start(root, root.closest('html'));
}

// All is drawn as it begins; from here on it may move. The width is asked for to have it drawn.
for (const root of roots) root.setAttribute('data-hm-ready', root.clientWidth >= 0);
`;

/**
 * The script of a hand-off as it is read: a module that does the same as the minified one, a function with its comment for each
 * behaviour; empty where nothing is needed. `title` says whose it is.
 */
export function printReadableScript(
  prefix: string,
  roots: string,
  needed: ReadonlySet<BehaviourId>,
  title: string,
): string {
  if (needed.size === 0) return '';
  const names = BEHAVIOURS.map(({ id }) => id).filter((id) => needed.has(id));
  const texts = names.map((id) => READABLE[id].replaceAll(WRITTEN, prefix));
  const start = begin(roots, names).replaceAll(`data-${WRITTEN}`, `data-${prefix}`);
  const head = `/*\n * ${title.replaceAll('*/', '* /')}\n *\n * A module that runs once it is loaded: it exports nothing and leaves no globals behind. menu.js is the same, minified.\n */\n`;
  return [head, ...texts.map((text) => `${text}\n`), start].join('\n');
}
