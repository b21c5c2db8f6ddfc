import { BUTTON_STATES, CONTROL_PROPERTIES, LINK_STATES, type SlotKind } from '../../model/slot.ts';
import type { PartBase } from '../part-base.ts';

/** The site's name or mark, linked to its front page. */
export interface Logo extends PartBase {
  readonly kind: 'logo';
  /** The name as text; beside a drawing or picture also what assistive technology reads. */
  readonly text: string;
  /** Cleaned SVG source, or null. */
  readonly svg: string | null;
  /** A picture's address or data instead of a drawing, or null. */
  readonly image: string | null;
  /** Another drawing in its place while the page is scrolled, for a bar that changes its ground; null keeps the one. */
  readonly second: string | null;
  /** Whether the text stands beside the drawing; without a drawing it always shows. */
  readonly textShown: boolean;
}

export const LOGO_SLOTS = {
  logo: {
    label: 'Logo',
    levels: [],
    states: BUTTON_STATES,
    text: 'label',
    typeStyle: 'title',
    properties: CONTROL_PROPERTIES,
    defaults: { colour: { role: 'ink' }, gap: 10 },
  },
  drawing: {
    label: 'Logo’s drawing',
    levels: [],
    states: LINK_STATES.filter((state) => state === 'rest' || state === 'scrolled' || state === 'hover'),
    text: 'none',
    inside: 'logo',
    properties: ['drawnHeight', 'radius', 'opacity'],
    defaults: { drawnHeight: 36 },
  },
} as const satisfies Record<string, SlotKind>;

export function createLogo(id: string, text: string): Logo {
  return { kind: 'logo', id, text, svg: null, image: null, second: null, textShown: true, look: {} };
}
