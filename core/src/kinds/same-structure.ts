import { isRecord } from '../base/json.ts';
import { property, type PropertyId } from './properties/properties.ts';
import type { Site } from './site.ts';

/** Whether two values are the same but for the looks in them. What an edit left alone is the same object. */
export function isSameStructure(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((entry, index) => isSameStructure(entry, b[index]));
  if (!isRecord(a) || !isRecord(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.hasOwn(b, key) && (key === 'look' || isSameStructure(a[key], b[key])))
  );
}

/** Whether two documents are the same in some lists, and in their pieces but for the looks. */
export const isSameBesideLooks = (a: Site, b: Site, lists: readonly (keyof Site)[]): boolean =>
  a === b || (lists.every((key) => a[key] === b[key]) && isSameStructure(a.pieces, b.pieces));

/** Whether two looks of one owner say the same but for what only paints. Single links have looks in both or in neither. */
function isSamePaintedOver(a: unknown, b: unknown, depth: number): boolean {
  if (a === b) return true;
  const first = (a ?? {}) as Readonly<Record<string, unknown>>;
  const second = (b ?? {}) as Readonly<Record<string, unknown>>;
  const keys = new Set([...Object.keys(first), ...Object.keys(second)]);
  return [...keys].every((key) => {
    if (depth === VALUES) return first[key] === second[key] || property(key as PropertyId).paints === true;
    if (isItemKey(key) && Object.hasOwn(first, key) !== Object.hasOwn(second, key)) return false;
    return isSamePaintedOver(first[key], second[key], depth + 1);
  });
}

/** How deep values lie in a look: below slot, level, state and band. */
const VALUES = 4;

const isItemKey = (key: string) => key.startsWith('@');

/** The looks in a value whose counterparts in another one of the same structure are other objects. */
function changedLooks(a: unknown, b: unknown, found: [unknown, unknown][] = []): [unknown, unknown][] {
  if (a === b) return found;
  if (Array.isArray(a) && Array.isArray(b)) a.forEach((entry, index) => changedLooks(entry, b[index], found));
  else if (isRecord(a) && isRecord(b))
    for (const key of Object.keys(a)) {
      if (key !== 'look') changedLooks(a[key], b[key], found);
      else if (a[key] !== b[key]) found.push([a[key], b[key]]);
    }
  return found;
}

/** Whether the looks of two documents of the same structure differ in nothing but what only paints. */
export const isSameButPainted = (a: Site, b: Site): boolean =>
  a.typeStyles === b.typeStyles &&
  a.sameLooks === b.sameLooks &&
  changedLooks(a.pieces, b.pieces).every(([before, after]) => isSamePaintedOver(before, after, 0));
