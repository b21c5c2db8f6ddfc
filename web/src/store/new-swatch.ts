import { asSwatches, idsOf, type Edit, type Site, type Swatch } from '@hamaca/core';

/** A swatch with a colour of its own and the next free name. */
export function newSwatch(site: Site, value: string): Swatch {
  const name = `Colour ${site.palette.length + 1}`;
  return asSwatches([{ name, value }], idsOf(site))[0] ?? { id: 'colour', name, value };
}

/** A colour of no name becomes a swatch, and everything of just that colour is linked to it. */
export function swatchOf(site: Site, literal: string): Edit {
  const swatch = newSwatch(site, literal);
  return { name: 'relink-colours', args: { links: [{ literal, swatch: swatch.id }], add: [swatch] } };
}
