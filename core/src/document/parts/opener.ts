import { BUTTON_STATES, type SlotKind } from '../slot.ts';
import type { Look } from '../look.ts';

/** The control that opens a panel; shown where the header's menu is folded. */
export interface Opener {
  readonly kind: 'opener';
  readonly id: string;
  /** Accessible name; the icon is drawn. */
  readonly label: string;
  /** Id of the panel it opens. */
  readonly panel: string;
  readonly look: Look;
}

export const OPENER_SLOTS = {
  opener: {
    label: 'Opener', levels: [], states: BUTTON_STATES, text: 'icon',
    properties: ['colour', 'size', 'fill', 'radius', 'paddingInline', 'paddingBlock'],
    defaults: { colour: { role: 'ink' }, size: 24, paddingInline: 10, paddingBlock: 10 },
  },
} as const satisfies Record<string, SlotKind>;

export function createOpener(id: string, label: string, panel: string): Opener {
  return { kind: 'opener', id, label, panel, look: {} };
}
