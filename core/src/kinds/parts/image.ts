import { BOX_STATES, type SlotKind } from '../../model/slot.ts';
import type { PartBase } from '../part-base.ts';
import type { Target } from '../../model/target.ts';

/** A picture or drawing of its own: a partner's mark, a seal. */
export interface Image extends PartBase {
  readonly kind: 'image';
  /** A picture's address or data, or null where a drawing is used. */
  readonly image: string | null;
  /** Cleaned SVG source, or null. */
  readonly svg: string | null;
  /** What assistive technology reads; empty where it only decorates. */
  readonly alternative: string;
  readonly target: Target;
}

export const IMAGE_SLOTS = {
  image: {
    label: 'Image',
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: ['drawnHeight', 'radius', 'shadow', 'marginInline', 'marginBlock', 'opacity'],
    defaults: { drawnHeight: 40 },
  },
} as const satisfies Record<string, SlotKind>;

export function createImage(id: string): Image {
  return { kind: 'image', id, image: null, svg: null, alternative: '', target: { kind: 'none' }, look: {} };
}
