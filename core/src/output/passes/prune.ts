import { memoise } from '../../base/memo.ts';
import type { SlotLook, Values } from '../../model/look.ts';
import { property, type PropertyId } from '../../kinds/properties/properties.ts';
import type { Site } from '../../kinds/site.ts';
import type { SlotKind } from '../../model/slot.ts';
import {
  itemOf,
  itemsIn,
  keysIn,
  LEVEL_KEYS,
  STATES,
  type Level,
  type LevelKey,
  type State,
} from '../../model/states.ts';
import type { Value } from '../../values/values.ts';
import { sameJson } from '../../base/json.ts';
import { bandKeys, fallbackValue, followType, holderOf, levelKeys } from '../../resolve/resolve.ts';

/** One value as it will be declared: under a level, a state and a band. */
export interface Candidate {
  readonly property: PropertyId;
  readonly level: LevelKey;
  readonly state: State;
  readonly band: string;
  readonly value: Value;
}

const placesOf = memoise(
  (kind: SlotKind): ReadonlyMap<string, number> => new Map(kind.properties.map((id, index) => [id, index])),
);

/** The properties a cell says something about, in the catalogue's order. */
function inOrder(kind: SlotKind, values: Values): PropertyId[] {
  const places = placesOf(kind);
  return (Object.keys(values) as PropertyId[])
    .filter((id) => places.has(id))
    .sort((a, b) => (places.get(a) ?? 0) - (places.get(b) ?? 0));
}

/** Where a cell stands in the order that makes the later one win: state, then level, then band. */
export function rankOf(
  site: Site,
  { state, level, band }: Pick<Candidate, 'state' | 'level' | 'band'>,
): number {
  const bands = site.bands.findIndex((entry) => entry.id === band) + 1;
  const place = itemOf(level) === null ? LEVEL_KEYS.indexOf(level) : LEVEL_KEYS.length;
  return (STATES.indexOf(state) * (LEVEL_KEYS.length + 1) + place) * (site.bands.length + 1) + bands;
}

/** All values of a slot's look in the order that makes the later one win: state, then level, then band. */
export function listCandidates(site: Site, kind: SlotKind, look: SlotLook): Candidate[] {
  const levels = keysIn(look);
  const candidates: Candidate[] = [];
  if (levels.length === 0) return candidates;
  const bands = ['all', ...site.bands.map((band) => band.id)];
  for (const state of STATES) {
    for (const level of levels) {
      const byBand = look[level]?.[state];
      if (!byBand) continue;
      for (const band of bands) {
        const values = byBand[band];
        if (!values) continue;
        for (const property of inOrder(kind, values)) {
          const value = values[property];
          if (value !== undefined)
            candidates.push({ property, level, state, band, value: followType(site, property, value) });
        }
      }
    }
  }
  return withFocusRings(candidates);
}

/**
 * The ring of focus stands before what a weaker state says, so it is said again where one does. The weaker states come
 * first in the list, focus and pressed after.
 */
function withFocusRings(candidates: Candidate[]): Candidate[] {
  const asked = new Set<PropertyId>();
  let weaker = candidates.findIndex(({ state }) => !isWeakerThanFocus(state));
  if (weaker === -1) weaker = candidates.length;
  for (let place = 0; place < weaker; place++) {
    const { property: id } = candidates[place] as Candidate;
    if (property(id).inFocus !== undefined) asked.add(id);
  }
  if (asked.size === 0) return candidates;
  for (const { property: id, state, level, band } of candidates)
    if (state === 'focus' && level === 'all' && band === 'all') asked.delete(id);
  const rings = [...asked].map((id): Candidate => {
    const value = property(id).inFocus as Value;
    return { property: id, level: 'all', state: 'focus', band: 'all', value };
  });
  return [...candidates.slice(0, weaker), ...rings, ...candidates.slice(weaker)];
}

const isWeakerThanFocus = (state: State) => STATES.indexOf(state) < STATES.indexOf('focus');

/** The level keys of every level, and every single link, that a candidate reaches. */
function* reach(
  kind: SlotKind,
  look: SlotLook,
  candidate: Candidate,
): Generator<{ readonly level: Level | null; readonly keys: readonly LevelKey[] }> {
  const items = itemsIn(look);
  for (const level of kind.levels.length === 0 ? [null] : kind.levels) {
    const keys = levelKeys(level);
    if (keys.includes(candidate.level)) yield { level, keys };
    for (const item of items) {
      const ofItem = levelKeys(level, item);
      if (ofItem.includes(candidate.level)) yield { level, keys: ofItem };
    }
  }
}

/** Values that are said of one property, those that have been dropped left out. */
type Said = ReadonlySet<Candidate>;

/** What is said of a property in one state where some levels and bands reach, the nearest first; not what is left out. */
function saidAt(
  said: Said,
  levels: readonly LevelKey[],
  state: State,
  bands: readonly string[],
  without: Candidate | null = null,
): Candidate | undefined {
  let nearest: Candidate | undefined;
  let least = Infinity;
  for (const candidate of said) {
    if (candidate === without || candidate.state !== state) continue;
    const level = levels.indexOf(candidate.level);
    const band = bands.indexOf(candidate.band);
    const distance = level * bands.length + band;
    if (level === -1 || band === -1 || distance >= least) continue;
    nearest = candidate;
    least = distance;
  }
  return nearest;
}

/**
 * Whether a candidate changes nothing: wherever it would win, what would apply without it has the same value, in
 * every combination of the weaker states.
 */
function isRedundant(
  site: Site,
  kind: SlotKind,
  look: SlotLook,
  candidate: Candidate,
  said: Said,
  baseAt: (level: Level | null) => Value | null,
): boolean {
  const { state, value } = candidate;
  for (const { level, keys } of reach(kind, look, candidate)) {
    for (const bands of bandKeys(site)) {
      if (saidAt(said, keys, state, bands) !== candidate) continue;
      const next = saidAt(said, keys, state, bands, candidate);
      if (next) {
        if (!sameJson(next.value, value)) return false;
        continue;
      }
      for (const weaker of STATES) {
        if (weaker === state) break;
        const found = saidAt(said, keys, weaker, bands);
        if (found && !sameJson(found.value, value)) return false;
      }
      const isBare = state === 'rest' || !saidAt(said, keys, 'rest', bands);
      if (isBare && !sameJson(baseAt(level), value)) return false;
    }
  }
  return true;
}

/** The candidates of each property. */
function byProperty(candidates: readonly Candidate[]): ReadonlyMap<PropertyId, Set<Candidate>> {
  const found = new Map<PropertyId, Set<Candidate>>();
  for (const candidate of candidates) {
    const known = found.get(candidate.property);
    if (known) known.add(candidate);
    else found.set(candidate.property, new Set([candidate]));
  }
  return found;
}

/** Whether anything else says the same: without that, nothing could stand in for a candidate. */
function isRepeated(candidate: Candidate, said: Said, bases: readonly (Value | null)[]): boolean {
  const isSame = (value: Value | null) => sameJson(candidate.value, value);
  if (bases.some(isSame)) return true;
  for (const other of said) if (other !== candidate && isSame(other.value)) return true;
  return false;
}

const levelsSaid = memoise((kind: SlotKind): readonly (Level | null)[] => [
  null,
  ...Object.keys(kind.atLevel ?? {}).map((level) => Number(level) as Level),
]);

/** Drops every candidate that changes nothing, so that the stylesheet says each thing once. */
export function pruneCandidates(
  site: Site,
  kind: SlotKind,
  look: SlotLook,
  candidates: readonly Candidate[],
): Candidate[] {
  const together = byProperty(candidates);
  return candidates.filter((candidate) => {
    const { property: id } = candidate;
    // What the ring of focus stands before is no rival that could make it redundant.
    if (property(id).inFocus !== undefined) return true;
    // What is inherited from the slot around may be anything.
    const isHeld = holderOf(kind, id) !== null;
    const baseAt = (level: Level | null) => (isHeld ? null : fallbackValue(site, kind, id, level).value);
    const bases = isHeld ? [] : levelsSaid(kind).map(baseAt);
    const said = together.get(id) as Set<Candidate>;
    const redundant =
      isRepeated(candidate, said, bases) && isRedundant(site, kind, look, candidate, said, baseAt);
    if (redundant) said.delete(candidate);
    return !redundant;
  });
}
