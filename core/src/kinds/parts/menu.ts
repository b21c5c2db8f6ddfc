import {
  BOX_PROPERTIES,
  BOX_STATES,
  BUTTON_STATES,
  CONTROL_PROPERTIES,
  ICON_PROPERTIES,
  LINK_STATES,
  MARK_PROPERTIES,
  MARGIN_PROPERTIES,
  MOTION_PROPERTIES,
  TEXT_PROPERTIES,
  type SlotKind,
} from '../../model/slot.ts';
import type { PartBase } from '../part-base.ts';
import type { ShownLevels } from '../../model/states.ts';

/** A placement of one of the site's menus. */
export interface MenuPart extends PartBase {
  readonly kind: 'menu';
  /** Accessible name of the navigation. */
  readonly name: string;
  /** Id of the menu shown. */
  readonly menu: string;
  /** Id of the link whose branch is shown instead of the whole menu; null for all of it. */
  readonly branch: string | null;
  readonly levels: ShownLevels;
  /** Whether submenus of the unfolded menu open by a click alone, or under a mouse pointer too. */
  readonly opensOn: 'click' | 'hover';
}

export const MENU_SLOTS = {
  list: {
    label: 'Row of links',
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: ['gap', ...BOX_PROPERTIES, 'separator', ...MARGIN_PROPERTIES],
    defaults: {},
  },
  link: {
    label: 'Link',
    levels: [1, 2, 3],
    states: LINK_STATES,
    text: 'label',
    typeStyle: 'menu',
    properties: [...CONTROL_PROPERTIES, ...MARK_PROPERTIES],
    defaults: { colour: { role: 'ink' } },
  },
  marker: {
    label: 'Marker',
    levels: [1],
    states: LINK_STATES,
    text: 'icon',
    properties: [...ICON_PROPERTIES, 'opacity'],
    defaults: { colour: { role: 'ink' }, size: 10 },
  },
  description: {
    label: 'Description',
    levels: [1, 2, 3],
    states: LINK_STATES,
    text: 'label',
    inside: 'link',
    properties: [...TEXT_PROPERTIES, 'opacity'],
    defaults: { size: 13, weight: 400 },
  },
  glyph: {
    label: 'Icon',
    levels: [1, 2, 3],
    states: LINK_STATES,
    text: 'icon',
    inside: 'link',
    properties: [...ICON_PROPERTIES, 'opacity'],
    defaults: { size: 20 },
  },
  picture: {
    label: 'Picture',
    levels: [1, 2, 3],
    states: LINK_STATES,
    text: 'none',
    inside: 'link',
    properties: ['width', 'radius', 'shadow', 'opacity'],
    defaults: { width: 40 },
  },
  action: {
    label: 'Call to action',
    levels: [],
    states: BUTTON_STATES,
    text: 'label',
    typeStyle: 'action',
    properties: CONTROL_PROPERTIES,
    defaults: {
      colour: { role: 'on-accent' },
      fill: { role: 'accent' },
      gap: 8,
      paddingInline: 14,
      paddingBlock: 8,
      radius: 4,
    },
  },
  heading: {
    label: 'Heading',
    levels: [],
    states: BOX_STATES,
    text: 'label',
    typeStyle: 'menu',
    properties: [...TEXT_PROPERTIES, ...BOX_PROPERTIES, 'gap'],
    defaults: { colour: { role: 'ink' }, gap: 8, paddingInline: 12, paddingBlock: 8 },
  },
  divider: {
    label: 'Divider',
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: ['fill', 'height', 'marginBlock', 'opacity'],
    defaults: { fill: { role: 'line' }, height: 1 },
  },
  submenu: {
    label: 'Submenu box',
    levels: [2],
    states: BOX_STATES,
    text: 'none',
    properties: [...BOX_PROPERTIES, 'gap', ...MARGIN_PROPERTIES, 'minWidth', ...MOTION_PROPERTIES],
    defaults: { fill: { role: 'paper' }, minWidth: 220 },
  },
} as const satisfies Record<string, SlotKind>;

export function createMenuPart(id: string, menu: string): MenuPart {
  return { kind: 'menu', id, name: 'Main', menu, branch: null, levels: 2, opensOn: 'hover', look: {} };
}
