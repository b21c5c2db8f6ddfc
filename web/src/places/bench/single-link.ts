import { itemKey, lookCells, type Edit, type Site } from '@hamaca/core';

/** Takes away everything that is said of some links alone in a placement. */
export function takeBack(site: Site, owner: string, items: readonly string[]): Edit {
  const keys: readonly string[] = items.map(itemKey);
  const cells = lookCells(site)
    .filter((cell) => cell.owner === owner && keys.includes(cell.level))
    .map((cell) => ({ ...cell, value: null }));
  return { name: 'set-look', args: { cells } };
}
