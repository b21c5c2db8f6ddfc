import type { Piece } from '../kinds/piece.ts';
import type { MenuItem } from './menu-item.ts';
import type { Typeface } from '../text/typefaces.ts';
import type { SlotRef } from './look.ts';
import type { Swatch } from './swatch.ts';
import type { ColourValue, Role } from '../values/values.ts';

/** Everything Hamaca keeps about one website. Plain JSON; references are ids; nothing derived is stored. */
export interface Site {
  readonly format: 'hamaca-site';
  readonly formatVersion: number;
  readonly name: string;
  /** The website's address, `https://…`, or empty while it has none. */
  readonly url: string;
  /** BCP 47 language tag. */
  readonly language: string;
  readonly direction: 'ltr' | 'rtl';
  readonly palette: readonly Swatch[];
  readonly roles: Readonly<Record<Role, ColourValue>>;
  /** Typefaces that were brought along; their files are kept by the server. */
  readonly typefaces: readonly Typeface[];
  readonly typeStyles: readonly TypeStyle[];
  /** Widest first; the last one starts at 0. */
  readonly bands: readonly Band[];
  readonly pages: readonly Page[];
  readonly icons: readonly Icon[];
  readonly menus: readonly Menu[];
  readonly pieces: readonly Piece[];
  /** Slots that look like another one; what they say themselves goes before. */
  readonly sameLooks: readonly SameLook[];
  readonly scenes: readonly Scene[];
}

/** A slot that takes another one's look. */
export interface SameLook extends SlotRef {
  readonly as: SlotRef;
}

/** A named setting of type; `size` in px. */
export interface TypeStyle {
  readonly id: string;
  readonly name: string;
  readonly family: string;
  readonly size: number;
  readonly weight: number;
}

/** The widths from `min` (px) up to the next wider band. */
export interface Band {
  readonly id: string;
  readonly name: string;
  readonly min: number;
}

export interface Page {
  readonly id: string;
  readonly path: string;
  readonly title: string;
  readonly sections: readonly Section[];
  /** Whether a sitemap, a file or a person listed it; false where only a link names it. */
  readonly listed: boolean;
}

/** A place on a page that a link can lead to. */
export interface Section {
  /** The id as written in the page's markup. */
  readonly id: string;
  readonly title: string;
}

/** A drawing that links refer to by id. */
export interface Icon {
  readonly id: string;
  readonly name: string;
  /** Cleaned SVG source, drawn with the text colour. */
  readonly svg: string;
  /** The library it came from, so that its licence goes with the output; null for the designer's own. */
  readonly set: 'tabler' | null;
}

export interface Menu {
  readonly id: string;
  readonly name: string;
  readonly items: readonly MenuItem[];
}

/** The page drawn behind a piece on the stage. */
export interface Scene {
  readonly id: string;
  readonly name: string;
  readonly kind: 'blank' | 'article' | 'picture';
  /** The page's own background, a CSS colour literal: what translucent fills are judged over. */
  readonly ground: string;
}
