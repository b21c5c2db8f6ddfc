import { BUTTON_STATES, CONTROL_PROPERTIES, type SlotKind } from '../../model/slot.ts';
import type { PartBase } from '../part-base.ts';
import type { Target } from '../../model/target.ts';

/** A call to action: a link drawn as a button. */
export interface Button extends PartBase {
  readonly kind: 'button';
  readonly label: string;
  readonly target: Target;
}

export const BUTTON_SLOTS = {
  button: {
    label: 'Call to action',
    levels: [],
    states: BUTTON_STATES,
    text: 'label',
    typeStyle: 'action',
    properties: CONTROL_PROPERTIES,
    defaults: { colour: { role: 'on-accent' }, fill: { role: 'accent' } },
  },
} as const satisfies Record<string, SlotKind>;

export function createButton(id: string, label: string, target: Target): Button {
  return { kind: 'button', id, label, target, look: {} };
}
