import { BUTTON_STATES, TYPE_PROPERTIES, type SlotKind } from '../slot.ts';
import type { Look } from '../look.ts';
import type { Target } from '../target.ts';

/** A call to action: a link drawn as a button. */
export interface Button {
  readonly kind: 'button';
  readonly id: string;
  readonly label: string;
  readonly target: Target;
  readonly look: Look;
}

export const BUTTON_SLOTS = {
  button: {
    label: 'Call to action', levels: [], states: BUTTON_STATES, text: 'label', typeStyle: 'action',
    properties: [...TYPE_PROPERTIES, 'fill', 'radius', 'paddingInline', 'paddingBlock'],
    defaults: { colour: { role: 'on-accent' }, fill: { role: 'accent' } },
  },
} as const satisfies Record<string, SlotKind>;

export function createButton(id: string, label: string, target: Target): Button {
  return { kind: 'button', id, label, target, look: {} };
}
