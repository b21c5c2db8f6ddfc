import { isRecord } from '../base/json.ts';
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
