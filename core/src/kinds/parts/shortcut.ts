import { BUTTON_STATES, CONTROL_PROPERTIES, ICON_PROPERTIES, type SlotKind } from '../../model/slot.ts';
import type { PartBase } from '../part-base.ts';
import type { Target } from '../../model/target.ts';

/** A link that is mostly an icon: account, basket, saved things. */
export interface Shortcut extends PartBase {
  readonly kind: 'shortcut';
  readonly label: string;
  /** Whether the label stands beside the icon; hidden, it is still read out. */
  readonly labelShown: boolean;
  /** Id of the site's icon, or null. */
  readonly icon: string | null;
  readonly target: Target;
}

export const SHORTCUT_SLOTS = {
  shortcut: {
    label: 'Icon link',
    levels: [],
    states: BUTTON_STATES,
    text: 'label',
    typeStyle: 'menu',
    properties: CONTROL_PROPERTIES,
    defaults: { colour: { role: 'ink' }, gap: 6, paddingInline: 6, paddingBlock: 6 },
  },
  symbol: {
    label: 'Icon link’s icon',
    levels: [],
    states: BUTTON_STATES,
    text: 'icon',
    inside: 'shortcut',
    properties: [...ICON_PROPERTIES, 'opacity'],
    defaults: { size: 22 },
  },
} as const satisfies Record<string, SlotKind>;

export function createShortcut(id: string, label: string, icon: string | null): Shortcut {
  return { kind: 'shortcut', id, label, labelShown: icon === null, icon, target: { kind: 'none' }, look: {} };
}
