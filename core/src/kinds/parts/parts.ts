import { BERTH } from './berth/berth.ts';
import { BUTTON } from './button/button.ts';
import { IMAGE } from './image/image.ts';
import { LOGO } from './logo/logo.ts';
import { MARKUP } from './markup/markup.ts';
import { MENU } from './menu/menu.ts';
import { OPENER } from './opener/opener.ts';
import { RING } from './ring/ring.ts';
import { RULE } from './rule/rule.ts';
import { SEARCH } from './search/search.ts';
import { SHORTCUT } from './shortcut/shortcut.ts';
import { SOCIAL } from './social/social.ts';
import { TEXT } from './text/text.ts';

/** All sorts of parts, in the order they are offered. */
export const PARTS = [
  MENU,
  LOGO,
  BUTTON,
  SEARCH,
  SOCIAL,
  TEXT,
  SHORTCUT,
  IMAGE,
  RULE,
  MARKUP,
  OPENER,
  RING,
  BERTH,
] as const;
