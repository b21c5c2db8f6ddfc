import {
  ACTION_STYLES,
  ARRIVAL_PROPERTIES,
  COMING_PROPERTIES,
  acceptsValue,
  askedAt,
  bandAt,
  findPlaced,
  formatValue,
  idsOf,
  isPropertyId,
  itemKey,
  itemOf,
  levelOf,
  makePart,
  parseValue,
  partsOf,
  property,
  resolve,
  sameJson,
  shownItems,
  slotKind,
  uniqueName,
  type ActionStyle,
  type CellValue,
  type Edit,
  type SingleEdit,
  type LevelKey,
  type MenuItem,
  type MenuPart,
  type Part,
  type Region,
  type PropertyId,
  type Site,
  type SlotRef,
  type State,
  type Value,
} from '@hamaca/core';
import { benchStore, playMotion } from '../../../store/bench-store.ts';
import { cellOf, type SheetCell } from './sheet-model.ts';

/*
 * What is done to ranges of cells and to whole looks, as edits.
 */

/** What is seen only while something comes or goes. */
const seenOnTheWay: readonly PropertyId[] = [...ARRIVAL_PROPERTIES, ...COMING_PROPERTIES];

/** The band that a reach says something in: all of them where it is the widest, or none. */
export const reachKey = ({ bands }: Site, reach: string): string =>
  bands.findIndex(({ id }) => id === reach) <= 0 ? 'all' : reach;

/** Sets or clears cells as far as the reach that is chosen goes. */
export function setCells(cells: readonly CellValue[]): Edit {
  const { extent } = benchStore.getState();
  if (cells.some(({ property: id }) => seenOnTheWay.includes(id))) playMotion();
  return { name: 'set-look', args: { cells: cells.flatMap(withBesides), extent } };
}

/** A cell of the selected link alone, and the same one of every link that is taken along. */
function withBesides(cell: CellValue): readonly CellValue[] {
  const { selected, besides } = benchStore.getState();
  const isSelected =
    itemOf(cell.level) !== null &&
    cell.level === selected.level &&
    cell.owner === selected.owner &&
    cell.slot === selected.slot;
  return isSelected ? [cell, ...besides.map((item) => ({ ...cell, level: itemKey(item) }))] : [cell];
}

/** Adds what values do nothing without, at rest, where nobody has said anything about it. */
export function bringing(site: Site, cells: readonly CellValue[]): CellValue[] {
  const brought = new Map<string, CellValue>();
  for (const cell of cells) {
    if (cell.value === null) continue;
    for (const [id, value] of broughtBy(site, cell)) {
      if (!isPropertyId(id) || slotKind(site, cell)?.properties.includes(id) !== true) continue;
      const at = { ...cell, property: id, state: 'rest' as const };
      const now = resolve(site, {
        ...at,
        ...askedAt(site, cell, cell.level),
        states: [],
        band: Math.max(0, indexOfBand(site, cell.band)),
      });
      if (now && sameJson(now.value, property(id).initial))
        brought.set(`${cell.level} ${cell.band} ${id}`, { ...at, value });
    }
  }
  return [...cells, ...brought.values()];
}

/** What a value brings: always, with itself alone, or from the look of the level above. */
function broughtBy(site: Site, cell: CellValue): [id: string, value: Value][] {
  const entry = property(cell.property);
  const always = sameJson(cell.value, entry.initial) ? [] : Object.entries(entry.brings ?? {});
  if (entry.kind !== 'choice') return always;
  const word = String(cell.value);
  const above = entry.likeAbove?.includes(word) ? lookAbove(site, cell) : [];
  return [...always, ...Object.entries(entry.bringsWith?.[word] ?? {}), ...above];
}

/** What a slot looks like at rest at the level above; nothing at the topmost one. */
function lookAbove(site: Site, { owner, slot, level }: CellValue): [id: string, value: Value][] {
  const kind = slotKind(site, { owner, slot });
  const own = levelOf(level);
  const above = kind?.levels.find((one) => one + 1 === own) ?? null;
  if (!kind || above === null) return [];
  return kind.properties.flatMap((id): [string, Value][] => {
    const found = resolve(site, { owner, slot, level: above, property: id, states: [], band: 0 });
    const isSaid = found && !property(id).arranged && !sameJson(found.value, property(id).initial);
    return isSaid ? [[id, found.value]] : [];
  });
}

const indexOfBand = (site: Site, id: string) => site.bands.findIndex((band) => band.id === id);

/** Cells as text: tabs between states, a line for each property, so that any table takes them. */
export function rangeText(site: Site, range: readonly (readonly SheetCell[])[]): string {
  return range.map((row) => row.map((cell) => formatValue(site, cell.resolved.value)).join('\t')).join('\n');
}

/** Draws a call to action in one of its styles, as far as the reach goes. */
export function styleEdit(site: Site, style: ActionStyle): Edit {
  const bench = benchStore.getState();
  const { rest, hover } = ACTION_STYLES[style];
  return setCells(
    Object.entries({ rest, hover }).flatMap(([state, values]) =>
      (Object.entries(values) as [PropertyId, Value][]).map(([id, value]): CellValue => ({
        ...cellOf(site, bench, id, state as State),
        value,
      })),
    ),
  );
}

/** Takes away the values of their own that a range has; null where it has none. */
export function clearRange(range: readonly (readonly SheetCell[])[]): Edit | null {
  const cells = range
    .flat()
    .filter((cell) => cell.own)
    .map((cell): CellValue => ({ ...cell.cell, value: null }));
  return cells.length > 0 ? setCells(cells) : null;
}

/** Gives every cell the value a text is for it; those it is none for stay as they are. */
export function fillEdit(site: Site, text: string, cells: readonly SheetCell[]): Edit {
  const filled = cells.flatMap(({ cell }): CellValue[] => {
    const parsed = parseValue(site, cell.property, text);
    return parsed.ok ? [{ ...cell, value: parsed.value }] : [];
  });
  return setCells(bringing(site, filled));
}

/** The borders of a box, and the sets of them that are given one value together. */
export const BORDER_SETS = [
  { label: 'all four sides', sides: ['lineTop', 'lineEnd', 'lineBottom', 'lineStart'] },
  { label: 'above and beneath', sides: ['lineTop', 'lineBottom'] },
  { label: 'before and behind', sides: ['lineStart', 'lineEnd'] },
] as const satisfies readonly { readonly label: string; readonly sides: readonly PropertyId[] }[];

export const isBorder = (id: PropertyId): boolean => BORDER_SETS[0].sides.some((side) => side === id);

/** Gives several borders the value that one of them has, in the same state and bands. */
export function borderEdit({ cell, resolved }: SheetCell, sides: readonly PropertyId[]): Edit {
  return setCells(sides.map((side): CellValue => ({ ...cell, property: side, value: resolved.value })));
}

/** Takes away what narrower bands say instead of a cell. */
export function exceptionsAway(site: Site, { cell }: SheetCell): Edit {
  const narrower = site.bands.slice(Math.max(0, indexOfBand(site, cell.band)) + 1);
  return {
    name: 'set-look',
    args: { cells: narrower.map((band): CellValue => ({ ...cell, band: band.id, value: null })) },
  };
}

type Band = Site['bands'][number];

/** The band of a page's width whose own value hides what a cell says there; null where none does. */
export function hidingBand(site: Site, { cell, exceptions }: SheetCell, width: number): Band | null {
  const band = site.bands[bandAt(site, width)];
  return band && cell.band !== band.id && exceptions.includes(band.name) ? band : null;
}

export interface PastedRange {
  readonly edit: Edit | null;
  /** Texts that were refused, with the reason. */
  readonly refused: readonly string[];
}

/**
 * Reads pasted text into a range: line by line, tab by tab, from its first cell on. One line fills every line of the
 * range, one text every cell; what does not fit a cell is told and leaves it as it was.
 */
export function pasteRange(site: Site, text: string, range: readonly (readonly SheetCell[])[]): PastedRange {
  const lines = text
    .replace(/\r/g, '')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t'));
  const refused: string[] = [];
  const cells: CellValue[] = [];
  range.forEach((row, y) => {
    const line = lines.length === 1 ? lines[0] : lines[y];
    row.forEach((cell, x) => {
      const typed = line?.length === 1 ? line[0] : line?.[x];
      if (typed === undefined || typed.trim() === '') return;
      const parsed = parseValue(site, cell.cell.property, typed);
      if (parsed.ok) cells.push({ ...cell.cell, value: parsed.value });
      else refused.push(`${property(cell.cell.property).label}, ${cell.cell.state}: ${parsed.error}`);
    });
  });
  return { edit: cells.length > 0 ? setCells(bringing(site, cells)) : null, refused };
}

/** Puts everything one slot's look says at a level on another slot: what that one cannot wear is left out. */
export function copyLook(
  site: Site,
  from: SlotRef,
  fromLevel: LevelKey,
  to: SlotRef,
  toLevel: LevelKey,
  lookOf: (ref: SlotRef) => object,
): Edit | null {
  const kind = slotKind(site, to);
  const target = lookOf(to) as Looks;
  const source = (lookOf(from) as Looks)[fromLevel] ?? {};
  if (!kind) return null;
  const cleared = eachValue(target[toLevel] ?? {}).map(({ state, band, id }): CellValue => ({
    ...to,
    property: id,
    level: toLevel,
    state,
    band,
    value: null,
  }));
  const set = eachValue(source).flatMap(({ state, band, id, value }): CellValue[] => {
    const fits =
      kind.states.includes(state) && kind.properties.includes(id) && acceptsValue(property(id), value);
    return fits ? [{ ...to, property: id, level: toLevel, state, band, value }] : [];
  });
  return cleared.length + set.length > 0 ? setCells([...cleared, ...set]) : null;
}

type Looks = Readonly<
  Record<
    string,
    Readonly<Record<string, Readonly<Record<string, Readonly<Record<string, unknown>>>>>> | undefined
  >
>;
type Found = Pick<CellValue, 'state' | 'band'> & {
  readonly id: CellValue['property'];
  readonly value: NonNullable<CellValue['value']>;
};

function eachValue(
  states: Readonly<Record<string, Readonly<Record<string, Readonly<Record<string, unknown>>>>>>,
): Found[] {
  return Object.entries(states).flatMap(([state, bands]) =>
    Object.entries(bands).flatMap(([band, values]) =>
      Object.entries(values).map(([id, value]) => ({ state, band, id, value }) as Found),
    ),
  );
}

/** The calls to action of a menu's placement, and what draws them in its bar where the menu is folded away. */
interface KeptActions {
  readonly part: MenuPart;
  readonly region: Region;
  readonly items: readonly MenuItem[];
  readonly buttons: readonly Part[];
  /** Ids of the bands in which the menu is folded away. */
  readonly bands: readonly string[];
}

/** What of a menu's placement is, or can be, kept in the bar; null for anything else. */
export function keptActions(site: Site, owner: string): KeptActions | null {
  const placed = findPlaced(site, owner);
  if (placed?.part.kind !== 'menu') return null;
  const { part, piece, region } = placed;
  const from = part.folds?.tight === true ? -1 : site.bands.findIndex(({ id }) => id === part.folds?.from);
  const items = shownItems(site, part).filter(({ role }) => role === 'action');
  const buttons = partsOf(site, piece).filter(
    (other) => other.kind === 'button' && items.some(({ id }) => id === other.item),
  );
  return {
    part,
    region,
    items,
    buttons,
    bands: from === -1 ? [] : site.bands.slice(from).map(({ id }) => id),
  };
}

/** Keeps a menu's calls to action in the bar where the menu folds away, or lets them fold again; null where nothing folds. */
export function keepActionsEdit(site: Site, owner: string): Edit | null {
  const kept = keptActions(site, owner);
  if (!kept) return null;
  if (kept.buttons.length > 0)
    return several(kept.buttons.map(({ id }) => ({ name: 'remove-part', args: { id } })));
  const { part, region, items, bands } = kept;
  const index = region.parts.findIndex(({ id }) => id === part.id) + 1;
  if (bands.length === 0 || items.length === 0) return null;
  const taken = new Set(idsOf(site));
  return several(
    items.flatMap((item, place): SingleEdit[] => {
      const id = uniqueName('kept', taken);
      taken.add(id);
      return [
        {
          name: 'add-part',
          args: {
            place: { region: region.id, index: index + place },
            part: makePart('button', id, { item: item.id, label: item.label, bands, look: {} }),
          },
        },
        {
          name: 'set-same-look',
          args: { owner: id, slot: 'button', as: { owner: part.id, slot: 'action' } },
        },
      ];
    }),
  );
}

const several = (edits: readonly SingleEdit[]): Edit => ({ name: 'several', args: { edits } });
