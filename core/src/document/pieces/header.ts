import { BOX_STATES, type SlotKind } from '../slot.ts';
import type { Look } from '../look.ts';
import type { Part } from '../part.ts';

export const ZONES = ['start', 'middle', 'end'] as const;
export type Zone = (typeof ZONES)[number];

/** A line of the header; each zone holds parts in order. */
export interface Row {
  readonly id: string;
  readonly name: string;
  readonly zones: Readonly<Record<Zone, readonly Part[]>>;
  readonly look: Look;
}

export interface Header {
  readonly kind: 'header';
  readonly id: string;
  readonly name: string;
  /** Id of the widest band in which the menu is folded behind the opener; null keeps it in the bar. */
  readonly foldBand: string | null;
  readonly rows: readonly Row[];
  readonly look: Look;
}

export const HEADER_SLOTS = {
  bar: {
    label: 'Bar', levels: [], states: BOX_STATES, text: 'none', properties: ['fill'],
    defaults: { fill: { role: 'paper' } },
  },
} as const satisfies Record<string, SlotKind>;

export const ROW_SLOTS = {
  row: {
    label: 'Row', levels: [], states: BOX_STATES, text: 'none', properties: ['height', 'paddingInline', 'paddingBlock', 'gap'],
    defaults: { height: 64, paddingInline: 24, gap: 24 },
  },
} as const satisfies Record<string, SlotKind>;
