import { BUTTON_STATES, TYPE_PROPERTIES, type SlotKind } from '../slot.ts';
import type { Look } from '../look.ts';

/** The site's name or mark, linked to its front page. */
export interface Logo {
  readonly kind: 'logo';
  readonly id: string;
  readonly text: string;
  /** Cleaned SVG source, or null. */
  readonly svg: string | null;
  /** Whether the text stands beside the drawing; without a drawing it always shows. */
  readonly textShown: boolean;
  /** Height of the drawing in px. */
  readonly svgHeight: number;
  readonly look: Look;
}

export const LOGO_SLOTS = {
  logo: {
    label: 'Logo', levels: [], states: BUTTON_STATES, text: 'label', typeStyle: 'title',
    properties: [...TYPE_PROPERTIES, 'fill', 'radius', 'paddingInline', 'paddingBlock', 'gap'],
    defaults: { colour: { role: 'ink' }, gap: 10 },
  },
} as const satisfies Record<string, SlotKind>;

export function createLogo(id: string, text: string): Logo {
  return { kind: 'logo', id, text, svg: null, textShown: true, svgHeight: 36, look: {} };
}
