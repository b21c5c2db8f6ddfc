import { isRecord } from '../../base/json.ts';
import type { Field, FieldSpec, RefKind, Shape, WhenGone } from './field.ts';
import type { KindBook, ThingsSpec } from './violations.ts';

/** The shape of one entry of a list or list of things; null where there is none of its kind. */
export function entryShape(
  spec: Extract<FieldSpec, { kind: 'list' | 'things' }>,
  entry: Readonly<Record<string, unknown>>,
  book: KindBook,
): Shape | null {
  if (spec.kind === 'things') return book.shapeOf(spec, entry);
  return spec.of.kind === 'group' ? spec.of.of : (spec.of.of[spec.of.pick(entry) ?? ''] ?? null);
}

/** A field of a value on the way through it. */
export interface Visited {
  readonly field: Field<unknown>;
  readonly key: string;
  readonly value: unknown;
  /** JSON Pointer of the value. */
  readonly path: string;
}

/** What a walk calls on its way; values come before what is in them. */
export interface Visitor {
  readonly field?: (visited: Visited) => void;
  /** A thing of a list of things, or an entry of a list. */
  readonly thing?: (thing: Record<string, unknown>, path: string, shape: Shape, spec: FieldSpec) => void;
}

function visitField(
  field: Field<unknown>,
  key: string,
  value: unknown,
  path: string,
  book: KindBook,
  visitor: Visitor,
): void {
  visitor.field?.({ field, key, value, path });
  const { spec } = field;
  if (spec.kind === 'group' && isRecord(value)) visitShape(spec.of, value, path, book, visitor);
  else if (spec.kind === 'union' && isRecord(value)) {
    const shape = spec.of[spec.pick(value) ?? ''];
    if (shape) visitShape(shape, value, path, book, visitor);
  } else if ((spec.kind === 'list' || spec.kind === 'things') && Array.isArray(value)) {
    value.forEach((entry: unknown, index) => {
      if (!isRecord(entry)) return;
      const shape = entryShape(spec, entry, book);
      if (!shape) return;
      visitor.thing?.(entry, `${path}/${index}`, shape, spec);
      visitShape(shape, entry, `${path}/${index}`, book, visitor);
    });
  }
}

/** Walks a thing along its shape, field by field, in the order of the shape. */
export function visitShape(
  shape: Shape,
  value: Readonly<Record<string, unknown>>,
  path: string,
  book: KindBook,
  visitor: Visitor,
): void {
  for (const key in shape) {
    const field = shape[key] as Field<unknown>;
    const held = value[key];
    if (held !== undefined) visitField(field, key, held, `${path}/${key}`, book, visitor);
  }
}

/** One reference by id. */
export interface Reference {
  readonly to: RefKind;
  readonly id: string;
  /** JSON Pointer of the id. */
  readonly path: string;
  /** What happens where it is freed. */
  readonly gone: WhenGone;
  /** The innermost thing, entry or optional group it belongs to, which can go as a whole. */
  readonly removable: string;
  /** The union it is a part of, such as a link's target, which is replaced as a whole. */
  readonly union: {
    readonly at: string;
    readonly value: unknown;
    readonly spec: Extract<FieldSpec, { kind: 'union' }>;
  } | null;
}

/** The ids that things have, and those they refer to. */
export interface Names {
  readonly ids: readonly string[];
  readonly refs: readonly Pick<Reference, 'to' | 'id'>[];
}

interface GatheredNames {
  ids: string[];
  refs: Pick<Reference, 'to' | 'id'>[];
}

/** The names in entries of lists; entries never change in place. */
const namesByEntry = new WeakMap<object, { readonly shape: Shape; readonly names: Names }>();

function namesInEntry(shape: Shape, entry: Readonly<Record<string, unknown>>, book: KindBook): Names {
  const known = namesByEntry.get(entry);
  if (known?.shape === shape) return known.names;
  const names = shapeNames(shape, entry, book);
  namesByEntry.set(entry, { shape, names });
  return names;
}

function gatherNames(spec: FieldSpec, value: unknown, book: KindBook, into: GatheredNames): void {
  if (spec.kind === 'id') into.ids.push(String(value));
  else if (spec.kind === 'group' && isRecord(value)) gatherShape(spec.of, value, book, into);
  else if (spec.kind === 'union' && isRecord(value)) {
    const shape = spec.of[spec.pick(value) ?? ''];
    if (shape) gatherShape(shape, value, book, into);
  } else if ((spec.kind === 'list' || spec.kind === 'things') && Array.isArray(value))
    for (const entry of value as readonly unknown[]) {
      const shape = isRecord(entry) ? entryShape(spec, entry, book) : null;
      if (!shape) continue;
      const { ids, refs } = namesInEntry(shape, entry as Record<string, unknown>, book);
      for (const id of ids) into.ids.push(id);
      for (const ref of refs) into.refs.push(ref);
    }
  else
    takeField({ spec } as Field<unknown>, value, '', NOWHERE, book, ({ to, id }) =>
      into.refs.push({ to, id }),
    );
}

function gatherShape(
  shape: Shape,
  value: Readonly<Record<string, unknown>>,
  book: KindBook,
  into: GatheredNames,
): void {
  for (const key in shape) {
    const held = value[key];
    if (held !== undefined) gatherNames((shape[key] as Field<unknown>).spec, held, book, into);
  }
}

/** All ids and references in a thing of a shape, without their places: entries seen before are not walked again. */
export function shapeNames(shape: Shape, value: Readonly<Record<string, unknown>>, book: KindBook): Names {
  const names: GatheredNames = { ids: [], refs: [] };
  gatherShape(shape, value, book, names);
  return names;
}

type Take = (reference: Reference) => void;

interface Around {
  readonly removable: string;
  readonly union: Reference['union'];
}

const NOWHERE: Around = { removable: '', union: null };

function takeField(
  field: Field<unknown>,
  value: unknown,
  path: string,
  around: Around,
  book: KindBook,
  take: Take,
): void {
  const { spec } = field;
  switch (spec.kind) {
    case 'reference':
      if (typeof value === 'string') take({ to: spec.to, id: value, path, gone: spec.gone, ...around });
      return;
    case 'bands':
      if (Array.isArray(value))
        value.forEach((id: unknown, index) => {
          if (typeof id === 'string')
            take({
              to: 'band',
              id,
              path: `${path}/${index}`,
              gone: 'removed',
              removable: `${path}/${index}`,
              union: null,
            });
        });
      return;
    case 'family':
      if (typeof value === 'string') take({ to: 'typeface', id: value, path, gone: 'kept', ...around });
      return;
    case 'colour-value':
      if (isRecord(value) && typeof value['swatch'] === 'string')
        take({ to: 'swatch', id: value['swatch'], path: `${path}/swatch`, gone: 'kept', ...around });
      return;
    case 'group':
      if (isRecord(value))
        takeShape(
          spec.of,
          value,
          path,
          field.optional ? { removable: path, union: null } : around,
          book,
          take,
        );
      return;
    case 'union':
      if (isRecord(value)) {
        const shape = spec.of[spec.pick(value) ?? ''];
        if (shape) takeShape(shape, value, path, { ...around, union: { at: path, value, spec } }, book, take);
      }
      return;
    case 'list':
    case 'things':
      if (Array.isArray(value)) takeEntries(spec, value, path, book, take);
      return;
    default:
  }
}

function takeEntries(
  spec: ThingsSpec | Extract<FieldSpec, { kind: 'list' }>,
  entries: readonly unknown[],
  path: string,
  book: KindBook,
  take: Take,
): void {
  entries.forEach((entry, index) => {
    if (!isRecord(entry)) return;
    const shape = entryShape(spec, entry, book);
    const at = `${path}/${index}`;
    if (shape) takeShape(shape, entry, at, { removable: at, union: null }, book, take);
  });
}

/** Names of fields need no escaping in paths. */
function takeShape(
  shape: Shape,
  value: Readonly<Record<string, unknown>>,
  path: string,
  around: Around,
  book: KindBook,
  take: Take,
): void {
  for (const key in shape) {
    const held = value[key];
    if (held !== undefined)
      takeField(shape[key] as Field<unknown>, held, `${path}/${key}`, around, book, take);
  }
}

/** Every reference in a thing of a shape, in document order. What looks refer to is told apart. */
export function shapeReferences(
  shape: Shape,
  value: Readonly<Record<string, unknown>>,
  path: string,
  book: KindBook,
): Reference[] {
  const found: Reference[] = [];
  takeShape(shape, value, path, { removable: path, union: null }, book, (reference) => {
    found.push(reference);
  });
  return found;
}
