import { partKind, pieceKind, sectionKind } from '../kinds/catalogue.ts';
import { itemLevels } from '../kinds/content.ts';
import type { MenuPart } from '../kinds/parts/menu/shape.ts';
import { levelsOf, type Owner } from '../kinds/placed.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import type { Part, SectionKindId, Site } from '../kinds/site.ts';
import type { SlotKind } from '../model/slot.ts';
import { itemOf, levelOf, type LevelKey, type State } from '../model/states.ts';
import { bandEnd } from '../resolve/resolve.ts';
import type { CompileContext } from './context.ts';
import { slotSelector, stateMedia } from './selectors.ts';

/**
 * What the rules of a slot need to know beside its look. As long as nothing but looks changes it stays the same, and
 * with it every selector and condition that was asked for.
 */
export interface SlotPlace {
  readonly owner: Owner;
  readonly slot: string;
  readonly kind: SlotKind;
  /** Width in px that its content keeps to, or null. */
  readonly contained: number | null;
  /** The custom property that goes before a value at rest; null where the look decides alone. */
  readonly variable: (id: PropertyId) => string | null;
  /** Whether a level or single link of its look is there. */
  readonly isThere: (key: LevelKey) => boolean;
  readonly selectors: Map<string, string>;
  readonly conditions: Map<string, readonly string[]>;
}

export function placeSlot(context: CompileContext, owner: Owner, slot: string, kind: SlotKind): SlotPlace {
  return {
    owner,
    slot,
    kind,
    contained: containedOf(owner, slot),
    variable: variableOf(context, owner, slot),
    isThere: levelTest(context.site, owner, slot),
    selectors: new Map(),
    conditions: new Map(),
  };
}

/** The selector of a slot for one level and state. */
export function selectorAt(
  context: CompileContext,
  { owner, slot, selectors }: SlotPlace,
  level: LevelKey,
  state: State,
): string {
  const key = state + level;
  const known = selectors.get(key);
  if (known !== undefined) return known;
  const selector = slotSelector(context, owner, slot, level, state);
  selectors.set(key, selector);
  return selector;
}

/** The conditions under which a slot’s values for one state and band hold. */
export function conditionsAt(
  context: CompileContext,
  { owner, conditions }: SlotPlace,
  state: State,
  band: string,
): readonly string[] {
  const key = state + band;
  const known = conditions.get(key);
  if (known) return known;
  const made = [...stateMedia(context, state, owner.piece), ...bandMedia(context.site, band)];
  conditions.set(key, made);
  return made;
}

function bandMedia(site: Site, band: string): readonly string[] {
  const index = site.bands.findIndex((entry) => entry.id === band);
  const end = index === -1 ? null : bandEnd(site, index);
  return end === null ? [] : [`@media (width < ${end + 1}px)`];
}

function levelTest(site: Site, owner: Owner, slot: string): (key: LevelKey) => boolean {
  const levels = levelsOf(site, owner, slot);
  const shown = owner.kind === 'menu' ? itemLevels(site, owner.thing as MenuPart) : null;
  return (key) => {
    const item = itemOf(key);
    if (item !== null) return shown?.has(item) === true;
    const level = levelOf(key);
    return level === null || levels.includes(level);
  };
}

/** The width in px that a slot keeps its content to; null where that grows. */
function containedOf({ sort, kind, thing, piece }: Owner, slot: string): number | null {
  if (sort === 'piece') return pieceKind(piece).contained?.(piece as never, slot) ?? null;
  return sort === 'section' ? (sectionKind(kind as SectionKindId).contained?.(thing as never) ?? null) : null;
}

function variableOf({ names }: CompileContext, { sort, thing }: Owner, slot: string): SlotPlace['variable'] {
  const part = sort === 'part' ? (thing as Part) : null;
  const word = part ? partKind(part).variable : undefined;
  if (!word) return () => null;
  return (id) => {
    const name = word(part as never, slot, id);
    return name === null ? null : names.variable(name);
  };
}
