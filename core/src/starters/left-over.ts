import { MOST_PARTS } from '../model/limits.ts';
import type { Part } from '../kinds/site.ts';

/** Parts that a design has no place for, behind those of its last region as far as that holds them, then in lists of their own. */
export function leftOver(last: readonly Part[], left: readonly Part[]): (readonly Part[])[] {
  const all = [...last, ...left];
  const lists = Array.from({ length: Math.ceil(all.length / MOST_PARTS) }, (_, index) =>
    all.slice(index * MOST_PARTS, (index + 1) * MOST_PARTS),
  );
  return lists.length > 0 ? lists : [[]];
}
