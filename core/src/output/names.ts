import { shortSlug, slugify, uniqueName } from '../base/ids.ts';
import { lazy, memoise } from '../base/memo.ts';
import { kindOf, OWNER_KINDS } from '../kinds/catalogue.ts';
import { itemsOf, walkMenu } from '../kinds/content.ts';
import { ownersOf } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import { classWord, classWords, elementWords, slugOf, wordsOf } from '../kinds/words.ts';
import type { MenuItem } from '../model/menu-item.ts';
import type { Menu, SiteContent } from '../model/site-content.ts';

/** What every class, id and custom property of the output starts with, unless the designer sets another. */
export const DEFAULT_PREFIX = 'hm-';

/** What a prefix may be: short, and safe in class names, ids and attributes. */
export const PREFIX = /^[a-z][a-z0-9]{0,15}-$/;

/** The same in words. */
export const PREFIX_ALLOWED = 'a small letter, up to 15 small letters or digits, and a dash';

/** What a class stands for: a slot of an owner, or a single link in it. */
export interface NamedOwner {
  readonly owner: string;
  readonly slot: string;
}

/** The output's names, given out once for all pieces of a site: the same site gives the same names. */
export interface Names {
  readonly prefix: string;
  /** The owner of a class that was given out, and what of it that is; null where it belongs to none. */
  readonly ownerOf: (name: string) => NamedOwner | null;
  /** The class of a slot of an owner: `hm-main-link` of the menu called Main. */
  readonly slotClass: (owner: string, slot: string) => string;
  /** Any other class. */
  readonly name: (word: string) => string;
  readonly variable: (word: string) => string;
  readonly attribute: (word: string) => string;
  /** An element's id. The site's own word is in it, so that another site's output on the same page has others. */
  readonly id: (word: string) => string;
  /** The id of the one element that stands for a slot of an owner. */
  readonly slotId: (owner: string, slot: string) => string;
  /** The class of a single link in a menu, and the id of what belongs to it: `hm-main-book-a-hide`. */
  readonly linkClass: (owner: string, item: string) => string;
  readonly linkId: (owner: string, item: string) => string;
  /** The id of an icon's drawing in a piece. */
  readonly iconId: (piece: string, icon: string) => string;
  /** The class of every root of the site. */
  readonly root: string;
  /** An id that no element has. */
  readonly rootId: string;
}

/** Longest word of a site in its names, in characters. */
const LONGEST_WORD = 12;

/** A short word for a site: the first words of its name. Sites that share it give the same names to their output. */
export const siteWord = (name: string): string => shortSlug(name, LONGEST_WORD, 'site');

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

/** What links cannot be called, as something else in their part is. */
const NO_LINK = lazy(
  (): ReadonlySet<string> =>
    new Set(OWNER_KINDS.filter((kind) => 'menu' in kindOf(kind).shape).flatMap(elementWords)),
);

/** A link's own word: from its label, from the words of its name, or what it leads to. */
function linkWord({ label, name = '', target }: MenuItem): string {
  const words = slugOf(name)
    .split('-')
    .filter((word) => /^[a-z]/.test(word));
  return slugOf(label) || words.join('-') || (target.kind === 'none' ? 'item' : target.kind);
}

/** The word of every link of a menu, with a number where several are called alike. */
const linkWords = memoise((menu: Menu): ReadonlyMap<string, string> => {
  const words = new Map<string, string>();
  const taken = new Set(NO_LINK());
  walkMenu(menu, '', ({ item }) => {
    const word = uniqueName(linkWord(item), taken);
    taken.add(word);
    words.set(item.id, word);
  });
  return words;
});

/** The word of every icon, from its name. */
const iconWords = memoise((icons: SiteContent['icons']): ReadonlyMap<string, string> => {
  const words = new Map<string, string>();
  const taken = new Set<string>();
  for (const { id, name } of icons) {
    const word = uniqueName(slugify(name, 'icon'), taken);
    taken.add(word);
    words.set(id, word);
  }
  return words;
});

/** The word of a site in its names. It is another where something in the site is called that already. */
function rootWord(site: Site, words: ReadonlyMap<string, string>): string {
  const word = siteWord(site.name);
  const isTaken = [...ownersOf(site).values()].some(({ id, kind }) => {
    const own = words.get(id) ?? '';
    return word.startsWith(own) && classWords(own, kind).includes(word);
  });
  return isTaken ? `site-${word}` : word;
}

export function createNames(site: Site, prefix: string): Names {
  const words = wordsOf(site);
  const own = siteWord(site.name);
  const wordOf = (owner: string) => words.get(owner) ?? owner;
  const slotWord = (owner: string, slot: string) => {
    const kind = ownersOf(site).get(owner)?.kind;
    return kind === undefined ? `${owner}-${slot}` : classWord(wordOf(owner), kind, slot);
  };
  const wordOfLink = (owner: string, item: string) => {
    const menu = itemsOf(site).get(item)?.menu;
    return `${wordOf(owner)}-${(menu && linkWords(menu).get(item)) ?? item}`;
  };
  const owners = new Map<string, NamedOwner>();
  /** A class, noted as its owner's. */
  const given = (owner: string, slot: string, name: string): string => {
    if (!owners.has(name)) owners.set(name, { owner, slot });
    return name;
  };
  return {
    prefix,
    ownerOf: (name) => owners.get(name) ?? null,
    slotClass: (owner, slot) => given(owner, slot, prefix + slotWord(owner, slot)),
    slotId: (owner, slot) => `${prefix}${own}-${slotWord(owner, slot)}`,
    linkClass: (owner, item) => given(owner, item, prefix + wordOfLink(owner, item)),
    linkId: (owner, item) => `${prefix}${own}-${wordOfLink(owner, item)}`,
    iconId: (owner, icon) =>
      `${prefix}${own}-${wordOf(owner)}-icon-${iconWords(site.icons).get(icon) ?? icon}`,
    name: (name) => `${prefix}${name}`,
    variable: (name) => `--${prefix}${name}`,
    attribute: (name) => `data-${prefix}${name}`,
    id: (name) => `${prefix}${own}-${name}`,
    root: prefix + rootWord(site, words),
    rootId: prefix.slice(0, -1),
  };
}
