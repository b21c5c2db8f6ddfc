import type { Result } from '../base/result.ts';
import type { Typeface } from '../text/typefaces.ts';
import type { Property } from './property.ts';
import type { ColourValue, Value } from './values.ts';

/** What a site calls the things that values lead to. */
export interface NamedThings {
  readonly palette: readonly { readonly id: string; readonly name: string }[];
  readonly typefaces: readonly Typeface[];
}

/** How the output writes what a value leads to. */
export interface ValueOut {
  readonly colour: (value: ColourValue) => string;
  readonly family: (id: string) => string;
}

/** A JSON Schema (draft 2020-12), as plain JSON. */
export type JsonSchema = { readonly [key: string]: unknown };

/** A property whose values are of one kind. */
export type PropertyOf<Kind extends Property['kind']> = Extract<Property, { readonly kind: Kind }>;

/** One kind of value: everything that is known of it. */
export interface ValueKind<Kind extends Property['kind'], V extends Value> {
  readonly id: Kind;
  /** Whether a value may stand in a look for a property of this kind. Looks come with thousands of values: a plain test. */
  readonly accepts: (entry: PropertyOf<Kind>, value: unknown) => boolean;
  /** What `accepts` takes, in words. */
  readonly allowed: (entry: PropertyOf<Kind>) => string;
  readonly schema: (entry: PropertyOf<Kind>) => JsonSchema;
  /** Reads what a designer typed; a refusal says why, in words for the cell. */
  readonly parse: (entry: PropertyOf<Kind>, text: string, things: NamedThings) => Result<V, string>;
  /** The value moved by whole steps of its property, kept within bounds; null where it cannot be. */
  readonly step?: (entry: PropertyOf<Kind>, value: Value, steps: number) => Value | null;
  /** The value as CSS, without the names it is declared under. */
  readonly css: (value: Value, out: ValueOut, entry: PropertyOf<Kind>) => string;
}

/** A closed object in a JSON Schema. */
export const closed = (properties: JsonSchema, required: readonly string[]): JsonSchema => ({
  type: 'object',
  properties,
  required,
  additionalProperties: false,
});

export const orNull = (schema: JsonSchema): JsonSchema => ({ anyOf: [schema, { type: 'null' }] });

/** Whether an object has no other keys. */
export const hasOnly = (value: Record<string, unknown>, ...keys: readonly string[]): boolean =>
  Object.keys(value).every((key) => keys.includes(key));

export const isWithin = (value: unknown, min: number, max: number): value is number =>
  typeof value === 'number' && value >= min && value <= max;
