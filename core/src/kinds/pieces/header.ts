import {
  BOX_STATES,
  EDGE_PROPERTIES,
  FILL_PROPERTIES,
  MARGIN_PROPERTIES,
  MOTION_PROPERTIES,
  type SlotKind,
} from '../../model/slot.ts';
import type { Look } from '../../model/look.ts';
import type { Part } from '../part.ts';

export const ZONES = ['start', 'middle', 'end'] as const;
export type Zone = (typeof ZONES)[number];

/** How the zones of a row share its width, and where the links of its menu stand; each with what it does. */
export const ARRANGEMENTS = {
  between: 'the middle is centred in what start and end leave',
  beside: 'the middle follows the start, the end is pushed away',
  centre: 'the middle is centred in the page',
  far: 'the middle stands beside the end',
  'last-apart': 'the last links are pushed to the far end, the others stay',
  'first-centred': 'the last links are pushed to the far end, the others are centred',
  around: 'the links are split around the logo in the page’s centre',
  equal: 'the links share the width, all alike',
} as const satisfies Record<string, string>;

export type Arrangement = keyof typeof ARRANGEMENTS;

export const ARRANGEMENT_IDS = Object.keys(ARRANGEMENTS) as Arrangement[];

/** A line of the header; each zone holds parts in order. */
export interface Row {
  readonly id: string;
  readonly name: string;
  /** Widest the content grows, in px, while the row's fill goes on to the edges; null lets it grow. */
  readonly contained: number | null;
  readonly arrangement: Arrangement;
  /** How many links stand apart where the arrangement pushes the last ones away. */
  readonly apart: number;
  /** Ids of the bands it is shown in; left out, it shows at every width. */
  readonly bands?: readonly string[];
  readonly zones: Readonly<Record<Zone, readonly Part[]>>;
  readonly look: Look;
}

export interface Header {
  readonly kind: 'header';
  readonly id: string;
  readonly name: string;
  /** Id of the widest band in which the menu is folded behind the opener; null keeps it in the bar. */
  readonly foldBand: string | null;
  /** Whether it stays at the top while the page scrolls. */
  readonly stays: boolean;
  /** Whether it lies over the top of the page instead of above it. */
  readonly over: boolean;
  readonly rows: readonly Row[];
  readonly look: Look;
}

export const HEADER_SLOTS = {
  bar: {
    label: 'Bar',
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: [...FILL_PROPERTIES, ...EDGE_PROPERTIES, ...MARGIN_PROPERTIES, ...MOTION_PROPERTIES],
    defaults: { fill: { role: 'paper' } },
  },
} as const satisfies Record<string, SlotKind>;

export const ROW_SLOTS = {
  row: {
    label: 'Row',
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: [
      'height',
      'paddingInline',
      'paddingBlock',
      'gap',
      ...FILL_PROPERTIES,
      ...EDGE_PROPERTIES,
      ...MOTION_PROPERTIES,
    ],
    defaults: { height: 64, paddingInline: 24, gap: 24 },
  },
} as const satisfies Record<string, SlotKind>;

export function createRow(id: string, name: string): Row {
  return {
    id,
    name,
    contained: null,
    arrangement: 'between',
    apart: 1,
    zones: { start: [], middle: [], end: [] },
    look: {},
  };
}
