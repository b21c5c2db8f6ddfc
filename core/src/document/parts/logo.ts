import { BUTTON_STATES, TYPE_PROPERTIES, type SlotKind } from '../slot.ts';
import type { Look } from '../look.ts';

/** The site's name or mark, linked to its front page. */
export interface Logo {
  readonly kind: 'logo';
  readonly id: string;
  readonly text: string;
  /** Cleaned SVG source shown in place of the text, or null. */
  readonly svg: string | null;
  /** Height of the drawing in px. */
  readonly svgHeight: number;
  readonly look: Look;
}

export const LOGO_SLOTS = {
  logo: {
    label: 'Logo', levels: [], states: BUTTON_STATES, text: 'label', typeStyle: 'title',
    properties: [...TYPE_PROPERTIES, 'fill', 'radius', 'paddingInline', 'paddingBlock'],
    defaults: { colour: { role: 'ink' } },
  },
} as const satisfies Record<string, SlotKind>;

export function createLogo(id: string, text: string): Logo {
  return { kind: 'logo', id, text, svg: null, svgHeight: 36, look: {} };
}
