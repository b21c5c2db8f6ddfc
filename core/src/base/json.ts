/** A JSON value (RFC 8259). */
export type Json = string | number | boolean | null | Json[] | { [key: string]: Json };

export function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/**
 * Keys that lead to what every object inherits. They are refused wherever JSON comes in, before anything walks it:
 * writing under them would change all objects there are.
 */
const INHERITED_KEYS: ReadonlySet<string> = new Set(['__proto__', 'constructor', 'prototype']);

export const isInheritedKey = (key: string): boolean => INHERITED_KEYS.has(key);

/** What an object itself has under a name that comes from a document, a request or a person; never what it inherits. */
export function own<Value>(record: Readonly<Record<string, Value>>, name: string): Value | undefined {
  return Object.hasOwn(record, name) ? record[name] : undefined;
}

/** What any JSON itself has under a key; undefined where it has nothing of the kind. */
export const inside = (json: unknown, key: string): unknown =>
  typeof json === 'object' && json !== null ? own(json as Readonly<Record<string, unknown>>, key) : undefined;

/** A value in some JSON, with the way to it: whole paths of deep JSON would take long to write down. */
interface Place {
  readonly value: unknown;
  readonly key: string;
  readonly within: Place | null;
}

function wayTo(place: Place): string[] {
  const way: string[] = [];
  for (let at = place; at.within; at = at.within) way.push(at.key);
  return way.reverse();
}

/** The way to the first value or key in some JSON that a test picks out, or null. Works without recursion. */
export function findInJson(
  json: unknown,
  isText: (text: string) => boolean,
  isKey: (key: string) => boolean,
): string[] | null {
  const open: Place[] = [{ value: json, key: '', within: null }];
  for (let at = open.pop(); at; at = open.pop()) {
    const { value } = at;
    if (typeof value === 'string' && isText(value)) return wayTo(at);
    if (typeof value !== 'object' || value === null) continue;
    for (const [key, inner] of Object.entries(value)) {
      const place = { value: inner as unknown, key, within: at };
      if (isKey(key)) return wayTo(place);
      open.push(place);
    }
  }
  return null;
}

/** The way to the first key in some JSON that leads to what every object inherits, or null. */
export const findInheritedKey = (json: unknown): string[] | null =>
  findInJson(json, () => false, isInheritedKey);

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
