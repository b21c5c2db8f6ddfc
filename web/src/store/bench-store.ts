import {
  itemKey,
  levelKey,
  type ItemKey,
  property,
  type Cell,
  type Extent,
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
import { keptArrangement, keepArrangement, type Arrangement } from './bench-arrangement.ts';

/** What the bench shows and has selected; it belongs to the view, not to the site. */
export interface BenchState extends Arrangement {
  readonly selected: SlotRef & { readonly level: LevelKey; readonly index: number };
  /** Ids of links that take along what is said of the selected one alone. */
  readonly besides: readonly string[];
  /** The column of the sheet in focus. */
  readonly state: State;
  readonly property: PropertyId;
  /** States frozen on the selected element. */
  readonly pins: readonly State[];
  /** Id of a band, or all widths: where a change to a cell starts. */
  readonly reach: string;
  /** How far it goes from there. */
  readonly extent: Extent;
  /** Width of the stage in px. */
  readonly width: number;
  readonly scene: string | null;
  /** Id of the page of the inventory that is on the stage. */
  readonly page: string | null;
  /** Whether all but the piece at work is faint. */
  readonly faint: boolean;
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
  /** Whether the starting designs are shown, and whether their piece was only just made. */
  readonly designs: 'none' | 'shown' | 'of a new piece';
  /** Whether a page that exists already is being brought along. */
  readonly bringing: boolean;
  /** Whether it is shown what would let the row fit. */
  readonly wondering: boolean;
  /** Whether the rows' parts are measured on the stage. */
  readonly measuring: boolean;
  /** Whether fit is told for labels that are longer, as in another language. */
  readonly longer: boolean;
  /** Slots that are lit up on the stage. */
  readonly lit: readonly SlotRef[];
  /** How often the motion of what stands open was asked for. */
  readonly plays: number;
  /** Whether it was asked for slowly. */
  readonly slowly: boolean;
  /** A look that was copied, to be put on another slot. */
  readonly copied: { readonly slot: SlotRef; readonly level: LevelKey } | null;
  /** Id of the panel that was opened on the stage itself. */
  readonly opened: string | null;
  /** What was typed where something was chosen: it starts the cell in focus. */
  readonly typed: string | null;
  /** Id of the piece, section or part that was just made: its name is what is typed next. */
  readonly made: string | null;
  /** Id of the band whose name is being typed on the width line. */
  readonly naming: string | null;
}

/** Ends of the width line, in px. */
export const WIDTHS = { from: 320, to: 1920 } as const;

/** Below this width of the page the bench turns to the tall arrangement, in px. */
export const TALL_BELOW = 700;

export const benchStore = createStore<BenchState>(() => ({
  selected: { owner: '', slot: '', level: 'all', index: 0 },
  besides: [],
  state: 'rest',
  property: 'colour',
  pins: [],
  reach: 'all',
  extent: 'narrower',
  width: 1240,
  scene: null,
  page: null,
  faint: false,
  ...keptArrangement(),
  anchor: null,
  openGroups: [],
  filter: '',
  spread: false,
  compare: 'off',
  kept: null,
  keptOf: null,
  designs: 'none',
  bringing: false,
  wondering: false,
  measuring: false,
  longer: false,
  lit: [],
  copied: null,
  opened: null,
  naming: null,
  made: null,
  typed: null,
  plays: 0,
  slowly: false,
}));

benchStore.subscribe((now, before) => {
  keepArrangement(now, before);
});

// Another slot or link is selected for itself.
benchStore.subscribe(({ selected, besides }, before) => {
  const isSame =
    selected.owner === before.selected.owner &&
    selected.slot === before.selected.slot &&
    selected.level === before.selected.level;
  if (!isSame && besides.length > 0 && besides === before.besides) benchStore.setState({ besides: [] });
});

export function useBench<Answer>(select: (state: BenchState) => Answer): Answer {
  return useStore(benchStore, select);
}

/** Selects a slot; states pinned on another one are let go. */
export function selectSlot(owner: string, slot: string, level: Level | ItemKey | null, index = 0): void {
  benchStore.setState((before) => {
    const same = before.selected.owner === owner && before.selected.slot === slot;
    return {
      selected: { owner, slot, level: typeof level === 'string' ? level : levelKey(level), index },
      anchor: null,
      opened: null,
      ...(same ? {} : { pins: [], state: 'rest' }),
    };
  });
}

/** Selects a slot of several links at once: what is said of the first is said of all. */
export function selectLinks(owner: string, slot: string, items: readonly string[]): void {
  const [first, ...besides] = items;
  if (first === undefined) return;
  selectSlot(owner, slot, itemKey(first));
  benchStore.setState({ besides });
}

/** Takes a link along with the selected one, or leaves it out again. */
export function toggleBeside(item: string): void {
  benchStore.setState(({ besides }) => ({ besides: toggled(besides, item) }));
}

/** Selects what was just made, so that its name can be typed. */
export function selectMade(owner: string, slot: string): void {
  selectSlot(owner, slot, null);
  benchStore.setState({ made: owner, settingsFolded: false });
}

/** Whether a key stands for something to be typed into a cell. */
export const isTyped = (key: string): boolean => key.length === 1 && key !== ' ';

/** Plays the motion of what stands open on the stage. */
export function playMotion(slowly = false): void {
  benchStore.setState(({ plays }) => ({ plays: plays + 1, slowly }));
}

/** Types into the cell in focus from wherever something was chosen; what comes before the cell takes the keys is kept. */
export function typeIntoCell(key: string): void {
  benchStore.setState(({ typed }) => ({ typed: `${typed ?? ''}${key}` }));
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

/** Folds or unfolds one of several things that are told by name. */
const toggled = <Name extends string>(names: readonly Name[], name: Name): readonly Name[] =>
  names.includes(name) ? names.filter((entry) => entry !== name) : [...names, name];

/** Folds a group of the look sheet to its heading, or unfolds it. */
export function toggleGroup(group: PropertyGroup): void {
  benchStore.setState(({ closedGroups }) => ({ closedGroups: toggled(closedGroups, group) }));
}

/** Shows all of a group of the look sheet, the rarer ones too. */
export function openGroup(group: PropertyGroup): void {
  benchStore.setState(({ closedGroups, openGroups }) => ({
    closedGroups: closedGroups.filter((entry) => entry !== group),
    openGroups: openGroups.includes(group) ? openGroups : [...openGroups, group],
  }));
}

/** Folds what stands beneath a line of the outline, or unfolds it. */
export function toggleBranch(id: string): void {
  benchStore.setState(({ foldedBranches }) => ({ foldedBranches: toggled(foldedBranches, id) }));
}

/** Unfolds what is beneath some lines of the outline. */
export function unfoldBranches(ids: readonly string[]): void {
  const { foldedBranches } = benchStore.getState();
  const still = foldedBranches.filter((id) => !ids.includes(id));
  if (still.length < foldedBranches.length) benchStore.setState({ foldedBranches: still });
}

export const setWidth = (width: number) => {
  benchStore.setState({ width: Math.round(Math.min(WIDTHS.to, Math.max(WIDTHS.from, width))) });
};

export const showDesigns = (designs: 'shown' | 'of a new piece' = 'shown') => {
  benchStore.setState({ designs });
};

/** Brings a page along that exists already. */
export const bringPage = () => {
  benchStore.setState({ bringing: true });
};

export const hideDesigns = () => {
  benchStore.setState({ designs: 'none' });
};

/** Goes to the cell that says a value, also where its group is folded. */
export function openCell(cell: Cell): void {
  const { group } = property(cell.property);
  benchStore.setState(({ closedGroups }) => ({
    selected: { owner: cell.owner, slot: cell.slot, level: cell.level, index: 0 },
    property: cell.property,
    reach: cell.band,
    extent: 'narrower',
    anchor: null,
    pins: [],
    filter: '',
    closedGroups: closedGroups.filter((entry) => entry !== group),
  }));
  focusColumn(cell.state);
}

/** Ids of the pieces last worked at, by site: the bench comes back to what one left there. */
const lastPieces = new Map<string, string>();

export const rememberPiece = (site: string, piece: string): void => {
  lastPieces.set(site, piece);
};

export const rememberedPiece = (site: string): string | null => lastPieces.get(site) ?? null;
