import type { PropertyId } from './properties.ts';
import type { Level, State } from './states.ts';
import type { Value } from './values.ts';

/** One styled thing inside a piece or part, as the catalogue describes it. */
export interface SlotKind {
  readonly label: string;
  /** Menu levels it occurs at; empty for a slot outside menus. */
  readonly levels: readonly Level[];
  /** States it can be in, in the order of `STATES`. */
  readonly states: readonly State[];
  readonly properties: readonly PropertyId[];
  /** Values where the look has none; roles here are what "role default" means. */
  readonly defaults: { readonly [P in PropertyId]?: Value };
  /** The type style that family, size and weight fall back to. */
  readonly typeStyle?: string;
  /** The slot it stands in: its states are those of that one. */
  readonly inside?: string;
  /** Whether text or an icon is drawn in it, so that contrast is judged. */
  readonly text: 'label' | 'icon' | 'none';
}

/** Interactive slots share these states. */
export const LINK_STATES: readonly State[] = ['rest', 'current', 'open', 'hover', 'focus', 'pressed'];
export const BUTTON_STATES: readonly State[] = ['rest', 'hover', 'focus', 'pressed'];
export const BOX_STATES: readonly State[] = ['rest'];

export const TYPE_PROPERTIES = ['colour', 'family', 'size', 'weight', 'tracking'] as const satisfies readonly PropertyId[];
