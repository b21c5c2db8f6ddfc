import {
  colourOf,
  formatColour,
  isColourValue,
  isLength,
  itemsOf,
  placementsOf,
  resolve,
  toPixels,
  type Level,
  type MenuItem,
  type Site,
} from '@hamaca/core';

/** How an icon shows where it will stand: a CSS colour, and its size in px. */
export interface IconTone {
  readonly colour: string;
  readonly size: number;
}

/** How the icon of a link shows where its menu is placed first; undefined where it is placed nowhere. */
export function linkIconTone(site: Site, item: MenuItem): IconTone | undefined {
  const placed = itemsOf(site).get(item.id);
  const placement = placed ? placementsOf(site, placed.menu.id)[0] : undefined;
  if (!placed || !placement) return undefined;
  const at = {
    owner: placement.part.id,
    slot: 'glyph',
    level: Math.min(3, placed.depth) as Level,
    item: item.id,
    states: [],
    band: 0,
  } as const;
  const colour = resolve(site, { ...at, property: 'colour' })?.value;
  const size = resolve(site, { ...at, property: 'size' })?.value;
  return {
    colour: isColourValue(colour) ? formatColour(colourOf(site, colour)) : 'currentColor',
    size: isLength(size) ? toPixels(size, { fontSize: 16 }) : 20,
  };
}
