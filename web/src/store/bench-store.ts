import {
  levelKey,
  type Cell,
  type Level,
  type LevelKey,
  type PropertyGroup,
  type PropertyId,
  type Site,
  type SlotRef,
  type State,
} from '@hamaca/core';
import { createStore } from 'zustand/vanilla';
import { useStore } from 'zustand';

/** How the bench is turned. */
export type Turn = 'auto' | 'wide' | 'tall';

/** What the bench shows and has selected; it belongs to the view, not to the site. */
export interface BenchState {
  readonly selected: SlotRef & { readonly level: LevelKey; readonly index: number };
  /** The column of the sheet in focus. */
  readonly state: State;
  readonly property: PropertyId;
  /** States frozen on the selected element. */
  readonly pins: readonly State[];
  /** Id of a band, or all widths. */
  readonly reach: string;
  /** Width of the stage in px. */
  readonly width: number;
  readonly scene: string | null;
  readonly arrangement: Turn;
  /** The other corner of a range of cells; null where one cell is taken. */
  readonly anchor: { readonly property: PropertyId; readonly state: State } | null;
  /** Groups whose rarer properties are shown. */
  readonly openGroups: readonly PropertyGroup[];
  readonly filter: string;
  /** Whether the stage shows every band and state at once. */
  readonly spread: boolean;
  /** What the stage is held against: the version that was kept, in its place or above it. */
  readonly compare: 'off' | 'instead' | 'beside';
  readonly kept: Site | null;
  /** Id of the site the kept version is of. */
  readonly keptOf: string | null;
  /** Whether the starting designs are shown. */
  readonly starters: boolean;
  /** Slots that are lit up on the stage. */
  readonly lit: readonly SlotRef[];
  /** A look that was copied, to be put on another slot. */
  readonly copied: { readonly slot: SlotRef; readonly level: LevelKey } | null;
  /** Id of the panel that was opened on the stage itself. */
  readonly opened: string | null;
  /** Id of the band whose name is being typed on the width line. */
  readonly naming: string | null;
  /** Height of the stage in the wide arrangement, in px. */
  readonly stageHeight: number;
}

/** Ends of the width line, in px. */
export const WIDTHS = { from: 320, to: 1920 } as const;

/** Below this width of the page the bench turns to the tall arrangement, in px. */
export const TALL_BELOW = 700;

export const benchStore = createStore<BenchState>(() => ({
  selected: { owner: '', slot: '', level: 'all', index: 0 },
  state: 'rest',
  property: 'colour',
  pins: [],
  reach: 'all',
  width: 1240,
  scene: null,
  arrangement: 'auto',
  stageHeight: 272,
  anchor: null,
  openGroups: [],
  filter: '',
  spread: false,
  compare: 'off',
  kept: null,
  keptOf: null,
  starters: false,
  lit: [],
  copied: null,
  opened: null,
  naming: null,
}));

export function useBench<Answer>(select: (state: BenchState) => Answer): Answer {
  return useStore(benchStore, select);
}

/** Selects a slot; states pinned on another one are let go. */
export function selectSlot(owner: string, slot: string, level: Level | null, index = 0): void {
  benchStore.setState((before) => {
    const same = before.selected.owner === owner && before.selected.slot === slot;
    return {
      selected: { owner, slot, level: levelKey(level), index },
      anchor: null,
      opened: null,
      ...(same ? {} : { pins: [], state: 'rest' }),
    };
  });
}

/** Freezes or frees a state on the stage; the sheet's column in focus follows. */
export function togglePin(state: State): void {
  benchStore.setState(({ pins }) =>
    pins.includes(state)
      ? { pins: pins.filter((pin) => pin !== state), state: 'rest' }
      : { pins: [...pins, state], state },
  );
}

/** Puts the focus on a column; on the stage its state is the one that shows. */
export function focusColumn(state: State): void {
  const { pins, state: before } = benchStore.getState();
  if (before === state) return;
  benchStore.setState({ state, pins: state === 'rest' ? [] : pins.includes(state) ? pins : [state] });
}

export const setWidth = (width: number) => {
  benchStore.setState({ width: Math.round(Math.min(WIDTHS.to, Math.max(WIDTHS.from, width))) });
};

export const showStarters = (starters: boolean) => {
  benchStore.setState({ starters });
};

/** Goes to the cell that says a value. */
export function openCell(cell: Cell): void {
  benchStore.setState({
    selected: { owner: cell.owner, slot: cell.slot, level: cell.level, index: 0 },
    property: cell.property,
    reach: cell.band,
    anchor: null,
    pins: [],
  });
  focusColumn(cell.state);
}
