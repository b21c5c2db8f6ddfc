import { MENU_SLOTS } from '../kinds/parts/menu/slots.ts';
import { partsOf } from '../kinds/placed.ts';
import type { Piece, Site } from '../kinds/site.ts';
import type { Value } from '../values/values.ts';
import { fallbackValue, resolve } from './resolve.ts';

/** The properties of text that everything in our pieces inherits. */
export const BASE_TEXT = ['colour', 'family', 'size', 'weight', 'tracking'] as const;

/** What all text in some pieces inherits of a property: that of the first menu's links at rest, as they are the most. */
export function baseText(site: Site, pieces: readonly Piece[], property: (typeof BASE_TEXT)[number]): Value {
  const fallback = fallbackValue(site, MENU_SLOTS.link, property).value;
  const menu = pieces.flatMap((piece) => partsOf(site, piece)).find((part) => part.kind === 'menu');
  if (!menu) return fallback;
  const question = { owner: menu.id, slot: 'link', property, level: null, states: [], band: 0 };
  return resolve(site, question)?.value ?? fallback;
}
