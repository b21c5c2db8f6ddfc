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
import { bandKeys, fallbackValue, followType, holderOf, levelKeys, ownValue } from '../../resolve/resolve.ts';

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
  const bands = ['all', ...site.bands.map((band) => band.id)];
  const candidates: Candidate[] = [];
  for (const state of STATES) {
    for (const level of keysIn(look)) {
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

/** The levels, single links of any level, and bands a candidate reaches. */
function* reach(
  site: Site,
  kind: SlotKind,
  look: SlotLook,
  candidate: Candidate,
): Generator<{ level: Level | null; keys: readonly LevelKey[]; band: number }> {
  const levels = kind.levels.length === 0 ? [null] : kind.levels;
  const items = [undefined, ...itemsIn(look)];
  for (const level of levels) {
    for (const item of items) {
      const keys = levelKeys(level, item);
      if (!keys.includes(candidate.level)) continue;
      for (const [band, reached] of bandKeys(site).entries())
        if (reached.includes(candidate.band)) yield { level, keys, band };
    }
  }
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
  baseAt: (level: Level | null) => Value | null,
): boolean {
  for (const { level, keys, band } of reach(site, kind, look, candidate)) {
    const at = (state: State, without: boolean) => {
      const found = ownValue(
        without ? withoutCandidate(look, candidate) : look,
        keys,
        state,
        bandKeys(site)[band] ?? [],
        candidate.property,
      );
      return found?.value;
    };
    const winner = ownValue(look, keys, candidate.state, bandKeys(site)[band] ?? [], candidate.property);
    if (
      winner?.origin.kind !== 'look' ||
      winner.origin.level !== candidate.level ||
      winner.origin.band !== candidate.band
    )
      continue;
    const next = at(candidate.state, true);
    const weaker = STATES.slice(0, STATES.indexOf(candidate.state))
      .map((state) => at(state, false))
      .filter((value) => value !== undefined);
    const restValue = candidate.state === 'rest' ? undefined : at('rest', false);
    const rivals =
      next === undefined ? [...weaker, ...(restValue === undefined ? [baseAt(level)] : [])] : [next];
    if (!rivals.every((value) => sameJson(value, candidate.value))) return false;
  }
  return true;
}

function withoutCandidate(look: SlotLook, { level, state, band, property }: Candidate): SlotLook {
  const { [property]: _dropped, ...values } = look[level]?.[state]?.[band] ?? {};
  return { ...look, [level]: { ...look[level], [state]: { ...look[level]?.[state], [band]: values } } };
}

/** The candidates of each property. */
function byProperty(candidates: readonly Candidate[]): ReadonlyMap<PropertyId, readonly Candidate[]> {
  const found = new Map<PropertyId, Candidate[]>();
  for (const candidate of candidates) {
    const known = found.get(candidate.property);
    if (known) known.push(candidate);
    else found.set(candidate.property, [candidate]);
  }
  return found;
}

/** Whether anything else says the same: without that, nothing could stand in for a candidate. */
const isRepeated = (
  candidate: Candidate,
  rivals: readonly Candidate[],
  bases: readonly (Value | null)[],
): boolean =>
  bases.some((base) => sameJson(candidate.value, base)) ||
  (rivals.length > 1 &&
    rivals.some((other) => other !== candidate && sameJson(other.value, candidate.value)));

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
  let pruned = look;
  const together = byProperty(candidates);
  return candidates.filter((candidate) => {
    const { property: id } = candidate;
    // What the ring of focus stands before is no rival that could make it redundant.
    if (property(id).inFocus !== undefined) return true;
    // What is inherited from the slot around may be anything.
    const isHeld = holderOf(kind, id) !== null;
    const baseAt = (level: Level | null) => (isHeld ? null : fallbackValue(site, kind, id, level).value);
    const bases = isHeld ? [] : levelsSaid(kind).map(baseAt);
    const redundant =
      isRepeated(candidate, together.get(id) ?? [], bases) &&
      isRedundant(site, kind, pruned, candidate, baseAt);
    if (redundant) pruned = withoutCandidate(pruned, candidate);
    return !redundant;
  });
}
