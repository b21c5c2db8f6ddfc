import { choice, levels, reference, referenceOrNone, text } from '../../../model/shape/fields.ts';
import type { PartOf } from '../../kind.ts';

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
    { label: 'submenus open', hint: 'in a row; in a panel they always open by click' },
  ),
  name: text({ label: 'name', needed: true, hint: 'accessible name of the navigation', initial: 'Main' }),
} as const;

/** A placement of one of the site's menus. */
export type MenuPart = PartOf<'menu', typeof MENU_SHAPE>;
