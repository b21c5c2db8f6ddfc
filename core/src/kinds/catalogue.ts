import { BUTTON_SLOTS } from './parts/button.ts';
import { IMAGE_SLOTS } from './parts/image.ts';
import { LOGO_SLOTS } from './parts/logo.ts';
import { MENU_SLOTS } from './parts/menu.ts';
import { OPENER_SLOTS } from './parts/opener.ts';
import { RULE_SLOTS } from './parts/rule.ts';
import { SEARCH_SLOTS } from './parts/search.ts';
import { SHORTCUT_SLOTS } from './parts/shortcut.ts';
import { SOCIAL_SLOTS } from './parts/social.ts';
import { TEXT_SLOTS } from './parts/text.ts';
import { HEADER_SLOTS, ROW_SLOTS } from './pieces/header.ts';
import { PANEL_SLOTS } from './pieces/panel.ts';
import type { PartKindName } from './part.ts';
import type { PieceKindName } from './piece.ts';
import type { SlotKind } from '../model/slot.ts';

/** Whatever carries a look: a piece, a row or a part, by kind. */
export type OwnerKind = PieceKindName | PartKindName | 'row';

/** All slots of all owners, in the order the outline and the stylesheet show them. */
export const SLOTS = {
  header: HEADER_SLOTS,
  row: ROW_SLOTS,
  logo: LOGO_SLOTS,
  menu: MENU_SLOTS,
  button: BUTTON_SLOTS,
  search: SEARCH_SLOTS,
  social: SOCIAL_SLOTS,
  text: TEXT_SLOTS,
  image: IMAGE_SLOTS,
  rule: RULE_SLOTS,
  shortcut: SHORTCUT_SLOTS,
  opener: OPENER_SLOTS,
  panel: PANEL_SLOTS,
} as const satisfies Record<OwnerKind, Record<string, SlotKind>>;

export const PART_LABELS = {
  logo: 'Logo',
  menu: 'Menu',
  button: 'Call to action',
  search: 'Search',
  social: 'Social links',
  text: 'Text',
  image: 'Image',
  rule: 'Rule',
  shortcut: 'Icon link',
  opener: 'Opener',
} as const satisfies Record<PartKindName, string>;

/** The slots of one kind of owner, by id. */
export function slotsOf(kind: OwnerKind): Readonly<Record<string, SlotKind>> {
  return SLOTS[kind];
}
