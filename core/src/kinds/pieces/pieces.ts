import { HEADER } from './header/header.ts';
import { FOOTER } from './footer/footer.ts';
import { SIDEBAR } from './sidebar/sidebar.ts';
import { FLOATING } from './floating/floating.ts';
import { PANEL } from './panel/panel.ts';

/** All sorts of pieces, in the order they are offered. */
export const PIECES = [HEADER, FOOTER, SIDEBAR, FLOATING, PANEL] as const;
