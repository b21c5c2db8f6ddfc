import { shapeSchema, type SchemaWorld } from '../model/shape/json-schema.ts';
import { ITEM_SHAPE } from '../model/menu-item.ts';
import { LEVEL_KEYS } from '../model/states.ts';
import type { SlotKind } from '../model/slot.ts';
import type { Property } from '../values/property.ts';
import { COLOUR_SCHEMA } from '../values/kinds/colour.ts';
import { closed, type JsonSchema } from '../values/value-kind.ts';
import { valueKind } from '../values/value-kinds.ts';
import { ID } from '../values/url.ts';
import { BOOK } from './book.ts';
import { OWNER_KINDS, SITE_SHAPE, slotsOf, THING_SHAPES, type OwnerKind } from './catalogue.ts';
import { property, PROPERTY_IDS, type PropertyId } from './properties/properties.ts';
import { wornAt } from './wears.ts';

const WORLD: SchemaWorld = { book: BOOK, lookName: (owner) => `look-${owner}` };

const ID_TEXT = { type: 'string', pattern: ID.source };

function propertySchema(entry: Property): JsonSchema {
  const schema =
    entry.typed === true
      ? { anyOf: [valueKind(entry).schema(entry), closed({ type: ID_TEXT }, ['type'])] }
      : valueKind(entry).schema(entry);
  return { ...schema, description: `${entry.label}: ${entry.hint}` };
}

/** The values of one level or link, by state and band. */
function statesSchema({ states }: SlotKind, properties: readonly PropertyId[]): JsonSchema {
  const values = closed(
    Object.fromEntries(properties.map((id) => [id, { $ref: `#/$defs/property-${id}` }])),
    [],
  );
  const bands = {
    type: 'object',
    propertyNames: { pattern: ID.source },
    additionalProperties: values,
  };
  return closed(Object.fromEntries(states.map((state) => [state, bands])), []);
}

function slotSchema(kind: SlotKind): JsonSchema {
  const states = statesSchema(kind, kind.properties);
  const levels = LEVEL_KEYS.filter(
    (key) => key === 'all' || kind.levels.some((level) => String(level) === key),
  );
  const own = closed(Object.fromEntries(levels.map((level) => [level, states])), []);
  if (!kind.single) return own;
  return { ...own, patternProperties: { [ITEM_KEY]: statesSchema(kind, wornAt(kind, '@x')) } };
}

/** The key of a single link. */
const ITEM_KEY = ID.source.replace('^', '^@');

const lookSchema = (owner: OwnerKind): JsonSchema =>
  closed(
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
