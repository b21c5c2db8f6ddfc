import { NO_TARGET } from '../model/target.ts';
import type { MenuItem } from '../model/menu-item.ts';
import type { MenuPart, MENU_SLOTS } from './parts/menu.ts';
import type { Part } from './part.ts';
import type { Site } from '../model/site.ts';
import { levelCount } from '../model/states.ts';
import { shownItems, shownLinks } from './walk.ts';

export type MenuSlot = keyof typeof MENU_SLOTS;

/** What a link must have for a slot to be there at all; slots without a test always are. */
const WORN: { readonly [Slot in MenuSlot]?: (item: MenuItem) => boolean } = {
  description: (item) => item.description !== undefined,
  glyph: (item) => item.icon !== undefined,
  picture: (item) => item.image !== undefined,
  action: (item) => item.role === 'action',
  heading: (item) => item.role === 'heading',
  divider: (item) => item.role === 'divider',
};

function menuWears(site: Site, part: MenuPart, slot: string): boolean {
  if (slot === 'submenu' || slot === 'marker')
    return levelCount(part.levels) > 1 && shownItems(site, part).some((item) => item.children.length > 0);
  const test = WORN[slot as MenuSlot];
  return test === undefined || shownLinks(site, part).some(test);
}

/** Whether a part shows a slot: nothing is styled that is not there. */
export function wearsSlot(site: Site, part: Part, slot: string): boolean {
  switch (part.kind) {
    case 'menu':
      return menuWears(site, part, slot);
    case 'logo':
      return slot !== 'drawing' || part.svg !== null || part.image !== null;
    case 'text':
      return slot !== 'contact' || part.entries.some((entry) => entry.target.kind !== NO_TARGET.kind);
    case 'shortcut':
      return slot !== 'symbol' || part.icon !== null;
    case 'button':
    case 'search':
    case 'social':
    case 'image':
    case 'rule':
    case 'opener':
      return true;
  }
}
