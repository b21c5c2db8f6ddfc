import { isRecord } from '../base/json.ts';

/** Every part in a value, however deep, changed: whatever is an object of a kind. */
export function changeParts(
  value: unknown,
  change: (part: Record<string, unknown>) => Record<string, unknown>,
): unknown {
  if (Array.isArray(value)) return value.map((entry) => changeParts(entry, change));
  if (!isRecord(value)) return value;
  return change(
    Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, changeParts(inner, change)])),
  );
}

/** A record with a value at the end of a way into it. */
export function withValue(
  record: Record<string, unknown>,
  [key, ...rest]: readonly string[],
  value: unknown,
): Record<string, unknown> {
  if (key === undefined) return record;
  const held = record[key];
  return {
    ...record,
    [key]: rest.length === 0 ? value : withValue(isRecord(held) ? held : {}, rest, value),
  };
}

/** Whether anything stands at the end of a way into a record. */
export function hasValue(record: Record<string, unknown>, way: readonly string[]): boolean {
  let held: unknown = record;
  for (const key of way) held = isRecord(held) ? held[key] : undefined;
  return held !== undefined;
}
