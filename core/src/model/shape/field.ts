/*
 * The one description of a thing's fields. Types, tests of what comes in, the published schema, references, copies and
 * the settings on screen are all read from it.
 */

/** What a field may refer to by id. */
export type RefKind =
  | 'band'
  | 'icon'
  | 'menu'
  | 'item'
  | 'page'
  | 'panel'
  | 'berth'
  | 'owner'
  | 'swatch'
  | 'type-style'
  | 'typeface';

/** How the parts of a region stand: side by side, in columns or beneath one another. */
export type RegionForm = 'row' | 'columns' | 'stack';

/** What happens to a field whose reference is about to go: it is emptied, or the thing it belongs to goes along. */
export type WhenGone = 'emptied' | 'removed' | 'kept';

/** What is about to go, as far as what refers to it wants to know: the paths of pages by id. */
export interface Lost {
  readonly paths: ReadonlyMap<string, string>;
}

/** What kind of value a field holds, with its bounds. */
export type FieldSpec =
  | {
      readonly kind: 'text';
      readonly min: number;
      readonly max: number;
      /** What the text must look like, with what is allowed in words. */
      readonly pattern?: { readonly test: RegExp; readonly allowed: string };
      /** What no pattern can say of it: why a text may not stand there, or null. */
      readonly refuse?: (text: string) => string | null;
    }
  | { readonly kind: 'id' }
  | {
      readonly kind: 'number';
      readonly min: number;
      readonly max: number;
      readonly whole: boolean;
      readonly nullable: boolean;
    }
  /** Keys are what is kept, values what they are called. */
  | {
      readonly kind: 'choice';
      readonly choices: Readonly<Record<string, string>>;
      readonly nullable: boolean;
    }
  | { readonly kind: 'flag' }
  | { readonly kind: 'literal'; readonly value: string | number | boolean }
  | { readonly kind: 'address' }
  /** One of several shapes, told apart by the value itself. */
  | {
      readonly kind: 'union';
      /** What the value is, for messages: `target`. */
      readonly one: string;
      readonly of: Readonly<Record<string, Shape>>;
      readonly pick: (value: Readonly<Record<string, unknown>>) => string | null;
      /** The value that takes its place where what it refers to goes. */
      readonly freed?: (value: never, lost: Lost) => unknown;
    }
  | { readonly kind: 'levels' }
  | { readonly kind: 'svg' }
  | { readonly kind: 'markup' }
  | { readonly kind: 'picture'; readonly nullable: boolean }
  | { readonly kind: 'colour'; readonly nullable: boolean }
  | { readonly kind: 'colour-value' }
  | { readonly kind: 'family' }
  | { readonly kind: 'weights' }
  | { readonly kind: 'bands' }
  | { readonly kind: 'look'; readonly owner: string }
  | {
      readonly kind: 'reference';
      readonly to: RefKind;
      readonly nullable: boolean;
      readonly gone: WhenGone;
    }
  | { readonly kind: 'group'; readonly of: Shape }
  | {
      readonly kind: 'list';
      readonly of: EntrySpec;
      readonly min: number;
      readonly max: number;
      /** What one entry is called. */
      readonly one: string;
    }
  /** Things of a kind of their own each: links in links, parts of a region, sections of a piece, pieces of a site. */
  | {
      readonly kind: 'things';
      readonly of: ThingSort;
      readonly min: number;
      readonly max: number;
      /** For parts: how their region stands. */
      readonly form?: RegionForm;
      /** For sections: the kinds they may be of; one that says none is of the first. */
      readonly sections?: readonly [string, ...string[]];
    };

/** What the entries of a list are: all of one shape, or each one of several. */
export type EntrySpec = Extract<FieldSpec, { kind: 'group' | 'union' }>;

/** What a list of things holds. */
export type ThingSort = 'items' | 'parts' | 'sections' | 'pieces';

/** The kind of a section in a list of them: the list's first, where it says none that the list may hold. */
export function sectionIn(
  { sections = [''] }: Extract<FieldSpec, { kind: 'things' }>,
  { kind }: { readonly kind?: unknown },
): string {
  return typeof kind === 'string' && sections.includes(kind) ? kind : sections[0];
}

/** One field of a thing. */
export interface Field<Value, Optional extends boolean = boolean> {
  readonly spec: FieldSpec;
  /** What it is called on screen; empty where it is no setting of its own. */
  readonly label: string;
  readonly hint: string;
  /** What a new thing has; nothing for fields that every thing is given. */
  readonly initial: Value | undefined;
  /** Whether a designer is asked for it: an empty text is no answer. */
  readonly needed?: boolean;
  /** Whether it may be left out. */
  readonly optional: Optional;
  /** Whether it means anything for this thing, told from its other fields. */
  readonly when?: (thing: Readonly<Record<string, unknown>>) => boolean;
  /** Never there: carries the type of the value. */
  readonly valueType?: Value;
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a shape holds fields of any values
export type Shape = Readonly<Record<string, Field<any>>>;

type ValueOf<F> = F extends Field<infer Value> ? Value : never;
type RequiredKeys<S extends Shape> = {
  [K in keyof S]: S[K] extends Field<unknown, true> ? never : K;
}[keyof S];

/** The type of a thing of a shape. */
export type Infer<S extends Shape> = {
  readonly [K in RequiredKeys<S>]: ValueOf<S[K]>;
} & {
  readonly [K in Exclude<keyof S, RequiredKeys<S>>]?: ValueOf<S[K]>;
};

/** The values a new thing of a shape starts with. */
export function initialOf(shape: Shape): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(shape)
      .filter(([, field]) => !field.optional)
      .map(([key, { spec, initial }]) => [key, spec.kind === 'group' ? initialOf(spec.of) : initial]),
  );
}
