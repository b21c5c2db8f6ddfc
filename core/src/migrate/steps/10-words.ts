import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';
import { changeParts, eachOf } from '../parts.ts';

type Raw = Record<string, unknown>;

/** Where pieces keep their sections, and the kind of one that says none. */
const SECTIONS: Readonly<Record<string, string>> = { rows: 'row', blocks: 'block', sections: 'row' };
/** The field by which parts of a kind are known. */
const KNOWN_BY: Readonly<Record<string, string>> = {
  menu: 'name',
  button: 'label',
  shortcut: 'label',
  opener: 'label',
  ring: 'label',
};

const LONGEST_NAME = 28;
const LONGEST_WORD = 60;

const textIn = (thing: Raw, key: string): string => {
  const value = thing[key];
  return typeof value === 'string' ? value : '';
};

function slug(name: string): string {
  const made = name
    .slice(0, 400)
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[-0-9]+|-+$/g, '');
  if (made.length <= LONGEST_NAME) return made;
  const cut = made.slice(0, LONGEST_NAME + 1).lastIndexOf('-');
  return made.slice(0, cut > 0 ? cut : LONGEST_NAME);
}

function withKind(name: string, kind: string): string {
  const made = slug(name);
  if (made === '') return kind;
  return made.split('-').includes(kind) ? made : `${made}-${kind}`;
}

/** Gives the first of some words that is free; the last with a number where none is. */
function give(words: readonly string[], taken: Set<string>): string {
  const wanted = words.at(-1) ?? '';
  let word = words.find((own) => !taken.has(own)) ?? wanted;
  for (let count = 2; taken.has(word); count++) {
    const end = `-${count}`;
    word = wanted.slice(0, LONGEST_WORD - end.length) + end;
  }
  taken.add(word);
  return word;
}

/** Words that are given already: things of other sorts have other classes and may share one. */
interface Taken {
  readonly pieces: Set<string>;
  readonly sections: Set<string>;
  readonly parts: Set<string>;
  /** What a part is called that folds into a berth, by the id of that. */
  readonly folding: Map<string, string>;
}

/** What a part is called by itself. */
function partWord(part: Raw, folding: ReadonlyMap<string, string>): string {
  const kind = textIn(part, 'kind') || 'part';
  if (kind === 'berth') return `${folding.get(textIn(part, 'id')) ?? ''}-berth`.replace(/^-/, '');
  const name = textIn(part, KNOWN_BY[kind] ?? '');
  return kind === 'menu' ? slug(name) || 'menu' : withKind(name, kind);
}

/** Notes what parts fold into. */
function noteFolding(pieces: unknown): Map<string, string> {
  const folding = new Map<string, string>();
  changeParts(pieces, (part) => {
    const { folds } = part;
    const berth = isRecord(folds) ? textIn(folds, 'berth') : '';
    if (berth !== '' && !folding.has(berth)) folding.set(berth, partWord(part, folding));
    return part;
  });
  return folding;
}

/** A piece with words for itself and all that stands in it. */
function withWords(piece: Raw, taken: Taken): Raw {
  const kind = textIn(piece, 'kind') || 'piece';
  const of = slug(textIn(piece, 'name')) || kind;
  const inPiece = (word: string): string[] => {
    const both = word === of || word.startsWith(`${of}-`) ? word : `${of}-${word}`;
    return kind === 'header' ? [word, both] : [both];
  };
  const withWord = (thing: Raw, words: readonly string[], given: Set<string>): Raw => ({
    ...thing,
    word: give(words, given),
  });
  const part = (own: Raw): Raw => withWord(own, inPiece(partWord(own, taken.folding)), taken.parts);
  const section = (own: Raw, list: string): Raw => {
    const sort = textIn(own, 'kind') || (SECTIONS[list] ?? 'row');
    const { zones, parts } = own;
    return {
      ...withWord(own, inPiece(withKind(textIn(own, 'name'), sort)), taken.sections),
      ...(isRecord(zones)
        ? {
            zones: Object.fromEntries(
              Object.entries(zones).map(([zone, held]) => [zone, eachOf(held, part)]),
            ),
          }
        : {}),
      ...(parts === undefined ? {} : { parts: eachOf(parts, part) }),
    };
  };
  return {
    ...withWord(piece, [withKind(textIn(piece, 'name'), kind)], taken.pieces),
    ...Object.fromEntries(
      Object.keys(SECTIONS)
        .filter((key) => Object.hasOwn(piece, key))
        .map((key) => [key, eachOf(piece[key], (own) => section(own, key))]),
    ),
  };
}

/** Pieces, sections and parts have words for the output, made of their names. */
export const WORDS_STEP: Migration = {
  from: 10,
  migrate: (document) => {
    const taken: Taken = {
      pieces: new Set(),
      sections: new Set(),
      parts: new Set(),
      folding: noteFolding(document['pieces']),
    };
    return { ...document, pieces: eachOf(document['pieces'], (piece) => withWords(piece, taken)) };
  },
};
