import { kindLabel, partKind } from '../../kinds/catalogue.ts';
import { ownersOf, type Owner } from '../../kinds/placed.ts';
import type { Part } from '../../kinds/site.ts';
import type { CompileContext } from '../context.ts';
import type { AlikeKey, SheetBlock } from './sheet.ts';

/** What a block is about, in words: a chapter a piece, a paragraph a section or part in it. */
export interface BlockTitle {
  /** Null for what is for all pieces. */
  readonly chapter: string | null;
  /** Null for the piece itself. */
  readonly paragraph: string | null;
}

/** The order and the headings of blocks by the class they are called by. */
export interface SheetTitles {
  readonly rankOf: (called: string) => number;
  /** Which blocks may be one where they say the same: those of the same slot in things of one kind of a piece. */
  readonly alike: AlikeKey;
  readonly titleOf: (block: SheetBlock) => BlockTitle;
}

/** What is for all pieces: the root itself, what cuts them off from the page, and what holds wherever it is asked for. */
const ROOT: BlockTitle = { chapter: null, paragraph: 'Colours and text of all pieces: change them here' };
const CUT_OFF: BlockTitle = { chapter: null, paragraph: 'Cut off from the styles of the page' };
const EVERYWHERE: BlockTitle = { chapter: 'Everywhere', paragraph: null };

/** A name with its kind behind it, unless it says that itself. */
const withKind = (name: string, kind: string): string => {
  const label = kind.toLowerCase();
  return name.toLowerCase().includes(label) ? name : `${name} ${label}`;
};

function titleOf({ sort, kind, thing }: Owner): string | null {
  if (sort === 'piece') return null;
  if (sort === 'section') return withKind((thing as { name: string }).name, kindLabel(kind));
  const known = partKind(thing as Part).known?.(thing as never) ?? '';
  return known === '' ? kindLabel(kind) : withKind(known, kindLabel(kind));
}

/** Longest list of titles above a block, in characters. */
const LONGEST_TITLES = 66;

/** Several titles as one. */
function together(titles: readonly string[]): string {
  const all = titles.join(', ');
  return all.length <= LONGEST_TITLES ? all : `${titles[0] ?? ''} and ${titles.length - 1} alike`;
}

/** The titles of blocks; the rules of so many first ones are for all pieces. */
export function sheetTitles({ site, names }: CompileContext, basics = 0): SheetTitles {
  const owners = ownersOf(site);
  const ranks = new Map([...owners.keys()].map((id, index) => [id, index]));
  const ownerOf = (called: string) => owners.get(names.ownerOf(called)?.owner ?? '');
  return {
    rankOf: (called) => ranks.get(ownerOf(called)?.id ?? '') ?? 0,
    titleOf: ({ called, shared, selectors, first: rule }) => {
      if (shared !== null) return { chapter: 'What several elements share', paragraph: shared };
      const found = called.flatMap((name) => ownerOf(name) ?? []);
      const [first] = found;
      if (!first) return selectors[0] === '' ? ROOT : rule < basics ? CUT_OFF : EVERYWHERE;
      const titles = new Set(found.flatMap((owner) => titleOf(owner) ?? []));
      return { chapter: first.piece.name, paragraph: titles.size === 0 ? null : together([...titles]) };
    },
    alike: (called) => {
      const owner = ownerOf(called);
      const slot = names.ownerOf(called)?.slot;
      return owner && slot !== undefined ? [owner.piece.id, owner.kind, slot].join(' ') : null;
    },
  };
}
