import type { Panel } from '../kinds/pieces/panel/shape.ts';
import type { Block } from '../kinds/sections/block/block.ts';
import type { Look, Values } from '../model/look.ts';

/** What a block of a starting panel takes of what the site has: its name, its links, what else there is. */
export type Held = 'logo' | 'links' | 'more links' | 'action' | 'social' | 'rest';

export interface PanelStarterBlock {
  readonly name: string;
  readonly holds: readonly Held[];
  readonly flow?: Block['flow'];
  readonly align?: Block['align'];
  readonly look?: Look;
}

/** A starting panel: how it stands, comes, closes and looks, in roles alone, whatever the header is like. */
export interface PanelStarter {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  /** Whether its ground is dark, so that what stands on it is drawn light. */
  readonly dark: boolean;
  readonly settings: Partial<Pick<Panel, 'closeAs' | 'closeWord' | 'byScrim' | 'bySwipe' | 'holdsPage'>>;
  /** Of the panel, its close control and its scrim. */
  readonly look: Look;
  /** Values for links of the first level, and of those beneath. */
  readonly links: Values;
  readonly deeper?: Values;
  /** How the opener turns, where the panel leaves it in sight or its close control takes its place. */
  readonly turns?: 'cross' | 'spin' | 'gather';
  readonly blocks: readonly PanelStarterBlock[];
}
