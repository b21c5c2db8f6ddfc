import { shortSlug } from '../base/ids.ts';
import { memoise, memoiseText } from '../base/memo.ts';
import { LONGEST_WORD, type OutputWord } from '../model/word.ts';
import { kindOf, partKind, type OwnerKind } from './catalogue.ts';
import { arrivingAt } from './folds.ts';
import { boxAround } from './label-box.ts';
import { hasSlot, ownersOf, type Owner } from './placed.ts';
import type { Part, Site } from './site.ts';

/*
 * What things are called in the output. Every piece, section and part has a word, and its classes are made of that and the
 * slot: a menu's `main` and `link` give `main-link`.
 */

/** The class of a slot of a thing with a word, without the prefix. The thing's own element is called by its kind. */
export const classWord = (word: string, kind: OwnerKind, slot: string): string =>
  classIn(word, ownWord(word, kind), kind, slot);

/** What a thing's own element is called. */
const ownWord = (word: string, kind: OwnerKind): string =>
  `-${word}-`.includes(`-${kind}-`) ? word : `${word}-${kind}`;

function classIn(word: string, own: string, kind: OwnerKind, slot: string): string {
  if (!slot.startsWith(kind)) return `${word}-${slot}`;
  if (slot.length === kind.length) return own;
  return slot[kind.length] === '-' ? own + slot.slice(kind.length) : `${word}-${slot}`;
}

/** What the elements of a thing of a kind can be called. */
export const elementWords = memoiseText((kind): readonly string[] => {
  const { slots, beside = [] } = kindOf(kind as OwnerKind);
  const words = Object.keys(slots).flatMap((slot) => [slot, boxAround(slot)]);
  return [...new Set([kind, ...words, ...beside])];
});

/** Every class a thing with a word can have, without the prefix. */
export function classWords(word: string, kind: OwnerKind): readonly string[] {
  const own = ownWord(word, kind);
  return elementWords(kind).map((slot) => classIn(word, own, kind, slot));
}

/** Longest name that a word is made from, in characters. */
const LONGEST_NAME = 28;

/** A name as part of a word, cut between its own words; empty where nothing of it can be kept. */
export const slugOf = (name: string): string => shortSlug(name, LONGEST_NAME);

/** A name with its kind behind it, unless it says that already. */
const withKind = (name: string, kind: string): string => {
  const slug = slugOf(name);
  if (slug === '') return kind;
  return slug.split('-').includes(kind) ? slug : `${slug}-${kind}`;
};

/** What a part is known by: its own name, that of what folds into it, or its kind. */
function partWord(site: Site, part: Part): string {
  if (part.kind === 'berth') {
    const [arriving] = arrivingAt(site, part.id);
    return arriving ? `${partWord(site, arriving)}-berth` : 'berth';
  }
  const known = partKind(part).known?.(part as never) ?? '';
  // The elements of a menu are called by what they are in it.
  return part.kind === 'menu' ? slugOf(known) || 'menu' : withKind(known, part.kind);
}

/** The word a thing gets from its name, and the one that tells it from its like in other pieces. */
function wordsFor(site: Site, { sort, kind, thing, piece }: Owner): readonly [string, string] {
  if (sort === 'piece') {
    const own = withKind(piece.name, kind);
    return [own, own];
  }
  const own =
    sort === 'section' ? withKind((thing as { name: string }).name, kind) : partWord(site, thing as Part);
  const of = slugOf(piece.name) || piece.kind;
  const both = own === of || own.startsWith(`${of}-`) ? own : `${of}-${own}`;
  return piece.kind === 'header' ? [own, both] : [both, both];
}

/** Classes that are given, each with the piece it is in. */
type Given = Map<string, string>;

const isFree = (given: Given, word: string, kind: OwnerKind): boolean =>
  classWords(word, kind).every((name) => !given.has(name));

function freshWord(site: Site, given: Given, owner: Owner): string {
  const [own, both] = wordsFor(site, owner);
  if (isFree(given, own, owner.kind)) return own;
  // Of the same name in another piece: what piece it is in tells them apart.
  const isOfPiece = classWords(own, owner.kind).some((name) => given.get(name) === owner.piece.id);
  const wanted = isOfPiece ? own : both;
  if (isFree(given, wanted, owner.kind)) return wanted;
  for (let count = 2; ; count++) {
    const end = `-${count}`;
    const word = wanted.slice(0, LONGEST_WORD - end.length) + end;
    if (isFree(given, word, owner.kind)) return word;
  }
}

/** The word that the document has for a thing. */
export const recordedWord = ({ thing }: Owner): string | undefined => (thing as OutputWord).word;

function give(given: Given, { kind, piece }: Owner, word: string): void {
  for (const name of classWords(word, kind)) given.set(name, piece.id);
}

/** Words for things in an order: those they have, as far as no earlier one gives the same classes, and new ones. */
export function giveWords(site: Site, owners: Iterable<Owner>): ReadonlyMap<string, string> {
  const given: Given = new Map();
  const words = new Map<string, string>();
  const without: Owner[] = [];
  for (const owner of owners) {
    const word = recordedWord(owner);
    if (word === undefined || !isFree(given, word, owner.kind)) without.push(owner);
    else {
      give(given, owner, word);
      words.set(owner.id, word);
    }
  }
  for (const owner of without) {
    const word = freshWord(site, given, owner);
    give(given, owner, word);
    words.set(owner.id, word);
  }
  return words;
}

/** The word of every piece, section and part by id. What has none of its own yet has one from its name. */
export const wordsOf = memoise((site: Site): ReadonlyMap<string, string> =>
  giveWords(site, ownersOf(site).values()),
);

/** A class that a thing has now and what it is called with another word, both without the prefix. */
export interface RenamedClass {
  readonly from: string;
  readonly to: string;
}

/** What another word would rename: the classes of the slots that are there, and of what stands beside them. */
export function renamedClasses(site: Site, owner: Owner, word: string): readonly RenamedClass[] {
  const { kind } = owner;
  const { slots, beside = [] } = kindOf(kind);
  const now = wordsOf(site).get(owner.id) ?? '';
  const worn = Object.entries(slots).flatMap(([slot, { around }]) =>
    hasSlot(site, owner, slot) ? [slot, ...(around === undefined ? [] : [around])] : [],
  );
  // Of a menu no element is called as a whole.
  const own = kind === 'menu' ? [] : [kind];
  return [...new Set([...own, ...worn, ...beside])].map((slot) => ({
    from: classWord(now, kind, slot),
    to: classWord(word, kind, slot),
  }));
}

/** Something else that would have a class in common with a thing of this word; null where nothing has. */
export function sharesClass(site: Site, { id, kind }: Owner, word: string): Owner | null {
  const own = new Set(classWords(word, kind));
  const words = wordsOf(site);
  for (const other of ownersOf(site).values()) {
    if (other.id === id) continue;
    const theirs = classWords(words.get(other.id) ?? '', other.kind);
    if (theirs.some((name) => own.has(name))) return other;
  }
  return null;
}
