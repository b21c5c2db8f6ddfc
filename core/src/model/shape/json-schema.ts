import { MARKUP_LIMITS } from '../../markup/read-markup.ts';
import { LIMITS } from '../../values/limits.ts';
import { ID, LINK_ADDRESS } from '../../values/url.ts';
import type { JsonSchema } from '../../values/value-kind.ts';
import { MOST_BANDS } from '../limits.ts';
import { SHOWN_LEVELS } from '../states.ts';
import type { KindBook, ThingsSpec } from './violations.ts';
import type { Field, FieldSpec, Shape } from './field.ts';

/** What the schema cannot read from shapes: how looks are written, by owner. */
export interface SchemaWorld {
  readonly book: KindBook;
  readonly lookName: (owner: string) => string;
}

const ID_SCHEMA: JsonSchema = { type: 'string', pattern: ID.source };
const orNull = (schema: JsonSchema, nullable: boolean): JsonSchema =>
  nullable ? { anyOf: [schema, { type: 'null' }] } : schema;

const THING_NAMES = { items: 'link', parts: 'part', sections: 'section', pieces: 'piece' } as const;

function thingsSchema(spec: ThingsSpec): JsonSchema {
  const names = spec.sections ?? [THING_NAMES[spec.of]];
  const [only, ...others] = names.map((name) => ({ $ref: `#/$defs/${name}` }));
  return {
    type: 'array',
    items: others.length === 0 ? only : { anyOf: [only, ...others] },
    ...(spec.min > 0 ? { minItems: spec.min } : {}),
    ...(spec.max === Infinity ? {} : { maxItems: spec.max }),
  };
}

function specSchema(spec: FieldSpec, world: SchemaWorld): JsonSchema {
  switch (spec.kind) {
    case 'text':
      return {
        type: 'string',
        maxLength: spec.max,
        ...(spec.min > 0 ? { minLength: spec.min } : {}),
        ...(spec.pattern ? { pattern: spec.pattern.test.source } : {}),
      };
    case 'id':
      return ID_SCHEMA;
    case 'number':
      return orNull(
        { type: spec.whole ? 'integer' : 'number', minimum: spec.min, maximum: spec.max },
        spec.nullable,
      );
    case 'choice':
      return { enum: [...Object.keys(spec.choices), ...(spec.nullable ? [null] : [])] };
    case 'flag':
      return { type: 'boolean' };
    case 'literal':
      return { const: spec.value };
    case 'address':
      return { type: 'string', maxLength: LIMITS.url, pattern: LINK_ADDRESS.source };
    case 'levels':
      return { enum: SHOWN_LEVELS };
    case 'markup':
      return { type: 'string', maxLength: MARKUP_LIMITS.source };
    case 'svg':
      return orNull({ type: 'string', maxLength: LIMITS.svg, pattern: '^\\s*<svg[\\s>]' }, true);
    case 'picture':
      return orNull({ type: 'string', minLength: 1, maxLength: LIMITS.image }, spec.nullable);
    case 'colour':
      return orNull({ type: 'string', maxLength: 100 }, spec.nullable);
    case 'colour-value':
      return { $ref: '#/$defs/colour' };
    case 'family':
      return { type: 'string', maxLength: 80 };
    case 'weights':
      return {
        type: 'array',
        items: { type: 'integer', minimum: 100, maximum: 900 },
        minItems: 2,
        maxItems: 2,
      };
    case 'bands':
      return { type: 'array', items: ID_SCHEMA, minItems: 1, maxItems: MOST_BANDS };
    case 'look':
      return { $ref: `#/$defs/${world.lookName(spec.owner)}` };
    case 'reference':
      return orNull(ID_SCHEMA, spec.nullable);
    case 'group':
      return shapeSchema(spec.of, world);
    case 'list':
      return {
        type: 'array',
        items: specSchema(spec.of, world),
        maxItems: spec.max,
        ...(spec.min > 0 ? { minItems: spec.min } : {}),
      };
    case 'union':
      return { oneOf: Object.values(spec.of).map((shape) => shapeSchema(shape, world)) };
    case 'things':
      return thingsSchema(spec);
  }
}

/** The schema of a thing of a shape. */
export function shapeSchema(shape: Shape, world: SchemaWorld): JsonSchema {
  const fields = Object.entries(shape) as [string, Field<unknown>][];
  return {
    type: 'object',
    properties: Object.fromEntries(
      fields.map(([key, field]) => [
        key,
        field.hint === ''
          ? specSchema(field.spec, world)
          : { ...specSchema(field.spec, world), description: field.hint },
      ]),
    ),
    required: fields.filter(([, field]) => !field.optional).map(([key]) => key),
    additionalProperties: false,
  };
}
