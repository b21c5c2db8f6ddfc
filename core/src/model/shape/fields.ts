import type { ShownLevels } from '../states.ts';
import { LIMITS } from '../../values/limits.ts';
import type { ColourValue } from '../../values/values.ts';
import { MOST_PARTS } from '../limits.ts';
import type { Look } from '../look.ts';
import type { EntrySpec, Field, FieldSpec, Infer, RefKind, RegionForm, Shape, WhenGone } from './field.ts';

/** What every field may say besides its kind. */
interface Words<Value> {
  readonly label?: string;
  readonly hint?: string;
  readonly initial?: Value;
  readonly when?: (thing: Readonly<Record<string, unknown>>) => boolean;
}

function made<Value>(spec: FieldSpec, words: Words<Value>, initial?: Value): Field<Value, false> {
  return {
    spec,
    label: words.label ?? '',
    hint: words.hint ?? '',
    initial: words.initial ?? initial,
    optional: false,
    ...(words.when ? { when: words.when } : {}),
  };
}

/** Lets a field be left out. */
export const optional = <Value>(field: Field<Value, false>): Field<Value, true> => ({
  ...field,
  optional: true,
});

interface TextBounds extends Words<string> {
  /** Whether a designer is asked for it; what comes in may be empty all the same. */
  readonly needed?: boolean;
  readonly min?: number;
  readonly max?: number;
  readonly pattern?: { readonly test: RegExp; readonly allowed: string };
  readonly refuse?: (text: string) => string | null;
}

export const text = ({
  min = 0,
  max = LIMITS.label,
  pattern,
  refuse,
  needed,
  ...words
}: TextBounds = {}) => ({
  ...made<string>(
    { kind: 'text', min, max, ...(pattern ? { pattern } : {}), ...(refuse ? { refuse } : {}) },
    words,
    '',
  ),
  ...(needed ? { needed } : {}),
});
export const id = () => made<string>({ kind: 'id' }, {});

interface NumberBounds extends Words<number> {
  readonly min: number;
  readonly max: number;
}

export const whole = ({ min, max, ...words }: NumberBounds) =>
  made<number>({ kind: 'number', min, max, whole: true, nullable: false }, words, min);
export const amount = ({ min, max, ...words }: NumberBounds) =>
  made<number>({ kind: 'number', min, max, whole: false, nullable: false }, words, min);
/** A whole number, or null for none. */
export const wholeOrNone = ({ min, max, ...words }: Omit<NumberBounds, 'initial'>) =>
  made<number | null>({ kind: 'number', min, max, whole: true, nullable: true }, words, null);

export function choice<const Key extends string>(
  choices: Readonly<Record<Key, string>>,
  words: Words<NoInfer<Key>> = {},
) {
  const [first] = Object.keys(choices) as Key[];
  return made<Key>({ kind: 'choice', choices, nullable: false }, words, first);
}

/** One of several, or null for none. */
export const choiceOrNone = <const Key extends string>(
  choices: Readonly<Record<Key, string>>,
  words: Words<NoInfer<Key> | null> = {},
) => made<Key | null>({ kind: 'choice', choices, nullable: true }, words, null);

export const flag = (words: Words<boolean> = {}) => made<boolean>({ kind: 'flag' }, words, false);
export const literal = <const Value extends string | number | boolean>(value: Value) =>
  made<Value>({ kind: 'literal', value }, {}, value);
export const address = (words: Words<string> = {}) => made<string>({ kind: 'address' }, words, '');
export const levels = (words: Words<ShownLevels> = {}) => made<ShownLevels>({ kind: 'levels' }, words, 3);
/** SVG source, or null. */
export const svg = (words: Words<string | null> = {}) => made<string | null>({ kind: 'svg' }, words, null);
/** Markup of the designer's own, well-formed. */
export const markup = (words: Words<string> = {}) => made<string>({ kind: 'markup' }, words, '');
/** A picture's address or data, or null. */
export const picture = (words: Words<string | null> = {}) =>
  made<string | null>({ kind: 'picture', nullable: true }, words, null);
export const itemPicture = (words: Words<string> = {}) =>
  made<string>({ kind: 'picture', nullable: false }, words);
/** A CSS colour, or null where it is not known. */
export const colourOrNone = (words: Words<string | null> = {}) =>
  made<string | null>({ kind: 'colour', nullable: true }, words, null);
export const colour = () => made<string>({ kind: 'colour', nullable: false }, {});
export const colourValue = () => made<ColourValue>({ kind: 'colour-value' }, {});
export const family = () => made<string>({ kind: 'family' }, {});
export const weights = () => made<readonly [number, number]>({ kind: 'weights' }, {});
/** In which bands something is shown. */
export const bands = (words: Words<readonly string[]> = {}) =>
  optional(made<readonly string[]>({ kind: 'bands' }, words));
export const look = (owner: string) => made<Look>({ kind: 'look', owner }, {}, {});

interface Reference<Value> extends Words<Value> {
  readonly gone?: WhenGone;
}

export const reference = (to: RefKind, { gone = 'removed', ...words }: Reference<string> = {}) =>
  made<string>({ kind: 'reference', to, nullable: false, gone }, words, '');
export const referenceOrNone = (to: RefKind, { gone = 'emptied', ...words }: Reference<string | null> = {}) =>
  made<string | null>({ kind: 'reference', to, nullable: true, gone }, words, null);

/** One of several shapes. The type is told, as what tells the shapes apart is no part of them. */
export const union = <Value>(
  spec: Omit<Extract<FieldSpec, { kind: 'union' }>, 'kind'>,
  words: Words<Value> = {},
  initial?: Value,
) => made<Value>({ kind: 'union', ...spec }, words, initial);

export const group = <const S extends Shape>(of: S, words: Words<Infer<S>> = {}) =>
  made<Infer<S>>({ kind: 'group', of }, words);

interface ListBounds {
  /** What one entry is called. */
  readonly one: string;
  readonly min?: number;
  readonly max: number;
}

export const list = <const S extends Shape>(
  of: S,
  { one, min = 0, max, ...words }: ListBounds & Words<readonly Infer<S>[]>,
) => made<readonly Infer<S>[]>({ kind: 'list', of: { kind: 'group', of }, min, max, one }, words, []);

/** A list whose entries are each one of several shapes. */
export const listOf = <Value>(entry: Field<Value, false>, { one, min = 0, max }: ListBounds) =>
  made<readonly Value[]>({ kind: 'list', of: entry.spec as EntrySpec, min, max, one }, {}, []);

/** The links beneath one another; how deep they go is told apart. */
export const items = <Item>() =>
  made<readonly Item[]>({ kind: 'things', of: 'items', min: 0, max: Infinity }, {}, []);
/** The parts of a region. */
export const parts = <Part>(form: RegionForm, label: string) =>
  made<readonly Part[]>({ kind: 'things', of: 'parts', min: 0, max: MOST_PARTS, form }, { label }, []);
/** The sections of a piece, of one of some kinds each. */
export const sections = <Section>(
  kinds: readonly [string, ...string[]],
  { min, max }: { readonly min: number; readonly max: number },
) => made<readonly Section[]>({ kind: 'things', of: 'sections', min, max, sections: kinds }, {}, []);
export const pieces = <Piece>() =>
  made<readonly Piece[]>({ kind: 'things', of: 'pieces', min: 0, max: 50 }, {}, []);
