import { BOX_STATES, LINK_STATES, TYPE_PROPERTIES, type SlotKind } from '../slot.ts';
import type { Look } from '../look.ts';
import type { Level } from '../states.ts';

/** A placement of one of the site's menus. */
export interface MenuPart {
  readonly kind: 'menu';
  readonly id: string;
  /** Accessible name of the navigation. */
  readonly name: string;
  /** Id of the menu shown. */
  readonly menu: string;
  /** How many levels of it are shown. */
  readonly levels: Level;
  /** Whether submenus of the unfolded menu open by a click alone, or under a mouse pointer too. */
  readonly opensOn: 'click' | 'hover';
  readonly look: Look;
}

export const MENU_SLOTS = {
  list: {
    label: 'Row of links', levels: [], states: BOX_STATES, text: 'none', properties: ['gap'], defaults: {},
  },
  link: {
    label: 'Link', levels: [1, 2, 3], states: LINK_STATES, text: 'label', typeStyle: 'menu',
    properties: [...TYPE_PROPERTIES, 'fill', 'radius', 'paddingInline', 'paddingBlock', 'gap'],
    defaults: { colour: { role: 'ink' } },
  },
  marker: {
    label: 'Marker', levels: [1], states: LINK_STATES, text: 'icon', properties: ['colour', 'size'],
    defaults: { colour: { role: 'ink' }, size: 10 },
  },
  submenu: {
    label: 'Submenu box', levels: [2], states: BOX_STATES, text: 'none',
    properties: ['fill', 'radius', 'paddingInline', 'paddingBlock', 'gap', 'minWidth'],
    defaults: { fill: { role: 'paper' }, minWidth: 220 },
  },
} as const satisfies Record<string, SlotKind>;

export function createMenuPart(id: string, menu: string): MenuPart {
  return { kind: 'menu', id, name: 'Main', menu, levels: 2, opensOn: 'hover', look: {} };
}
