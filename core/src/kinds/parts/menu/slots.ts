import type { Values } from '../../../model/look.ts';
import type { MenuItem } from '../../../model/menu-item.ts';
import type { SiteContent } from '../../../model/site-content.ts';
import {
  ARRIVAL_PROPERTIES,
  BOX_PROPERTIES,
  BOX_STATES,
  BUTTON_STATES,
  CONTROL_PROPERTIES,
  ICON_PROPERTIES,
  LABEL_ICON_PROPERTIES,
  LINK_STATES,
  MARGIN_PROPERTIES,
  MARK_PROPERTIES,
  PLACEMENT_PROPERTIES,
  TEXT_PROPERTIES,
} from '../../../model/slot.ts';
import type { Level } from '../../../model/states.ts';
import { boxAround } from '../../label-box.ts';
import { itemLevels, oncePerPlacement, shownDepth, shownItems, shownLinks } from '../../content.ts';
import { isDisclosed, USUAL_OPENING, type BoxLevel } from './opening.ts';
import { controlSlot, isLinkedParent } from './item.ts';
import { hasMore, signIconAt, type MenuPart } from './shape.ts';

export const MENU_SLOTS = {
  list: {
    label: 'Row of links',
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: ['menuForm', 'bottomHeight', 'gap', ...BOX_PROPERTIES, 'separator', ...MARGIN_PROPERTIES],
    defaults: {},
  },
  link: {
    label: 'Link',
    single: true,
    boxed: true,
    levels: [1, 2, 3],
    states: LINK_STATES,
    text: 'label',
    typeStyle: 'menu',
    properties: [...CONTROL_PROPERTIES, ...MARK_PROPERTIES, 'spans'],
    defaults: { colour: { role: 'ink' } },
  },
  marker: {
    label: 'Marker',
    single: true,
    sign: true,
    levels: [1, 2],
    states: LINK_STATES,
    text: 'icon',
    inside: 'link',
    properties: ['sign', 'signTurn', 'signSide', ...ICON_PROPERTIES, 'marginInline', 'opacity'],
    defaults: { size: 10 },
  },
  description: {
    label: 'Description',
    single: true,
    levels: [1, 2, 3],
    states: LINK_STATES,
    text: 'label',
    inside: 'link',
    properties: [...TEXT_PROPERTIES, 'opacity'],
    defaults: { size: 13, weight: 400 },
  },
  glyph: {
    label: 'Icon',
    single: true,
    levels: [1, 2, 3],
    states: LINK_STATES,
    text: 'icon',
    inside: 'link',
    around: boxAround('glyph'),
    properties: LABEL_ICON_PROPERTIES,
    defaults: { size: 20 },
  },
  picture: {
    label: 'Picture',
    single: true,
    levels: [1, 2, 3],
    states: LINK_STATES,
    text: 'none',
    inside: 'link',
    properties: ['width', 'radius', 'shadow', 'opacity'],
    defaults: { width: 40 },
  },
  action: {
    label: 'Call to action',
    isAction: true,
    single: true,
    boxed: true,
    levels: [],
    states: BUTTON_STATES,
    text: 'label',
    typeStyle: 'action',
    properties: [...CONTROL_PROPERTIES, 'spans'],
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
    single: true,
    levels: [],
    states: BOX_STATES,
    text: 'label',
    typeStyle: 'menu',
    properties: [...TEXT_PROPERTIES, ...BOX_PROPERTIES, 'gap', 'spans'],
    defaults: { colour: { role: 'ink' }, gap: 8, paddingInline: 12, paddingBlock: 8 },
  },
  divider: {
    label: 'Divider',
    single: true,
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: ['fill', 'height', 'marginBlock', 'opacity'],
    defaults: { fill: { role: 'line' }, height: 1 },
  },
  submenu: {
    label: 'Submenu box',
    single: true,
    holdsLevel: true,
    levels: [2, 3],
    states: BOX_STATES,
    text: 'none',
    properties: [
      ...PLACEMENT_PROPERTIES,
      ...BOX_PROPERTIES,
      'gap',
      'separator',
      ...MARGIN_PROPERTIES,
      'minWidth',
      'opacity',
      ...ARRIVAL_PROPERTIES,
    ],
    defaults: {},
    atLevel: { 2: { fill: { role: 'paper' }, minWidth: 220 }, 3: { opens: USUAL_OPENING[3] } },
  },
} as const;

/** How the box of a submenu that lies over the page begins. */
export const FLOATING_BOX = {
  paddingInline: 8,
  paddingBlock: 8,
  radius: 8,
  gap: 2,
  shadow: { shadows: [{ x: 0, y: 6, blur: 20, colour: { literal: '#00000029' } }] },
} as const satisfies Values;

export type MenuSlot = keyof typeof MENU_SLOTS;

/** What a link must have for a slot to be there at all; slots without a test always are. */
export const WORN: { readonly [Slot in MenuSlot]?: (item: MenuItem) => boolean } = {
  description: (item) => item.description !== undefined,
  glyph: (item) => item.icon !== undefined,
  picture: (item) => item.image !== undefined,
  action: (item) => item.role === 'action',
  heading: (item) => item.role === 'heading',
  divider: (item) => item.role === 'divider',
};

const withMore = (items: readonly MenuItem[]) => items.filter(({ children }) => children.length > 0);

/** The links at a level whose submenu is opened by a button. */
function openingAt(part: MenuPart, level: 1 | 2, site: Pick<SiteContent, 'menus'>): readonly MenuItem[] {
  if (level >= shownDepth(site, part)) return [];
  const first = withMore(shownItems(site, part));
  const parents = level === 1 ? first : first.flatMap(({ children }) => withMore(children));
  return parents.filter(({ id }) => isDisclosed(part, (level + 1) as BoxLevel, id));
}

/** The levels at which any link has what a slot is drawn for, by slot. */
const wornLevels = oncePerPlacement((site, placement): ReadonlyMap<string, ReadonlySet<Level>> => {
  const levels = itemLevels(site, placement);
  const links = shownLinks(site, placement);
  return new Map(
    Object.entries(WORN).map(([slot, test]) => [
      slot,
      new Set(links.filter(test).flatMap(({ id }) => levels.get(id) ?? [])),
    ]),
  );
});

/** How many levels there are to look at: what a row has no room for stands in a box as submenus do. */
export const boxDepth = (part: MenuPart, site: Pick<SiteContent, 'menus'>): number =>
  Math.max(shownDepth(site, part), hasMore(part) ? 2 : 1);

/** Whether a slot is there at a level. A sign stands at a link that opens what is nested in it. */
export function menuHasLevel(part: MenuPart, slot: string, level: Level, site: SiteContent): boolean {
  if (slot === 'marker')
    return (level === 1 && hasMore(part)) || (level < 3 && openingAt(part, level as 1 | 2, site).length > 0);
  const worn = wornLevels(site, part).get(slot);
  return worn?.has(level) ?? level <= boxDepth(part, site);
}

/** What of a placement opens, found once: a placement that is changed is another one. */
const opening = oncePerPlacement((site, placement) => {
  const part = placement as MenuPart;
  const items = [...openingAt(part, 1, site), ...openingAt(part, 2, site)];
  return { items, boxed: [...new Set(items.filter(isLinkedParent).map(controlSlot))] };
});

/** The links whose submenu is opened by a button, as deep as there are such. */
export const openingItems = (part: MenuPart, site: Pick<SiteContent, 'menus'>): readonly MenuItem[] =>
  opening(site, part).items;

/** The icons that are signs, as often as they are drawn. */
export const signIcons = (part: MenuPart, site: SiteContent): readonly string[] =>
  ([1, 2] as const).flatMap((level) => {
    const icon = signIconAt(part, level);
    return icon === null ? [] : openingAt(part, level, site).map(() => icon);
  });

/** The slots worn by boxes around a parent's link and the button of its sign. */
export const boxedSlots = (part: MenuPart, site: SiteContent): readonly string[] => opening(site, part).boxed;

/** Whether one of a placement's links has a slot. */
export function menuHasSlot(part: MenuPart, slot: string, site: SiteContent): boolean {
  if (slot === 'submenu') return boxDepth(part, site) > 1;
  if (slot === 'marker') return menuHasLevel(part, slot, 1, site) || menuHasLevel(part, slot, 2, site);
  const test = WORN[slot as MenuSlot];
  return test === undefined || shownLinks(site, part).some(test);
}
