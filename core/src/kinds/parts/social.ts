import { BUTTON_STATES, BOX_STATES, ICON_CONTROL_PROPERTIES, type SlotKind } from '../../model/slot.ts';
import type { PartBase } from '../part-base.ts';

/** One profile elsewhere, shown as a mark. */
export interface SocialLink {
  readonly id: string;
  /** Accessible name, such as “Our pictures on Heronet”. */
  readonly name: string;
  readonly url: string;
  /** Id of the site's icon that is drawn. */
  readonly icon: string;
  /** The network's own colour, a CSS colour, or null where it is not known. */
  readonly colour: string | null;
}

/** Where the colours of social marks come from: one for all from the look, or each network's own, as mark or as ground. */
export const SOCIAL_COLOURS = ['look', 'network', 'network-ground'] as const;

export interface Social extends PartBase {
  readonly kind: 'social';
  /** Accessible name of the list. */
  readonly name: string;
  readonly links: readonly SocialLink[];
  readonly colours: (typeof SOCIAL_COLOURS)[number];
}

export const SOCIAL_SLOTS = {
  social: {
    label: 'Row of marks',
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: ['gap', 'marginInline', 'marginBlock'],
    defaults: { gap: 4 },
  },
  profile: {
    label: 'Social mark',
    levels: [],
    states: BUTTON_STATES,
    text: 'icon',
    properties: ICON_CONTROL_PROPERTIES,
    defaults: { colour: { role: 'ink' }, size: 20, paddingInline: 6, paddingBlock: 6 },
  },
} as const satisfies Record<string, SlotKind>;

export function createSocial(id: string): Social {
  return { kind: 'social', id, name: 'Elsewhere', links: [], colours: 'look', look: {} };
}
