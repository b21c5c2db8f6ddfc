import { BUTTON_STATES, ICON_CONTROL_PROPERTIES, type SlotKind } from '../../model/slot.ts';
import type { PartBase } from '../part-base.ts';

/** The control that opens a panel; shown where the header's menu is folded. */
export interface Opener extends PartBase {
  readonly kind: 'opener';
  /** Accessible name; the icon is drawn. */
  readonly label: string;
  /** Id of the panel it opens. */
  readonly panel: string;
}

export const OPENER_SLOTS = {
  opener: {
    label: 'Opener',
    levels: [],
    states: BUTTON_STATES,
    text: 'icon',
    properties: ICON_CONTROL_PROPERTIES,
    defaults: { colour: { role: 'ink' }, size: 24, paddingInline: 10, paddingBlock: 10 },
  },
} as const satisfies Record<string, SlotKind>;

export function createOpener(id: string, label: string, panel: string): Opener {
  return { kind: 'opener', id, label, panel, look: {} };
}
