import { isInheritedKey } from './json.ts';

/** Gives a new id each time it is called; the caller decides from what (a counter, random letters). */
export type IdSource = () => string;

/** Ids in order with a prefix, skipping the ones already taken: the same input gives the same ids. */
export function countingIds(prefix: string, taken: ReadonlySet<string> = new Set()): IdSource {
  let count = 0;
  return () => {
    let id: string;
    do id = `${prefix}${++count}`;
    while (taken.has(id));
    return id;
  };
}

/**
 * A readable id or class name from any text: lower-case ASCII letters, digits and dashes, at most 40
 * characters; `fallback` where nothing of the text can be kept.
 */
export function slugify(text: string, fallback: string): string {
  const start = text.slice(0, 400);
  // Most text is ASCII, which has nothing to take apart.
  const plain = /^[\x20-\x7e]*$/.test(start) ? start : start.normalize('NFKD').replace(/\p{M}/gu, '');
  const slug = plain
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 40)
    .replace(/^[-0-9]+|-+$/g, '');
  return slug === '' ? fallback : slug;
}

/** The same of at most so many characters, cut between its words where that can be. */
export function shortSlug(text: string, longest: number, fallback = ''): string {
  const slug = slugify(text, fallback);
  if (slug.length <= longest) return slug;
  const cut = slug.slice(0, longest + 1).lastIndexOf('-');
  return slug.slice(0, cut > 0 ? cut : longest);
}

/** Names that no key of a document may have (see `isInheritedKey`), and so no id that looks are told by. */
const isFree = (name: string, taken: ReadonlySet<string>) => !taken.has(name) && !isInheritedKey(name);

function firstFree(wanted: string, separator: string, taken: ReadonlySet<string>): string {
  if (isFree(wanted, taken)) return wanted;
  let count = 2;
  while (taken.has(`${wanted}${separator}${count}`)) count++;
  return `${wanted}${separator}${count}`;
}

/** `wanted`, or `wanted-2`, `wanted-3` … where it is taken. */
export function uniqueName(wanted: string, taken: ReadonlySet<string>): string {
  return firstFree(wanted, '-', taken);
}

/** The same for names that people read: `Wanted`, `Wanted 2`, `Wanted 3` … */
export function uniqueTitle(wanted: string, taken: ReadonlySet<string>): string {
  return firstFree(wanted, ' ', taken);
}
