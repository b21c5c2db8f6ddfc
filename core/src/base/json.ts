/** A JSON value (RFC 8259). */
export type Json = string | number | boolean | null | Json[] | { [key: string]: Json };

export function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Whether two JSON values are equal by content; the order of keys does not matter. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a)) {
    return Array.isArray(b) && a.length === b.length && a.every((item, index) => sameJson(item, b[index]));
  }
  if (!isRecord(a) || !isRecord(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.hasOwn(b, key) && sameJson(a[key], b[key]))
  );
}

/** How deeply a JSON value is nested, counted without recursion and given up past `limit`. */
export function jsonDepth(value: unknown, limit: number): number {
  let deepest = 0;
  const waiting: [unknown, number][] = [[value, 1]];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    const [node, depth] = next;
    if (typeof node !== 'object' || node === null) continue;
    deepest = Math.max(deepest, depth);
    if (deepest > limit) return deepest;
    for (const child of Object.values(node)) waiting.push([child, depth + 1]);
  }
  return deepest;
}

/** How many values there are in some JSON, itself included; counting stops past `most`. */
export function countNodes(value: unknown, most: number): number {
  const open: unknown[] = [value];
  let count = 0;
  for (let at = open.pop(); count <= most && (at !== undefined || open.length > 0); at = open.pop()) {
    count++;
    if (Array.isArray(at)) for (const entry of at as readonly unknown[]) open.push(entry);
    else if (isRecord(at)) for (const entry of Object.values(at)) open.push(entry);
    if (open.length > most) return most + 1;
  }
  return count;
}
