import { escapeSegment, parsePointer, toPointer } from '../base/json-pointer.ts';
import { countNodes, isInheritedKey, isRecord, own, sameJson } from '../base/json.ts';
import { fail, refuse, succeed, type Problem, type Result } from '../base/result.ts';

/** One operation of a JSON Patch (RFC 6902, section 4). */
export type PatchOperation =
  | { readonly op: 'add' | 'replace' | 'test'; readonly path: string; readonly value: unknown }
  | { readonly op: 'remove'; readonly path: string }
  | { readonly op: 'move' | 'copy'; readonly from: string; readonly path: string };

export type JsonPatch = readonly PatchOperation[];

export interface Patched<Document> {
  /** The changed document; unchanged parts are the same objects. */
  readonly document: Document;
  /** The patch that leads back. */
  readonly inverse: JsonPatch;
}

/** An array index as a pointer segment (RFC 6901, section 4), or null. `-` is the end where `end` is given. */
function toIndex(segment: string, length: number, end: boolean): number | null {
  if (segment === '-' && end) return length;
  if (!/^(0|[1-9]\d{0,9})$/.test(segment)) return null;
  const index = Number(segment);
  return index < length || (end && index === length) ? index : null;
}

function childOf(node: unknown, segment: string): Result<unknown, string> {
  if (Array.isArray(node)) {
    const index = toIndex(segment, node.length, false);
    return index === null
      ? fail(`there is no entry ${segment} in a list of ${node.length}`)
      : succeed(node[index] as unknown);
  }
  if (isRecord(node) && Object.hasOwn(node, segment)) return succeed(node[segment]);
  return fail(`there is nothing at "${segment}"`);
}

/** The value a pointer leads to. */
export function getAt(document: unknown, pointer: string): Result<unknown> {
  const segments = parsePointer(pointer);
  if (!segments) return refuse('pointer', pointer, `"${pointer}" is not a JSON Pointer`);
  let node = document;
  for (const [index, segment] of segments.entries()) {
    const child = childOf(node, segment);
    if (!child.ok)
      return refuse('pointer', toPointer(segments.slice(0, index + 1)), `${pointer}: ${child.error}`);
    node = child.value;
  }
  return succeed(node);
}

type Change = (parent: unknown, key: string) => Result<unknown, string>;

/** Copies the path from the root to the parent of `segments` and lets `change` make the new parent. */
function changeAt(node: unknown, segments: readonly string[], change: Change): Result<unknown, string> {
  const [segment, ...rest] = segments;
  if (segment === undefined) return fail('the whole document cannot be changed at once');
  if (isInheritedKey(segment)) return fail(`"${segment}" is not allowed as a key`);
  if (rest.length === 0) return change(node, segment);
  const child = childOf(node, segment);
  if (!child.ok) return child;
  const changed = changeAt(child.value, rest, change);
  if (!changed.ok) return changed;
  if (Array.isArray(node)) return succeed(node.with(Number(segment), changed.value));
  return succeed({ ...(node as object), [segment]: changed.value });
}

const addTo =
  (value: unknown): Change =>
  (parent, key) => {
    if (Array.isArray(parent)) {
      const index = toIndex(key, parent.length, true);
      return index === null
        ? fail(`a list of ${parent.length} has no place ${key}`)
        : succeed(parent.toSpliced(index, 0, value));
    }
    return isRecord(parent)
      ? succeed({ ...parent, [key]: value })
      : fail('only lists and objects can be added to');
  };

const replaceIn =
  (value: unknown): Change =>
  (parent, key) => {
    const old = childOf(parent, key);
    if (!old.ok) return old;
    return succeed(
      Array.isArray(parent) ? parent.with(Number(key), value) : { ...(parent as object), [key]: value },
    );
  };

const removeFrom: Change = (parent, key) => {
  const old = childOf(parent, key);
  if (!old.ok) return old;
  if (Array.isArray(parent)) return succeed(parent.toSpliced(Number(key), 1));
  const { [key]: _removed, ...rest } = parent as Record<string, unknown>;
  return succeed(rest);
};

interface Step {
  readonly document: unknown;
  /** Undoes the step; in the order it must run. */
  readonly inverse: PatchOperation[];
}

function change(document: unknown, path: string, how: Change): Result<unknown> {
  const segments = parsePointer(path);
  if (!segments) return refuse('pointer', path, `"${path}" is not a JSON Pointer`);
  const changed = changeAt(document, segments, how);
  return changed.ok ? changed : refuse('patch', path, `${path}: ${changed.error}`);
}

/** `/list/-` as the place it meant. */
function settledPath(document: unknown, path: string): string {
  if (!path.endsWith('/-')) return path;
  const parent = getAt(document, path.slice(0, -2));
  return parent.ok && Array.isArray(parent.value) ? `${path.slice(0, -1)}${parent.value.length}` : path;
}

function add(document: unknown, path: string, value: unknown): Result<Step> {
  const at = settledPath(document, path);
  const parentIsList = Array.isArray(
    ((parent) => (parent.ok ? parent.value : null))(getAt(document, at.slice(0, at.lastIndexOf('/')))),
  );
  const old = parentIsList ? null : getAt(document, at);
  const added = change(document, at, addTo(value));
  if (!added.ok) return added;
  const inverse: PatchOperation = old?.ok
    ? { op: 'replace', path: at, value: old.value }
    : { op: 'remove', path: at };
  return succeed({ document: added.value, inverse: [inverse] });
}

function remove(document: unknown, path: string): Result<Step> {
  const old = getAt(document, path);
  if (!old.ok) return old;
  const removed = change(document, path, removeFrom);
  return removed.ok
    ? succeed({ document: removed.value, inverse: [{ op: 'add', path, value: old.value }] })
    : removed;
}

function replace(document: unknown, path: string, value: unknown): Result<Step> {
  const old = getAt(document, path);
  if (!old.ok) return old;
  if (sameJson(old.value, value)) return succeed({ document, inverse: [] });
  const replaced = change(document, path, replaceIn(value));
  return replaced.ok
    ? succeed({ document: replaced.value, inverse: [{ op: 'replace', path, value: old.value }] })
    : replaced;
}

function move(document: unknown, from: string, path: string): Result<Step> {
  if (path.startsWith(`${from}/`)) return refuse('patch', path, `${from} cannot be moved into itself`);
  const value = getAt(document, from);
  if (!value.ok) return value;
  const removed = remove(document, from);
  if (!removed.ok) return removed;
  const added = add(removed.value.document, path, value.value);
  if (!added.ok) return added;
  return succeed({
    document: added.value.document,
    inverse: [...added.value.inverse, ...removed.value.inverse],
  });
}

function test(document: unknown, path: string, value: unknown): Result<Step> {
  const found = getAt(document, path);
  if (!found.ok) return found;
  return sameJson(found.value, value)
    ? succeed({ document, inverse: [] })
    : refuse('patch-test', path, `${path} is no longer what it was`);
}

function applyOperation(document: unknown, operation: PatchOperation): Result<Step> {
  switch (operation.op) {
    case 'add':
      return add(document, operation.path, operation.value);
    case 'remove':
      return remove(document, operation.path);
    case 'replace':
      return replace(document, operation.path, operation.value);
    case 'move':
      return move(document, operation.from, operation.path);
    case 'copy': {
      const value = getAt(document, operation.from);
      return value.ok ? add(document, operation.path, value.value) : value;
    }
    case 'test':
      return test(document, operation.path, operation.value);
  }
}

/** Most values one patch copies: copies of copies double, and a few lines would fill the memory. */
const MOST_COPIED = 500_000;

/**
 * Applies a JSON Patch to an immutable document, all or nothing, and gives the inverse with it. Unchanged parts keep
 * their identity, so that answers remembered per object stay valid.
 */
export function applyPatch<Document>(document: Document, patch: JsonPatch): Result<Patched<Document>> {
  let current: unknown = document;
  let copied = 0;
  const inverses: JsonPatch[] = [];
  for (const [index, operation] of patch.entries()) {
    if (operation.op === 'copy') {
      const value = getAt(current, operation.from);
      copied += value.ok ? countNodes(value.value, MOST_COPIED) : 0;
      if (copied > MOST_COPIED)
        return refuse('patch', `/${index}`, `The patch copies more than ${MOST_COPIED} values`);
    }
    const step = applyOperation(current, operation);
    if (!step.ok) return step;
    current = step.value.document;
    inverses.push(step.value.inverse);
  }
  return succeed({ document: current as Document, inverse: inverses.reverse().flat() });
}

/** Tests that the list entries a pointer passes through still have the ids they have in `document`. */
function idTests(document: unknown, pointer: string): PatchOperation[] {
  const tests: PatchOperation[] = [];
  let node = document;
  let path = '';
  for (const segment of parsePointer(pointer) ?? []) {
    const child = childOf(node, segment);
    if (!child.ok) break;
    path += `/${escapeSegment(segment)}`;
    if (Array.isArray(node) && isRecord(child.value) && typeof child.value['id'] === 'string') {
      tests.push({ op: 'test', path: `${path}/id`, value: child.value['id'] });
    }
    node = child.value;
  }
  return tests;
}

/**
 * A patch made safe for a document that may have changed since: before each operation it tests that list entries are
 * still the same ones and that what it replaces or removes is still what `document` has there.
 */
export function guardPatch(document: unknown, patch: JsonPatch): JsonPatch {
  const guarded: PatchOperation[] = [];
  let current = document;
  for (const operation of patch) {
    const at = operation.op === 'move' || operation.op === 'copy' ? operation.from : operation.path;
    guarded.push(...idTests(current, at));
    const old = getAt(current, at);
    if (old.ok && operation.op === 'replace') guarded.push({ op: 'test', path: at, value: old.value });
    guarded.push(operation);
    const step = applyOperation(current, operation);
    if (step.ok) current = step.value.document;
  }
  return guarded;
}

const OPERATIONS: Readonly<Record<string, readonly string[]>> = {
  add: ['path', 'value'],
  replace: ['path', 'value'],
  test: ['path', 'value'],
  remove: ['path'],
  move: ['from', 'path'],
  copy: ['from', 'path'],
};

/** Reads an unknown value as a JSON Patch; each problem names the operation's place. */
export function readPatch(raw: unknown): Result<JsonPatch> {
  if (!Array.isArray(raw)) return refuse('patch', '', 'A JSON Patch is a list of operations');
  const problems = raw.flatMap((operation: unknown, index): Problem[] => {
    const path = `/${index}`;
    if (!isRecord(operation)) return [{ code: 'patch', path, message: `${path}: an operation is an object` }];
    const fields = typeof operation['op'] === 'string' ? own(OPERATIONS, operation['op']) : undefined;
    if (!fields)
      return [
        {
          code: 'patch',
          path: `${path}/op`,
          message: `${path}/op: allowed are ${Object.keys(OPERATIONS).join(', ')}`,
        },
      ];
    return fields.flatMap((field): Problem[] => {
      const value = operation[field];
      const fine =
        field === 'value' ? 'value' in operation : typeof value === 'string' && parsePointer(value) !== null;
      return fine
        ? []
        : [
            {
              code: 'patch',
              path: `${path}/${field}`,
              message: `${path}/${field}: ${field === 'value' ? 'a value' : 'a JSON Pointer'} is needed`,
            },
          ];
    });
  });
  return problems.length > 0 ? fail(problems.slice(0, 20)) : succeed(raw as JsonPatch);
}
