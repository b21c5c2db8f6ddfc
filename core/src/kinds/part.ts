import type { Button } from './parts/button.ts';
import type { Image } from './parts/image.ts';
import type { Logo } from './parts/logo.ts';
import type { MenuPart } from './parts/menu.ts';
import type { Opener } from './parts/opener.ts';
import type { Rule } from './parts/rule.ts';
import type { Search } from './parts/search.ts';
import type { Shortcut } from './parts/shortcut.ts';
import type { Social } from './parts/social.ts';
import type { Text } from './parts/text.ts';

export type Part = Logo | MenuPart | Button | Search | Social | Text | Image | Rule | Shortcut | Opener;
export type PartKindName = Part['kind'];
