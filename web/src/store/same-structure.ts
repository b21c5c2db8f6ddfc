import { isRecord } from '@hamaca/core';

/** Whether two values are the same but for the looks in them. What an edit left alone is the same object. */
export function isSameStructure(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((entry, index) => isSameStructure(entry, b[index]));
  if (!isRecord(a) || !isRecord(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => key === 'look' || (Object.hasOwn(b, key) && isSameStructure(a[key], b[key])))
  );
}
