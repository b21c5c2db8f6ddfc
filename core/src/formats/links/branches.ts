import { isRecord, jsonDepth } from '../../base/json.ts';
import { itemFaults, pageFaults } from '../../model/faults.ts';
import { LIMITS } from '../../model/limits.ts';
import { isCleanSvg } from '../../model/clean-svg.ts';
import { ID } from '../../model/url.ts';
import type { NewItems } from '../../links/new-items.ts';

/** Branches of a menu, with the pages and icons they need, as text for the clipboard. */
export function printBranches(branches: NewItems): string {
  return JSON.stringify(branches);
}

function isIcon(value: unknown): boolean {
  return (
    isRecord(value) &&
    typeof value['id'] === 'string' &&
    ID.test(value['id']) &&
    typeof value['name'] === 'string' &&
    value['name'].length <= 80 &&
    typeof value['svg'] === 'string' &&
    value['svg'].length <= LIMITS.svg &&
    isCleanSvg(value['svg']) &&
    (value['set'] === null || value['set'] === 'tabler') &&
    Object.keys(value).length === 4
  );
}

/** Reads branches from the clipboard, where any page may have put anything; null where they are not what they should be. */
export function readBranches(text: string): NewItems | null {
  if (text.length > LIMITS.file) return null;
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return null;
  }
  if (!isRecord(raw) || jsonDepth(raw, LIMITS.json) > LIMITS.json) return null;
  const { items, pages = [], icons = [] } = raw;
  if (
    itemFaults(items).length > 0 ||
    pageFaults(pages).length > 0 ||
    !Array.isArray(icons) ||
    !icons.every(isIcon)
  )
    return null;
  return { items, pages, icons } as NewItems;
}
