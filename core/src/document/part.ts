import type { Button } from './parts/button.ts';
import type { Logo } from './parts/logo.ts';
import type { MenuPart } from './parts/menu.ts';
import type { Opener } from './parts/opener.ts';

export type Part = Logo | MenuPart | Button | Opener;
export type PartKindName = Part['kind'];
