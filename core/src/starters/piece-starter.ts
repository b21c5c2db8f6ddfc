import type { Look, Values } from '../model/look.ts';
import type { ShownLevels } from '../model/states.ts';
import type { Block } from '../kinds/sections/block/block.ts';
import type { Arrangement, Zone } from '../kinds/sections/row/shape.ts';

/**
 * What stands in a starting footer, sidebar or floating menu: taken from the piece it is put in the place of, else from
 * elsewhere in the site, else made anew. Links are the site's first menu, `more links` the next one that has any, a branch what is nested in the next link
 * of the first menu that holds any.
 */
export interface PieceStarterPart {
  readonly holds: 'links' | 'more links' | 'branch' | 'ring' | 'logo' | 'social' | 'owner' | 'more';
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

/** A column of a starting footer; left out where the site has nothing for it. */
export interface StarterFooterColumn {
  readonly name: string;
  /** Whether what its first branch is nested in is its heading, and that opens it where the page is narrowest. */
  readonly headed?: boolean;
  readonly folds?: boolean;
  readonly column: readonly PieceStarterPart[];
  readonly look?: Values;
  readonly heading?: Values;
}

export interface FooterStarter extends StarterBase {
  readonly kind: 'footer';
  readonly sections: readonly (StarterFooterRow | StarterFooterColumn)[];
  /** How its columns stand, and how they do where the page is narrowest. */
  readonly columns?: Values;
  readonly columnsNarrow?: Values;
  readonly contained?: number;
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
  /** What the heading of a sidebar says. */
  readonly heading?: Values;
  /** Whether it is a bar at the bottom of phones, shown in the narrowest band alone. */
  readonly bar?: true;
}

/** A starting footer, sidebar or floating menu. */
export type PieceStarter = FooterStarter | ColumnStarter;
