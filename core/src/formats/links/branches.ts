import { isRecord, jsonDepth } from '../../base/json.ts';
import { BOOK } from '../../kinds/book.ts';
import { SITE_SHAPE } from '../../kinds/catalogue.ts';
import { fieldViolations } from '../../model/shape/violations.ts';
import type { Field } from '../../model/shape/field.ts';
import { items } from '../../model/shape/fields.ts';
import { LIMITS } from '../../values/limits.ts';
import type { NewItems } from '../../links/new-items.ts';

/** Branches of a menu, with the pages and icons they need, as text for the clipboard. */
export function printBranches(branches: NewItems): string {
  return JSON.stringify(branches);
}

const LINKS = items();

/** Reads branches from the clipboard, where any page may have put anything; null where they are not what they should be. */
export function readBranches(text: string): NewItems | null {
  if (text.length > LIMITS.file) return null;
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    // What is no JSON was not copied here: it is read as text.
    return null;
  }
  if (!isRecord(raw) || jsonDepth(raw, LIMITS.json) > LIMITS.json) return null;
  const { items: links, pages = [], icons = [] } = raw;
  const isSound = (field: Field<unknown>, value: unknown) => fieldViolations(field, value, BOOK).length === 0;
  if (!isSound(LINKS, links) || !isSound(SITE_SHAPE.pages, pages) || !isSound(SITE_SHAPE.icons, icons))
    return null;
  return { items: links, pages, icons } as NewItems;
}
