import type { MenuItem } from '../model/menu-item.ts';
import type { Icon, Page } from '../model/site-content.ts';

/** Links from elsewhere: with the pages their targets name and the icons they show, where the site has none of them yet. */
export interface NewItems {
  readonly items: readonly MenuItem[];
  readonly pages?: readonly Page[];
  readonly icons?: readonly Icon[];
}
