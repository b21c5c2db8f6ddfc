import type { JsonPatch, PatchOperation } from './json-patch.ts';

const above = (path: string) => path.slice(0, path.lastIndexOf('/'));

/** A place whose last step may be an entry of a list: to add or remove one moves those after it. */
const mayBeEntry = (path: string) => /\/(?:\d+|-)$/.test(path);

/** What adding or removing at a path changes: the whole list where it may be an entry of one. */
const changedBy = (path: string) => (mayBeEntry(path) ? above(path) : path);

/** Where an operation writes. */
function writes(operation: PatchOperation): string[] {
  switch (operation.op) {
    case 'add':
    case 'remove':
    case 'copy':
      return [changedBy(operation.path)];
    case 'replace':
      return [operation.path];
    case 'move':
      return [changedBy(operation.from), changedBy(operation.path)];
    case 'test':
      return [];
  }
}

/** Where an operation reads without writing. */
function reads(operation: PatchOperation): string[] {
  if (operation.op === 'test') return [operation.path];
  return operation.op === 'copy' ? [operation.from] : [];
}

/** A path with all it lies within. */
function ancestors(path: string): string[] {
  const all = [path];
  for (let at = path.lastIndexOf('/'); at >= 0; at = path.lastIndexOf('/', at - 1)) {
    all.push(path.slice(0, at));
    if (at === 0) break;
  }
  return all;
}

/** Whether a path of one side is, or lies within, one of the other. Takes as long as both are, not as all pairs of them. */
function meet(paths: readonly string[], others: readonly string[]): boolean {
  const [own, theirs] = [new Set(paths), new Set(others)];
  return (
    paths.some((path) => ancestors(path).some((above) => theirs.has(above))) ||
    others.some((path) => ancestors(path).some((above) => own.has(above)))
  );
}

/**
 * Whether two patches made on one document may touch the same place, so that their order matters. Answers yes where it
 * cannot tell.
 */
export function touchesSame(a: JsonPatch, b: JsonPatch): boolean {
  const [writesA, writesB] = [a.flatMap(writes), b.flatMap(writes)];
  return meet([...writesA, ...a.flatMap(reads)], writesB) || meet(b.flatMap(reads), writesA);
}
