import type { Look, Values } from '../model/look.ts';
import type { ShownLevels } from '../model/states.ts';
import type { Block } from '../kinds/sections/block/block.ts';
import type { Arrangement, Zone } from '../kinds/sections/row/shape.ts';

/**
 * What stands in a starting footer, sidebar or floating menu: taken from the piece it is put in the place of, else from
 * elsewhere in the site, else made anew. Links are the site's first menu, `more links` the next one that has any.
 */
export interface PieceStarterPart {
  readonly holds: 'links' | 'more links' | 'ring' | 'logo' | 'social' | 'owner' | 'more';
  readonly levels?: ShownLevels;
  readonly settings?: Readonly<Record<string, unknown>>;
  readonly look?: Look;
}

interface StarterBase {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  /** Values of the piece itself, and what it says where the page is narrowest. */
  readonly look: Values;
  readonly narrow?: Values;
}

/** A row of a starting footer. */
export interface StarterFooterRow {
  readonly name: string;
  readonly arrangement?: Arrangement;
  readonly zones: { readonly [Z in Zone]?: readonly PieceStarterPart[] };
  readonly look: Values;
}

export interface FooterStarter extends StarterBase {
  readonly kind: 'footer';
  readonly rows: readonly StarterFooterRow[];
}

/** A block of a starting sidebar or floating menu. */
export interface StarterBlock {
  readonly name: string;
  readonly parts: readonly PieceStarterPart[];
  readonly flow?: Block['flow'];
  readonly align?: Block['align'];
  readonly look?: Values;
}

export interface ColumnStarter extends StarterBase {
  readonly kind: 'sidebar' | 'floating';
  readonly blocks: readonly StarterBlock[];
  /** Whether it is a bar at the bottom of phones, shown in the narrowest band alone. */
  readonly bar?: true;
}

/** A starting footer, sidebar or floating menu. */
export type PieceStarter = FooterStarter | ColumnStarter;
