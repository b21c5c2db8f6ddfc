import { shownLinks } from '../../content.ts';
import type { Behind, PartKind } from '../../kind.ts';
import { compileMenu } from './compile.ts';
import { menuExtent } from './extent.ts';
import { MENU_SHAPE, type MenuPart } from './shape.ts';
import { boxedSlots, MENU_SLOTS, menuHasLevel, menuHasSlot, signIcons } from './slots.ts';

/** An unfolded submenu lies over the page, not over what the menu stands on. */
function behind(_part: MenuPart, slot: string, level: number | null): Behind {
  if (slot === 'submenu') return { boxes: [], overPage: true };
  if (level !== null && level > 1) return { boxes: [{ slot: 'submenu', level: 2 }], overPage: true };
  return { boxes: slot === 'list' ? [] : [{ slot: 'list', level: null }], overPage: false };
}

export const MENU: PartKind<'menu', typeof MENU_SHAPE> = {
  id: 'menu',
  label: 'Menu',
  hint: 'a placement of one of the site’s menus',
  shape: MENU_SHAPE,
  slots: MENU_SLOTS,
  create: ({ site }) => ({
    menu: site.menus[0]?.id ?? '',
    name: site.menus[0]?.name ?? 'Menu',
    look: { link: { all: { rest: { all: { paddingInline: 10, paddingBlock: 8 } } } } },
  }),
  refused: ({ site }) => (site.menus.length === 0 ? 'the site has no menu yet' : null),
  name: (part) => `Menu ${part.name}`,
  hasSlot: menuHasSlot,
  hasLevel: menuHasLevel,
  box: () => 'nav',
  behind,
  boxes: boxedSlots,
  hangsFrom: (part, site) => (menuHasSlot(part, 'submenu', site) ? 'list' : null),
  compile: compileMenu,
  extent: menuExtent,
  texts: (part, site) => shownLinks(site, part).flatMap((item) => [item.label, item.description ?? '']),
  drawn: (part, site) => [
    ...shownLinks(site, part).flatMap((item) => (item.icon === undefined ? [] : [item.icon])),
    ...signIcons(part, site),
  ],
};
