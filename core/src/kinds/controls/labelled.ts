import { BUTTON_STATES, TEXT_PROPERTIES, type SlotKind } from '../../model/slot.ts';

/** The word of a control that is mostly a drawing: type of its own, all else is the control's. */
export const labelSlot = (label: string, holder: string, states = BUTTON_STATES): SlotKind => ({
  label,
  levels: [],
  states,
  text: 'label',
  typeStyle: 'menu',
  inside: holder,
  properties: TEXT_PROPERTIES,
  defaults: { size: 16 },
});
