import { shownLinks } from '../../content.ts';
import type { Behind, PartKind } from '../../kind.ts';
import { compileMenu } from './compile.ts';
import { menuExtent } from './extent.ts';
import { everFloats } from './opening.ts';
import { MENU_SHAPE, type MenuPart } from './shape.ts';
import { boxedSlots, FLOATING_BOX, MENU_SLOTS, menuHasLevel, menuHasSlot, signIcons } from './slots.ts';

/** A submenu that hangs from its link lies over the page, one that stands in the flow on what the menu stands on. */
function behind(part: MenuPart, slot: string, level: number | null): Behind {
  const list = { slot: 'list', level: null } as const;
  const box = { slot: 'submenu', level: 2 } as const;
  const overPage = everFloats(part, level === 3 ? 3 : 2);
  const beneath = overPage ? [] : [list];
  if (slot === 'submenu') return { boxes: beneath, overPage };
  if (level !== null && level > 1) return { boxes: [box, ...beneath], overPage };
  return { boxes: slot === 'list' ? [] : [list], overPage: false };
}

export const MENU: PartKind<'menu', typeof MENU_SHAPE> = {
  id: 'menu',
  alsoCalled: 'navigation links nav list',
  navigates: true,
  label: 'Menu',
  hint: 'a placement of one of the site’s menus',
  shape: MENU_SHAPE,
  slots: MENU_SLOTS,
  create: ({ site, form }) => ({
    menu: site.menus[0]?.id ?? '',
    name: site.menus[0]?.name ?? 'Menu',
    look: {
      // Beneath other parts its labels begin where they do.
      link: { all: { rest: { all: { paddingInline: form === 'stack' ? 0 : 10, paddingBlock: 8 } } } },
      // Where submenus lie over the page they are set off from it, whatever its colour.
      ...(form === 'row' ? { submenu: { '2': { rest: { all: FLOATING_BOX } } } } : {}),
    },
  }),
  refused: ({ site }) => (site.menus.length === 0 ? 'the site has no menu yet' : null),
  name: (part) => `Menu ${part.name}`,
  hasSlot: menuHasSlot,
  hasLevel: menuHasLevel,
  box: () => 'nav',
  behind,
  boxes: boxedSlots,
  hangsFrom: (part, site) => (menuHasSlot(part, 'submenu', site) ? 'list' : null),
  known: (part) => part.name,
  beside: ['lead', 'more', 'nav', 'parent', 'sign-icon'],
  compile: compileMenu,
  extent: menuExtent,
  texts: (part, site) => shownLinks(site, part).flatMap((item) => [item.label, item.description ?? '']),
  drawn: (part, site) => [
    ...shownLinks(site, part).flatMap((item) => (item.icon === undefined ? [] : [item.icon])),
    ...signIcons(part, site),
  ],
};
