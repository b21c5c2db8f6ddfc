import { isRecord, own } from '../../base/json.ts';
import type { KindBook } from './violations.ts';
import type { Field, Shape } from './field.ts';
import { entryShape, visitShape } from './visit.ts';

type Change = (field: Field<unknown>, value: unknown) => unknown;

function mapField(field: Field<unknown>, value: unknown, book: KindBook, change: Change): unknown {
  const { spec } = field;
  if (spec.kind === 'group' && isRecord(value)) return mapShape(spec.of, value, book, change);
  if (spec.kind === 'union' && isRecord(value)) {
    const shape = spec.of[spec.pick(value) ?? ''];
    return shape ? mapShape(shape, value, book, change) : value;
  }
  if ((spec.kind === 'list' || spec.kind === 'things') && Array.isArray(value))
    return value.map((entry: unknown) => {
      const shape = isRecord(entry) ? entryShape(spec, entry, book) : null;
      return shape && isRecord(entry) ? mapShape(shape, entry, book, change) : entry;
    });
  return change(field, value);
}

/** A copy of a thing with every single value changed. */
function mapShape(
  shape: Shape,
  thing: Readonly<Record<string, unknown>>,
  book: KindBook,
  change: Change,
): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(thing).map(([key, value]) => {
      const field = own(shape, key);
      return [key, field ? mapField(field, value, book, change) : value];
    }),
  );
}

/**
 * A copy of a thing in which everything that has an id gets a new one; what the thing refers to within itself follows,
 * what it refers to outside stays.
 */
export function copyThing<Thing extends object>(
  shape: Shape,
  thing: Thing,
  book: KindBook,
  freshId: (old: string) => string,
): Thing {
  const record = thing as unknown as Readonly<Record<string, unknown>>;
  const ids = new Map<string, string>();
  visitShape(shape, record, '', book, {
    field: ({ field, value }) => {
      if (field.spec.kind === 'id' && typeof value === 'string') ids.set(value, freshId(value));
    },
  });
  return mapShape(shape, record, book, ({ spec }, value) =>
    (spec.kind === 'id' || spec.kind === 'reference') && typeof value === 'string'
      ? (ids.get(value) ?? value)
      : value,
  ) as Thing;
}
