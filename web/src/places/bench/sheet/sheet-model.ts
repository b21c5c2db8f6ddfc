import {
  askedAt,
  bandKeys,
  contrastOf,
  effectiveLook,
  levelKeys,
  originSteps,
  ownersOf,
  pieceKind,
  passingValue,
  property,
  PROPERTY_GROUPS,
  resolve,
  saidIn,
  slotKind,
  wornAt,
  type Cell,
  type ContrastReport,
  type OriginStep,
  type PropertyGroup,
  type PropertyId,
  type Resolved,
  type ColourValue,
  type Scene,
  type Site,
  type SlotKind,
  type State,
} from '@hamaca/core';
import type { BenchState } from '../../../store/bench-store.ts';

/** One cell of the sheet as it is drawn. */
export interface SheetCell {
  readonly cell: Cell;
  readonly resolved: Resolved;
  /** Whether the value is the cell's own rather than inherited. */
  readonly own: boolean;
  /** Where the value comes from, nearest first. */
  readonly trail: readonly OriginStep[];
  /** Bands with an exception of their own, by name. */
  readonly exceptions: readonly string[];
}

export interface SheetRow {
  readonly property: PropertyId;
  readonly cells: readonly SheetCell[];
}

/** The rows of one group; `hidden` counts the rarer ones that are left out. */
export interface SheetGroup {
  readonly group: PropertyGroup;
  /** Whether it is folded to its heading, with none of its rows in sight. */
  readonly closed: boolean;
  readonly rows: readonly SheetRow[];
  readonly hidden: number;
}

export interface Sheet {
  readonly kind: SlotKind;
  readonly states: readonly State[];
  readonly groups: readonly SheetGroup[];
  /** All rows in sight, from top to bottom. */
  readonly rows: readonly SheetRow[];
  readonly contrast: readonly (ContrastReport | null)[];
}

type View = Pick<BenchState, 'selected' | 'reach' | 'openGroups' | 'closedGroups' | 'filter'>;
type Place = Pick<BenchState, 'selected' | 'reach'>;

/** Index of the band a reach stands for; all widths is judged at the widest. */
export function reachBand(site: Site, reach: string): number {
  return Math.max(
    0,
    site.bands.findIndex((band) => band.id === reach),
  );
}

/** The reach as the document writes it: the widest band and narrower is all widths. */
const bandKey = (site: Site, reach: string) => (reachBand(site, reach) === 0 ? 'all' : reach);

export function cellOf(site: Site, { selected, reach }: Place, id: PropertyId, state: State): Cell {
  return {
    owner: selected.owner,
    slot: selected.slot,
    property: id,
    level: selected.level,
    state,
    band: bandKey(site, reach),
  };
}

const activeStates = (state: State): State[] => (state === 'rest' ? [] : [state]);

function sheetCell(site: Site, kind: SlotKind, cell: Cell, band: number): SheetCell | null {
  const asked = askedAt(site, cell, cell.level);
  const resolved = resolve(site, { ...cell, ...asked, states: activeStates(cell.state), band });
  if (!resolved) return null;
  const { origin } = resolved;
  const own =
    origin.kind === 'look' &&
    origin.as === undefined &&
    origin.level === cell.level &&
    origin.state === cell.state &&
    origin.band === cell.band;
  return {
    cell,
    resolved,
    own,
    trail: originSteps(site, kind, cell, resolved),
    exceptions: exceptionsOf(site, cell, band),
  };
}

/** Narrower bands in which the same cell says something else. */
function exceptionsOf(site: Site, cell: Cell, band: number): string[] {
  const asked = askedAt(site, cell, cell.level);
  return site.bands.slice(band + 1).flatMap((narrower, offset) => {
    const found = resolve(site, {
      ...cell,
      ...asked,
      states: activeStates(cell.state),
      band: band + 1 + offset,
    });
    const keys = bandKeys(site)[band] ?? [];
    const differs =
      found?.origin.kind === 'look' &&
      found.origin.state === cell.state &&
      !keys.includes(found.origin.band) &&
      levelKeys(asked.level, asked.item).includes(found.origin.level);
    return differs ? [narrower.name] : [];
  });
}

/** The states of a slot that it can come to: only a header that stays is ever scrolled. */
export function shownStates(site: Site, owner: string, kind: SlotKind): readonly State[] {
  const piece = ownersOf(site).get(owner)?.piece;
  return piece ? kind.states.filter((state) => pieceKind(piece).comesTo(piece as never, state)) : kind.states;
}

const matchesFilter = (id: PropertyId, filter: string) => {
  const { label, group, hint } = property(id);
  return filter
    .split(/\s+/)
    .every((word) => `${label} ${group} ${hint} ${property(id).css.join(' ')}`.toLowerCase().includes(word));
};

/** Which properties stand in sight: those found by the filter, or the common ones, those with a value and open groups. */
function shownProperties(
  site: Site,
  kind: SlotKind,
  { selected, openGroups, filter }: View,
): readonly PropertyId[] {
  const wanted = filter.trim().toLowerCase();
  const properties = wornAt(kind, selected.level);
  if (wanted !== '') return properties.filter((id) => matchesFilter(id, wanted));
  const said = saidIn(effectiveLook(site, selected));
  // What a slot has a default of its own for is common there.
  return properties.filter(
    (id) =>
      property(id).common === true ||
      kind.defaults[id] !== undefined ||
      said.has(id) ||
      openGroups.includes(property(id).group),
  );
}

/** The look sheet of the selected slot: properties down, states across. Null where the slot is gone. */
export function readSheet(site: Site, view: View, scene: Scene): Sheet | null {
  const kind = slotKind(site, view.selected);
  if (!kind) return null;
  const band = reachBand(site, view.reach);
  const states = shownStates(site, view.selected.owner, kind);
  const shown = new Set(shownProperties(site, kind, view));
  const row = (id: PropertyId): SheetRow => ({
    property: id,
    cells: (property(id).arranged ? (['rest'] as const) : states)
      .map((state) => sheetCell(site, kind, cellOf(site, view, id, state), band))
      .filter((cell) => cell !== null),
  });
  const groups = PROPERTY_GROUPS.flatMap((group): SheetGroup[] => {
    const ids = wornAt(kind, view.selected.level).filter((id) => property(id).group === group);
    const inSight = ids.filter((id) => shown.has(id));
    // Whoever looks for a property is shown it wherever it lies.
    const isFiltered = view.filter.trim() !== '';
    if (ids.length === 0 || (inSight.length === 0 && isFiltered)) return [];
    const closed = !isFiltered && view.closedGroups.includes(group);
    const rows = closed ? [] : inSight.map(row);
    return [{ group, closed, rows, hidden: ids.length - inSight.length }];
  });
  const contrast = states.map((state) => contrastOf(site, situation(site, view, state, band), scene));
  return { kind, states, groups, rows: groups.flatMap((group) => group.rows), contrast };
}

function situation(site: Site, { selected }: Pick<BenchState, 'selected'>, state: State, band: number) {
  const { owner, slot, level } = selected;
  return { owner, slot, ...askedAt(site, selected, level), states: activeStates(state), band };
}

/** A text colour that passes in one state, of the site's own where one does; or null. */
export function suggestColour(site: Site, bench: Place, state: State, scene: Scene): ColourValue | null {
  return passingValue(site, [
    { situation: situation(site, bench, state, reachBand(site, bench.reach)), scene },
  ]);
}

/** The cells between two corners, row by row. */
export function rangeOf(
  sheet: Sheet,
  from: { property: PropertyId; state: State },
  to: { property: PropertyId; state: State },
): SheetCell[][] {
  const rows = sheet.rows.map((row) => row.property);
  const [top, bottom] = [rows.indexOf(from.property), rows.indexOf(to.property)].sort((a, b) => a - b) as [
    number,
    number,
  ];
  const [left, right] = [sheet.states.indexOf(from.state), sheet.states.indexOf(to.state)].sort(
    (a, b) => a - b,
  ) as [number, number];
  return sheet.rows
    .slice(Math.max(0, top), bottom + 1)
    .map((row) => row.cells.slice(Math.max(0, left), right + 1));
}
