import {
  bandKeys, contrastOf, levelKeys, originTrail, passingColour, property, resolve, slotKind, type Cell, type ContrastReport, type Level, type LevelKey,
  type PropertyId, type Resolved, type Rgba, type Scene, type Site, type SlotKind, type State,
} from '@hamaca/core';
import type { BenchState } from './bench-state.ts';

/** One cell of the sheet as it is drawn. */
export interface SheetCell {
  readonly cell: Cell;
  readonly resolved: Resolved;
  /** Whether the value is the cell's own rather than inherited. */
  readonly own: boolean;
  /** Where an inherited value comes from, nearest first. */
  readonly trail: readonly string[];
  /** Bands with an exception of their own, by name. */
  readonly exceptions: readonly string[];
}

export interface SheetRow {
  readonly property: PropertyId;
  readonly cells: readonly SheetCell[];
}

export interface Sheet {
  readonly kind: SlotKind;
  readonly states: readonly State[];
  readonly rows: readonly SheetRow[];
  readonly contrast: readonly (ContrastReport | null)[];
}

const asLevel = (key: LevelKey): Level | null => (key === 'all' ? null : (Number(key) as Level));

/** Index of the band a reach stands for; all widths is judged at the widest. */
export function reachBand(site: Site, reach: string): number {
  return Math.max(0, site.bands.findIndex((band) => band.id === reach));
}

/** The reach as the document writes it: the widest band and narrower is all widths. */
const bandKey = (site: Site, reach: string) => (reachBand(site, reach) === 0 ? 'all' : reach);

export function cellOf(site: Site, { selected, reach }: Pick<BenchState, 'selected' | 'reach'>, id: PropertyId, state: State): Cell {
  return { owner: selected.owner, slot: selected.slot, property: id, level: selected.level, state, band: bandKey(site, reach) };
}

const activeStates = (state: State): State[] => (state === 'rest' ? [] : [state]);

function sheetCell(site: Site, kind: SlotKind, cell: Cell, band: number): SheetCell | null {
  const level = asLevel(cell.level);
  const resolved = resolve(site, { ...cell, level, states: activeStates(cell.state), band });
  if (!resolved) return null;
  const { origin } = resolved;
  const own = origin.kind === 'look' && origin.level === cell.level && origin.state === cell.state && origin.band === cell.band;
  return { cell, resolved, own, trail: originTrail(site, kind, resolved), exceptions: exceptionsOf(site, cell, band, level) };
}

/** Narrower bands in which the same cell says something else. */
function exceptionsOf(site: Site, cell: Cell, band: number, level: Level | null): string[] {
  return site.bands.slice(band + 1).flatMap((narrower, offset) => {
    const found = resolve(site, { ...cell, level, states: activeStates(cell.state), band: band + 1 + offset });
    const keys = bandKeys(site)[band] ?? [];
    const differs = found?.origin.kind === 'look' && found.origin.state === cell.state && !keys.includes(found.origin.band) && levelKeys(level).includes(found.origin.level);
    return differs ? [narrower.name] : [];
  });
}

/** The look sheet of the selected slot: properties down, states across. Null where the slot is gone. */
export function readSheet(site: Site, bench: Pick<BenchState, 'selected' | 'reach'>, scene: Scene): Sheet | null {
  const kind = slotKind(site, bench.selected);
  if (!kind) return null;
  const band = reachBand(site, bench.reach);
  const rows = kind.properties.map((id): SheetRow => ({
    property: id,
    cells: kind.states.map((state) => sheetCell(site, kind, cellOf(site, bench, id, state), band)).filter((cell) => cell !== null),
  }));
  const contrast = kind.states.map((state) => contrastOf(site, situation(bench, state, band), scene));
  return { kind, states: kind.states, rows, contrast };
}

function situation(bench: Pick<BenchState, 'selected'>, state: State, band: number) {
  const { owner, slot, level } = bench.selected;
  return { owner, slot, level: asLevel(level), states: activeStates(state), band };
}

/** The nearest text colour that passes in one state, or null. */
export function suggestColour(site: Site, bench: Pick<BenchState, 'selected' | 'reach'>, state: State, scene: Scene): Rgba | null {
  return passingColour(site, situation(bench, state, reachBand(site, bench.reach)), scene);
}

export const groupOf = (id: PropertyId) => property(id).group;
