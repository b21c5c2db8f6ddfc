import {
  BOX_STATES,
  BUTTON_STATES,
  OUTLINE_PROPERTIES,
  TEXT_PROPERTIES,
  type SlotKind,
} from '../../model/slot.ts';
import type { PartBase } from '../part-base.ts';
import type { Target } from '../../model/target.ts';

/** A short text with what it leads to: a phone number, a mail address, opening times. */
export interface TextEntry {
  readonly id: string;
  readonly text: string;
  readonly target: Target;
  /** Id of the site's icon in front of it, or null. */
  readonly icon: string | null;
}

export interface Text extends PartBase {
  readonly kind: 'text';
  readonly entries: readonly TextEntry[];
}

export const TEXT_SLOTS = {
  text: {
    label: 'Text',
    levels: [],
    states: BOX_STATES,
    text: 'label',
    typeStyle: 'menu',
    properties: [...TEXT_PROPERTIES, 'gap', 'paddingInline', 'paddingBlock', 'marginInline', 'marginBlock'],
    defaults: { colour: { role: 'ink' }, size: 14, gap: 16 },
  },
  contact: {
    label: 'Text that leads somewhere',
    levels: [],
    states: BUTTON_STATES,
    text: 'label',
    inherits: 'text',
    properties: [...TEXT_PROPERTIES, ...OUTLINE_PROPERTIES, 'opacity'],
    defaults: {},
  },
} as const satisfies Record<string, SlotKind>;

export function createText(id: string, entry: TextEntry): Text {
  return { kind: 'text', id, entries: [entry], look: {} };
}
