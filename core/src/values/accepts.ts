import { isRecord } from '../base/json.ts';
import type { Property } from './property.ts';
import { ID } from './url.ts';
import { hasOnly } from './value-kind.ts';
import { valueKind } from './value-kinds.ts';

const isTypeLink = (value: unknown): boolean =>
  isRecord(value) && hasOnly(value, 'type') && typeof value['type'] === 'string' && ID.test(value['type']);

/** Whether a value may stand in a look for this property. */
export const acceptsValue = (entry: Property, value: unknown): boolean =>
  (entry.typed === true && isTypeLink(value)) || valueKind(entry).accepts(entry, value);

/** What a property's value may be, as words; the check itself is `acceptsValue`. */
export const allowedValue = (entry: Property): string =>
  valueKind(entry).allowed(entry) + (entry.typed === true ? ', or { "type": id of a type style }' : '');
