import { isRecord } from '../base/json.ts';
import { property, type PropertyId } from './properties/properties.ts';
import type { Site } from './site.ts';

/** A look before and after. */
type Change = readonly [before: unknown, after: unknown];

/**
 * Whether two values are the same but for the looks in them; those whose counterparts are other objects are added to
 * `changes`. What an edit left alone is the same object.
 */
function isSameStructure(a: unknown, b: unknown, changes: Change[]): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((entry, index) => isSameStructure(entry, b[index], changes));
  if (!isRecord(a) || !isRecord(b)) return false;
  const keys = Object.keys(a);
  if (keys.length !== Object.keys(b).length) return false;
  for (const key of keys) {
    const before = a[key];
    const after = b[key];
    if (before === after && after !== undefined) continue;
    if (!Object.hasOwn(b, key)) return false;
    if (key === 'look') changes.push([before, after]);
    else if (!isSameStructure(before, after, changes)) return false;
  }
  return true;
}

/** The looks that differ between two documents that are the same in some lists and in their pieces but for looks; else null. */
export function changedLooks(a: Site, b: Site, lists: readonly (keyof Site)[]): readonly Change[] | null {
  const changes: Change[] = [];
  if (a === b) return changes;
  const isSame = lists.every((key) => a[key] === b[key]) && isSameStructure(a.pieces, b.pieces, changes);
  return isSame ? changes : null;
}

/** Whether two documents are the same in some lists, and in their pieces but for the looks. */
export const isSameBesideLooks = (a: Site, b: Site, lists: readonly (keyof Site)[]): boolean =>
  changedLooks(a, b, lists) !== null;

type Level = Readonly<Record<string, unknown>>;
const NOTHING: Level = {};

/** Whether two looks of one owner say the same but for what only paints. Single links have looks in both or in neither. */
function isSamePaintedOver(a: unknown, b: unknown, depth: number): boolean {
  if (a === b) return true;
  const before = (a ?? NOTHING) as Level;
  const after = (b ?? NOTHING) as Level;
  const isSame = (key: string) =>
    before[key] === after[key] ||
    (depth === VALUES
      ? property(key as PropertyId).paints === true
      : !(isItemKey(key) && Object.hasOwn(before, key) !== Object.hasOwn(after, key)) &&
        isSamePaintedOver(before[key], after[key], depth + 1));
  for (const key in before) if (!isSame(key)) return false;
  for (const key in after) if (!Object.hasOwn(before, key) && !isSame(key)) return false;
  return true;
}

/** How deep values lie in a look: below slot, level, state and band. */
const VALUES = 4;

const isItemKey = (key: string) => key.startsWith('@');

/** Whether two documents whose looks alone differ do so in nothing but what only paints. */
export const isSameButPainted = (a: Site, b: Site, changes: readonly Change[]): boolean =>
  a.typeStyles === b.typeStyles &&
  a.sameLooks === b.sameLooks &&
  changes.every(([before, after]) => isSamePaintedOver(before, after, 0));
