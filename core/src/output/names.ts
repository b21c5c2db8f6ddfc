import { slugify } from '../base/ids.ts';
import type { Site } from '../kinds/site.ts';
import { ownersOf } from '../kinds/placed.ts';

/** What every class, id and custom property of the output starts with, unless the designer sets another. */
export const DEFAULT_PREFIX = 'hm-';

/** What a prefix may be: short, and safe in class names, ids and attributes. */
export const PREFIX = /^[a-z][a-z0-9]{0,15}-$/;

/** The same in words. */
export const PREFIX_ALLOWED = 'a small letter, up to 15 small letters or digits, and a dash';

/** The output's names, given out once for all pieces of a site: the same site gives the same names. */
export interface Names {
  readonly prefix: string;
  /** The class of a slot of an owner: `hm-link`; the second menu's is `hm-link-2`. */
  readonly slotClass: (owner: string, slot: string) => string;
  /** Any other class. */
  readonly name: (word: string) => string;
  readonly variable: (word: string) => string;
  readonly attribute: (word: string) => string;
  /** An element's id. The site's own word is in it, so that another site's output on the same page has others. */
  readonly id: (word: string) => string;
  /** The id of the one element that stands for a slot of an owner. */
  readonly slotId: (owner: string, slot: string) => string;
  /** The class of every root of the site. */
  readonly root: string;
}

/** Longest word of a site in its names, in characters. */
const LONGEST_WORD = 12;

/** A short word for a site: the first words of its name. Sites that share it give the same names to their output. */
export function siteWord(name: string): string {
  const slug = slugify(name, 'site');
  if (slug.length <= LONGEST_WORD) return slug;
  const cut = slug.slice(0, LONGEST_WORD + 1).lastIndexOf('-');
  return slug.slice(0, cut > 0 ? cut : LONGEST_WORD);
}

/** A prefix for a site whose names are another's too: what its words begin with, unlike those that are taken. */
export function prefixFor(name: string, taken: ReadonlySet<string>): string {
  const words = slugify(name, 'site')
    .split('-')
    .filter((word) => /^[a-z]/.test(word));
  const initials = words.map((word) => word.charAt(0)).join('');
  const start = (initials.length > 1 ? initials : (words[0] ?? 'site')).slice(0, 3);
  for (let count = 1; ; count++) {
    const prefix = `${start}${count === 1 ? '' : count}-`;
    if (!taken.has(prefix)) return prefix;
  }
}

/** How many owners of its kind stand before each: 0 for the first. */
function ownerOrder(site: Site): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  const order = new Map<string, number>();
  for (const { kind, id } of ownersOf(site).values()) {
    const count = counts.get(kind) ?? 0;
    order.set(id, count);
    counts.set(kind, count + 1);
  }
  return order;
}

export function createNames(site: Site, prefix: string): Names {
  const order = ownerOrder(site);
  const word = siteWord(site.name);
  const slotWord = (owner: string, slot: string) => {
    const before = order.get(owner) ?? 0;
    return before === 0 ? slot : `${slot}-${before + 1}`;
  };
  return {
    prefix,
    slotClass: (owner, slot) => prefix + slotWord(owner, slot),
    slotId: (owner, slot) => `${prefix}${word}-${slotWord(owner, slot)}`,
    name: (name) => `${prefix}${name}`,
    variable: (name) => `--${prefix}${name}`,
    attribute: (name) => `data-${prefix}${name}`,
    id: (name) => `${prefix}${word}-${name}`,
    root: `${prefix}site-${word}`,
  };
}
