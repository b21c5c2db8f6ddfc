import { choice, group, parts, whole, wholeOrNone } from '../../../model/shape/fields.ts';
import type { SectionOf } from '../../kind.ts';
import type { Part } from '../../site.ts';

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

/** Arrangements that set some links apart. */
const setsApart = (row: Readonly<Record<string, unknown>>) =>
  row['arrangement'] === 'last-apart' || row['arrangement'] === 'first-centred';

export const ROW_SHAPE = {
  contained: wholeOrNone({
    label: 'content at most',
    hint: 'px; the row’s fill goes on to the edges. Nothing lets the content grow',
    min: 200,
    max: 4000,
  }),
  arrangement: choice(ARRANGEMENTS, { label: 'arrangement', initial: 'between' }),
  apart: whole({
    label: 'links apart',
    hint: 'how many links the arrangement pushes away',
    min: 1,
    max: 10,
    when: setsApart,
  }),
  middleOf: choice(
    { page: 'the page', left: 'what is left' },
    {
      label: 'logo in the middle of',
      hint: 'the page, or what the parts at the start and the end leave',
      when: (row) => row['arrangement'] === 'around',
    },
  ),
  zones: group({
    start: parts<Part>('row', 'start'),
    middle: parts<Part>('row', 'middle'),
    end: parts<Part>('row', 'end'),
  } as const),
} as const;

/** A line of a header; each zone holds parts in order. */
export type Row = SectionOf<typeof ROW_SHAPE>;

export function createRow(id: string, name: string): Row {
  return {
    id,
    name,
    contained: null,
    arrangement: 'between',
    apart: 1,
    middleOf: 'page',
    zones: { start: [], middle: [], end: [] },
    look: {},
  };
}
