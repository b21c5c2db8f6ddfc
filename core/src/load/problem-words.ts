import { inside, own } from '../base/json.ts';
import { parsePointer } from '../base/json-pointer.ts';
import type { Problem } from '../base/result.ts';

/** What the entries of a document's lists are called. */
const ENTRIES: Readonly<Record<string, string>> = {
  bands: 'width',
  icons: 'icon',
  menus: 'menu',
  pages: 'page',
  palette: 'swatch',
  pieces: 'piece',
  typefaces: 'typeface',
  typeStyles: 'type style',
};

/** What a thing of a document is called by whoever made it. */
function nameOf(thing: unknown): string | null {
  if (typeof thing !== 'object' || thing === null) return null;
  const { name, label, title } = thing as Readonly<Record<string, unknown>>;
  return [name, label, title].find((text): text is string => typeof text === 'string' && text !== '') ?? null;
}

/** The names on the way to a place, outermost first. */
function namesAlong(document: unknown, segments: readonly string[]): string[] {
  const names: string[] = [];
  let node = document;
  for (const segment of segments) {
    node = inside(node, segment);
    const name = nameOf(node);
    if (name !== null) names.push(name);
  }
  return names;
}

/** Where in a document something is, as a person would say it; empty for the whole of it. */
function placeInWords(path: string, document: unknown): string {
  const segments = parsePointer(path) ?? [];
  const [list = '', index = ''] = segments;
  const entry = own(ENTRIES, list);
  if (entry === undefined) return '';
  const [first, ...inner] = namesAlong(document, segments);
  const named = first === undefined ? `${entry} ${Number(index) + 1}` : `the ${entry} “${first}”`;
  const last = inner.at(-1);
  return last === undefined ? `In ${named}: ` : `In ${named}, “${last}”: `;
}

/**
 * A problem as it is told to a person: without the path of the document that it is told by elsewhere, and with the names of
 * what it is about where the document is at hand.
 */
export function problemInWords({ path, message }: Problem, document: unknown = null): string {
  if (path === '' || !message.startsWith(`${path}: `)) return message;
  return placeInWords(path, document) + message.slice(path.length + 2);
}
