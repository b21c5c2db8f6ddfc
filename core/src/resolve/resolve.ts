import { memoise } from '../base/memo.ts';
import type { Look, SlotLook, SlotRef } from '../document/look.ts';
import { property, type PropertyId } from '../document/properties.ts';
import type { Site } from '../document/site.ts';
import type { SlotKind } from '../document/slot.ts';
import { STATES, type Level, type LevelKey, type State } from '../document/states.ts';
import type { Value } from '../document/values.ts';
import { ownersOf, slotKind } from '../document/walk.ts';

/** Where a value comes from: a cell of the look, a type style, the slot's own default (often a role), or the reset. */
export type Origin =
  | { readonly kind: 'look'; readonly level: LevelKey; readonly state: State; readonly band: string }
  | { readonly kind: 'type-style'; readonly id: string }
  | { readonly kind: 'slot-default' }
  | { readonly kind: 'initial' };

export interface Resolved {
  readonly value: Value;
  readonly origin: Origin;
}

/** What a value is asked for. `level` null outside menus; `states` beyond rest that apply; `band` an index, 0 the widest. */
export interface Question extends SlotRef {
  readonly property: PropertyId;
  readonly level: Level | null;
  readonly states: readonly State[];
  readonly band: number;
}

const TYPE_FIELDS = { family: 'family', size: 'size', weight: 'weight' } as const satisfies Partial<Record<PropertyId, string>>;

/** States strongest first. */
const STRONGEST_FIRST = [...STATES].reverse();

/** The band keys that reach a band, nearest first: itself, the wider ones, then all widths. */
export const bandKeys = memoise((site: Site): readonly (readonly string[])[] =>
  site.bands.map((_, index) => [...site.bands.slice(0, index + 1).reverse().map((band) => band.id), 'all']),
);

/** The first own value of one state, level before band. */
export function ownValue(
  slotLook: SlotLook | undefined, levels: readonly LevelKey[], state: State, bands: readonly string[], id: PropertyId,
): Resolved | null {
  for (const level of levels) {
    const byBand = slotLook?.[level]?.[state];
    if (!byBand) continue;
    for (const band of bands) {
      const value = byBand[band]?.[id];
      if (value !== undefined) return { value, origin: { kind: 'look', level, state, band } };
    }
  }
  return null;
}

/** The level keys that reach a level, nearest first. */
export function levelKeys(level: Level | null): readonly LevelKey[] {
  return level === null ? ['all'] : [String(level) as LevelKey, 'all'];
}

/** What applies where no look says anything: the slot's own default, else its type style, else the reset. */
export function fallbackValue(site: Site, kind: SlotKind, id: PropertyId): Resolved {
  const own = kind.defaults[id];
  if (own !== undefined) return { value: own, origin: { kind: 'slot-default' } };
  const style = kind.typeStyle === undefined ? undefined : site.typeStyles.find((entry) => entry.id === kind.typeStyle);
  if (style && id in TYPE_FIELDS) return { value: style[id as keyof typeof TYPE_FIELDS], origin: { kind: 'type-style', id: style.id } };
  return { value: property(id).initial, origin: { kind: 'initial' } };
}

function lookOf(site: Site, owner: string): Look {
  return ownersOf(site).get(owner)?.look ?? {};
}

/**
 * The single answer to "what applies here". Candidates are ordered by state (pressed before focus, hover, open,
 * current, scrolled, rest), then level (this one before all), then band (this one, then the next wider); without
 * one, slot default or type style, then the catalogue. Null where the slot does not exist.
 */
export function resolve(site: Site, question: Question): Resolved | null {
  const kind = slotKind(site, question);
  if (!kind) return null;
  const slotLook = lookOf(site, question.owner)[question.slot];
  const levels = levelKeys(question.level);
  const bands = bandKeys(site)[question.band] ?? ['all'];
  if (slotLook) {
    for (const state of STRONGEST_FIRST) {
      if (state !== 'rest' && !question.states.includes(state)) continue;
      const own = ownValue(slotLook, levels, state, bands, question.property);
      if (own) return own;
    }
  }
  return fallbackValue(site, kind, question.property);
}

/** The band a width in px falls into, as an index. */
export function bandAt(site: Site, width: number): number {
  const index = site.bands.findIndex((band) => width >= band.min);
  return index === -1 ? site.bands.length - 1 : index;
}

/** The widest width in px a band reaches, or null for the widest band. */
export function bandEnd(site: Site, index: number): number | null {
  const wider = site.bands[index - 1];
  return wider ? wider.min - 1 : null;
}
