import { shapeSchema, type JsonSchema, type SchemaWorld } from '../model/shape/json-schema.ts';
import { ITEM_SHAPE } from '../model/menu-item.ts';
import { LEVEL_KEYS } from '../model/states.ts';
import type { SlotKind } from '../model/slot.ts';
import type { Property } from '../values/property.ts';
import { LINE_STYLES, ROLES } from '../values/values.ts';
import { ID } from '../values/url.ts';
import { BOOK } from './book.ts';
import { OWNER_KINDS, SITE_SHAPE, slotsOf, THING_SHAPES, type OwnerKind } from './catalogue.ts';
import { property, PROPERTY_IDS } from './properties/properties.ts';

const WORLD: SchemaWorld = { book: BOOK, lookName: (owner) => `look-${owner}` };

const open = (properties: JsonSchema, required: readonly string[]): JsonSchema => ({
  type: 'object',
  properties,
  required,
  additionalProperties: false,
});

const ALPHA = { type: 'number', minimum: 0, maximum: 1 };
const ID_TEXT = { type: 'string', pattern: ID.source };
const COLOUR = { $ref: '#/$defs/colour' };

const COLOUR_SCHEMA: JsonSchema = {
  oneOf: [
    open({ swatch: ID_TEXT, alpha: ALPHA }, ['swatch']),
    open({ role: { enum: ROLES }, alpha: ALPHA }, ['role']),
    open({ literal: { type: 'string' } }, ['literal']),
  ],
};

const LENGTH: JsonSchema = { anyOf: [{ type: 'number' }, { type: 'string', maxLength: 200 }] };

const SHADOW: JsonSchema = open(
  {
    x: { type: 'number' },
    y: { type: 'number' },
    blur: { type: 'number', minimum: 0 },
    spread: { type: 'number' },
    inset: { type: 'boolean' },
    colour: COLOUR,
  },
  ['x', 'y', 'blur', 'colour'],
);

const GRADIENT: JsonSchema = open(
  {
    angle: { type: 'number', minimum: -360, maximum: 360 },
    stops: {
      type: 'array',
      minItems: 2,
      maxItems: 8,
      items: open({ colour: COLOUR, at: { type: 'number', minimum: 0, maximum: 100 } }, ['colour', 'at']),
    },
  },
  ['angle', 'stops'],
);

const orNone = (schema: JsonSchema): JsonSchema => ({ anyOf: [schema, { type: 'null' }] });

function plainSchema(entry: Property): JsonSchema {
  switch (entry.kind) {
    case 'colour':
      return COLOUR;
    case 'family':
      return { type: 'string', maxLength: 80 };
    case 'number':
      return { type: 'number', minimum: entry.min, maximum: entry.max };
    case 'length':
      return LENGTH;
    case 'corners':
      return {
        anyOf: [
          LENGTH,
          open({ corners: { type: 'array', items: LENGTH, minItems: 4, maxItems: 4 } }, ['corners']),
        ],
      };
    case 'choice':
      return { enum: Object.keys(entry.choices) };
    case 'line': {
      const line = open({ width: { type: 'number' }, style: { enum: LINE_STYLES }, colour: COLOUR }, [
        'width',
        'style',
        'colour',
      ]);
      const value = open({ line: orNone(line) }, ['line']);
      return entry.inFocus === undefined ? value : { anyOf: [value, { const: entry.inFocus }] };
    }
    case 'shadow':
      return open({ shadows: { type: 'array', maxItems: 6, items: SHADOW } }, ['shadows']);
    case 'paint':
      return open(
        {
          paint: orNone({
            oneOf: [
              open({ gradient: GRADIENT }, ['gradient']),
              open({ image: { type: 'string' } }, ['image']),
            ],
          }),
        },
        ['paint'],
      );
  }
}

function propertySchema(entry: Property): JsonSchema {
  const schema =
    entry.typed === true
      ? { anyOf: [plainSchema(entry), open({ type: ID_TEXT }, ['type'])] }
      : plainSchema(entry);
  return { ...schema, description: `${entry.label}: ${entry.hint}` };
}

function slotSchema(kind: SlotKind): JsonSchema {
  const values = open(
    Object.fromEntries(kind.properties.map((id) => [id, { $ref: `#/$defs/property-${id}` }])),
    [],
  );
  const bands = {
    type: 'object',
    propertyNames: { pattern: ID.source },
    additionalProperties: values,
  };
  const states = open(Object.fromEntries(kind.states.map((state) => [state, bands])), []);
  const levels = LEVEL_KEYS.filter(
    (key) => key === 'all' || kind.levels.some((level) => String(level) === key),
  );
  return open(Object.fromEntries(levels.map((level) => [level, states])), []);
}

const lookSchema = (owner: OwnerKind): JsonSchema =>
  open(
    Object.fromEntries(Object.entries(slotsOf(owner)).map(([slot, kind]) => [slot, slotSchema(kind)])),
    [],
  );

const oneOf = (shapes: Readonly<Record<string, unknown>>): JsonSchema => ({
  oneOf: Object.keys(shapes).map((kind) => ({ $ref: `#/$defs/${kind}` })),
});

/** The published JSON Schema (draft 2020-12) of a site file. What only code can tell, such as that ids are unique, is not in it. */
export function siteJsonSchema(): JsonSchema {
  const things = { ...THING_SHAPES.parts, ...THING_SHAPES.sections, ...THING_SHAPES.pieces };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Hamaca site file',
    ...shapeSchema(SITE_SHAPE, WORLD),
    $defs: {
      colour: COLOUR_SCHEMA,
      link: shapeSchema(ITEM_SHAPE, WORLD),
      part: oneOf(THING_SHAPES.parts),
      piece: oneOf(THING_SHAPES.pieces),
      ...Object.fromEntries(Object.entries(things).map(([kind, shape]) => [kind, shapeSchema(shape, WORLD)])),
      ...Object.fromEntries(OWNER_KINDS.map((kind) => [`look-${kind}`, lookSchema(kind)])),
      ...Object.fromEntries(PROPERTY_IDS.map((id) => [`property-${id}`, propertySchema(property(id))])),
    },
  };
}
