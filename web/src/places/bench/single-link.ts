import { itemKey, lookCells, type Edit, type Site } from '@hamaca/core';

/** Takes away everything that is said of one link alone in a placement. */
export function takeBack(site: Site, owner: string, item: string): Edit {
  const cells = lookCells(site)
    .filter((cell) => cell.owner === owner && cell.level === itemKey(item))
    .map((cell) => ({ ...cell, value: null }));
  return { name: 'set-look', args: { cells } };
}
