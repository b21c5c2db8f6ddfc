import type { MenuForm } from '../../properties/placement.ts';
import {
  choice,
  flag,
  levels,
  optional,
  reference,
  referenceOrNone,
  text,
} from '../../../model/shape/fields.ts';
import type { PartOf } from '../../kind.ts';

/** Whether links there is no room for are under a last one, in any band. */
export function hasMore(part: { readonly look?: unknown }): boolean {
  const look = part.look as MenuPart['look'] | undefined;
  return Object.values(look?.['list']?.all?.rest ?? {}).some(
    ({ menuForm }) => (menuForm as MenuForm | undefined) === 'the rest under “more”',
  );
}

export const MENU_SHAPE = {
  menu: reference('menu', { label: 'menu' }),
  branch: referenceOrNone('item', {
    label: 'from',
    hint: 'the link whose branch is shown instead of the whole menu',
    gone: 'kept',
  }),
  levels: levels({ label: 'levels', hint: 'how many levels are shown' }),
  opensOn: choice(
    { hover: 'by pointing or click', click: 'by click' },
    { label: 'submenus open', hint: 'in a row; in a panel or sidebar they always open by click' },
  ),
  inPanels: choice(
    {
      several: 'unfold, several at once',
      one: 'unfold, one at a time',
      drill: 'take the place of what is around, with a way back',
    },
    { label: 'in a column', hint: 'how submenus open in a panel or sidebar, unless they stand open' },
  ),
  plain: optional(
    flag({
      label: 'labels alone',
      hint: 'here its links show no icons, pictures and descriptions, and are no calls to action',
    }),
  ),
  sight: optional(
    flag({
      label: 'marks the section in sight',
      hint: 'where its links lead to sections of the page, the one that is in sight counts as current',
    }),
  ),
  moreWord: text({
    label: '“more”',
    needed: true,
    hint: 'the word that the links are under that the row has no room for',
    initial: 'More',
    when: hasMore,
  }),
  actions: choice(
    { none: 'none', last: 'the last one', 'last-two': 'the last two' },
    {
      label: 'calls to action',
      hint: 'which of its first links are drawn as buttons, besides those that are so everywhere',
    },
  ),
  signIcon: referenceOrNone('icon', {
    label: 'sign',
    hint: 'an icon of your own that says that there is more, instead of a drawn sign',
  }),
  deeperSignIcon: referenceOrNone('icon', {
    label: 'sign in submenus',
    hint: 'the same within submenus',
    when: (part) => part['signIcon'] !== null || part['deeperSignIcon'] !== null,
  }),
  name: text({ label: 'name', needed: true, hint: 'accessible name of the navigation', initial: 'Main' }),
} as const;

/** A placement of one of the site's menus. */
export type MenuPart = PartOf<'menu', typeof MENU_SHAPE>;

/** Whether a placement is called what its menu is called: then it follows the menu's name. */
export const isNamedAfter = (part: MenuPart, menu: { readonly id: string; readonly name: string }): boolean =>
  part.menu === menu.id && part.name === menu.name;

/** One of the two halves a menu's links stand in where they are split; the first has the odd one. */
export function halfOf<Entry>(entries: readonly Entry[], half: 0 | 1): readonly Entry[] {
  const middle = Math.ceil(entries.length / 2);
  return half === 0 ? entries.slice(0, middle) : entries.slice(middle);
}

/** The icon that is the sign of the parents at a level; null where their sign is drawn. */
export const signIconAt = (part: MenuPart, level: number): string | null =>
  level === 1 ? part.signIcon : part.deeperSignIcon;
