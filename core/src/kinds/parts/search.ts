import {
  BUTTON_STATES,
  CONTROL_PROPERTIES,
  BOX_PROPERTIES,
  BOX_STATES,
  ICON_CONTROL_PROPERTIES,
  type SlotKind,
} from '../../model/slot.ts';
import type { PartBase } from '../part-base.ts';

/** A search form that leads to the site's page of results. */
export interface Search extends PartBase {
  readonly kind: 'search';
  /** Accessible name of the field and its button. */
  readonly label: string;
  readonly placeholder: string;
  /** Address of the page of results. */
  readonly action: string;
  /** Name the words are sent under. */
  readonly field: string;
  /** Whether the field is always in sight, or opens from an icon. */
  readonly open: boolean;
}

export const SEARCH_SLOTS = {
  search: {
    label: 'Search',
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: [...BOX_PROPERTIES, 'gap', 'marginInline', 'marginBlock'],
    defaults: {
      fill: { role: 'paper' },
      lineTop: lineAround(),
      lineBottom: lineAround(),
      lineStart: lineAround(),
      lineEnd: lineAround(),
      radius: 4,
    },
  },
  field: {
    label: 'Search field',
    levels: [],
    states: BUTTON_STATES,
    text: 'label',
    typeStyle: 'menu',
    properties: [...CONTROL_PROPERTIES.filter((id) => id !== 'gap' && id !== 'minWidth'), 'width'],
    defaults: { colour: { role: 'ink' }, width: 180, paddingInline: 10, paddingBlock: 6 },
  },
  submit: {
    label: 'Search button',
    levels: [],
    states: BUTTON_STATES,
    text: 'icon',
    properties: ICON_CONTROL_PROPERTIES,
    defaults: { colour: { role: 'ink' }, size: 18, paddingInline: 8, paddingBlock: 8 },
  },
} as const satisfies Record<string, SlotKind>;

function lineAround() {
  return { line: { width: 1, style: 'solid', colour: { role: 'line' } } } as const;
}

export function createSearch(id: string): Search {
  return {
    kind: 'search',
    id,
    label: 'Search',
    placeholder: 'Search',
    action: '/search',
    field: 'q',
    open: true,
    look: {},
  };
}
