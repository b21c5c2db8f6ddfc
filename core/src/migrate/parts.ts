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
