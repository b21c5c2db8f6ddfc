import {
  BOX_PROPERTIES,
  BUTTON_STATES,
  FILL_PROPERTIES,
  ICON_CONTROL_PROPERTIES,
  REST_ONLY,
  type SlotKind,
} from '../../model/slot.ts';
import type { MenuPart } from '../parts/menu.ts';
import type { Look } from '../../model/look.ts';

/** A side panel over the page; it shows the menu of the header whose opener opens it, and its own beneath. */
export interface Panel {
  readonly kind: 'panel';
  readonly id: string;
  readonly name: string;
  /** The edge it slides in from. */
  readonly side: 'start' | 'end';
  /** Accessible name of the control that closes it. */
  readonly closeLabel: string;
  /** Menus of its own, from top to bottom. */
  readonly parts: readonly MenuPart[];
  readonly look: Look;
}

export const PANEL_SLOTS = {
  panel: {
    label: 'Panel',
    levels: [],
    states: REST_ONLY,
    text: 'none',
    properties: [...BOX_PROPERTIES, 'width', 'gap'],
    defaults: { fill: { role: 'paper' }, width: 320, paddingInline: 16, paddingBlock: 12, gap: 8 },
  },
  close: {
    label: 'Close button',
    levels: [],
    states: BUTTON_STATES.filter((state) => state !== 'scrolled'),
    text: 'icon',
    properties: ICON_CONTROL_PROPERTIES,
    defaults: { colour: { role: 'ink' }, size: 24, paddingInline: 10, paddingBlock: 10 },
  },
  scrim: {
    label: 'Scrim',
    levels: [],
    states: REST_ONLY,
    text: 'none',
    properties: FILL_PROPERTIES.filter((id) => id === 'fill' || id === 'blur'),
    defaults: { fill: { literal: '#00000080' } },
  },
} as const satisfies Record<string, SlotKind>;

export function createPanel(id: string, name: string): Panel {
  return { kind: 'panel', id, name, side: 'end', closeLabel: 'Close menu', parts: [], look: {} };
}
