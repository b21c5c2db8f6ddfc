import { BOX_STATES, BUTTON_STATES, LINK_STATES, TYPE_PROPERTIES, type SlotKind } from '../slot.ts';
import type { Look } from '../look.ts';
import type { ShownLevels } from '../states.ts';

/** A placement of one of the site's menus. */
export interface MenuPart {
  readonly kind: 'menu';
  readonly id: string;
  /** Accessible name of the navigation. */
  readonly name: string;
  /** Id of the menu shown. */
  readonly menu: string;
  /** Id of the link whose branch is shown instead of the whole menu; null for all of it. */
  readonly branch: string | null;
  readonly levels: ShownLevels;
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
  description: {
    label: 'Description', levels: [1, 2, 3], states: LINK_STATES, text: 'label', typeStyle: 'menu', inside: 'link',
    properties: TYPE_PROPERTIES, defaults: { colour: { role: 'ink' }, size: 13, weight: 400 },
  },
  glyph: {
    label: 'Icon', levels: [1, 2, 3], states: BOX_STATES, text: 'none', inside: 'link', properties: ['size'], defaults: { size: 20 },
  },
  picture: {
    label: 'Picture', levels: [1, 2, 3], states: BOX_STATES, text: 'none', inside: 'link', properties: ['width', 'radius'], defaults: { width: 40 },
  },
  action: {
    label: 'Call to action', levels: [], states: BUTTON_STATES, text: 'label', typeStyle: 'action',
    properties: [...TYPE_PROPERTIES, 'fill', 'radius', 'paddingInline', 'paddingBlock', 'gap'],
    defaults: { colour: { role: 'on-accent' }, fill: { role: 'accent' }, gap: 8, paddingInline: 14, paddingBlock: 8, radius: 4 },
  },
  heading: {
    label: 'Heading', levels: [], states: BOX_STATES, text: 'label', typeStyle: 'menu',
    properties: [...TYPE_PROPERTIES, 'paddingInline', 'paddingBlock', 'gap'], defaults: { colour: { role: 'ink' }, gap: 8, paddingInline: 12, paddingBlock: 8 },
  },
  divider: {
    label: 'Divider', levels: [], states: BOX_STATES, text: 'none', properties: ['fill', 'height'],
    defaults: { fill: { role: 'line' }, height: 1 },
  },
  submenu: {
    label: 'Submenu box', levels: [2], states: BOX_STATES, text: 'none',
    properties: ['fill', 'radius', 'paddingInline', 'paddingBlock', 'gap', 'minWidth'],
    defaults: { fill: { role: 'paper' }, minWidth: 220 },
  },
} as const satisfies Record<string, SlotKind>;

export function createMenuPart(id: string, menu: string): MenuPart {
  return { kind: 'menu', id, name: 'Main', menu, branch: null, levels: 2, opensOn: 'hover', look: {} };
}
