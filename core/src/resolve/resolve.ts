import { memoise } from '../base/memo.ts';
import type { SlotLook, SlotRef, Values } from '../model/look.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import type { Piece, Site } from '../kinds/site.ts';
import type { SlotKind } from '../model/slot.ts';
import { itemKey, levelKey, STATES, type Level, type LevelKey, type State } from '../model/states.ts';
import { isTypeLink, type Value } from '../values/values.ts';
import { ownersOf, slotKind } from '../kinds/placed.ts';
import { slotAround } from '../kinds/wearers.ts';
import { MENU_SLOTS } from '../kinds/parts/menu/slots.ts';

/**
 * Where a value comes from: a cell of the look (`as`: of the slot it looks the same as), the slot it stands in, the
 * ring of focus, a type style, the slot's own default (often a role), or the reset.
 */
export type Origin =
  | {
      readonly kind: 'look';
      readonly level: LevelKey;
      readonly state: State;
      readonly band: string;
      readonly as?: SlotRef;
    }
  | { readonly kind: 'holder'; readonly slot: string; readonly from: Origin }
  | { readonly kind: 'focus-ring' }
  | { readonly kind: 'type-style'; readonly id: string }
  | { readonly kind: 'slot-default' }
  | { readonly kind: 'initial' };

export interface Resolved {
  /** The value itself; a link to a type style is followed. */
  readonly value: Value;
  readonly origin: Origin;
  /** Id of the type style the value is linked to. */
  readonly type?: string;
}

/** What a value is asked for. `level` null outside menus; `states` beyond rest that apply; `band` an index, 0 the widest. */
export interface Question extends SlotRef {
  readonly property: PropertyId;
  readonly level: Level | null;
  /** Id of the link it is asked for, where it is not asked for all of its level. */
  readonly item?: string;
  readonly states: readonly State[];
  readonly band: number;
}

const TYPE_FIELDS = { family: 'family', size: 'size', weight: 'weight' } as const satisfies Partial<
  Record<PropertyId, string>
>;

/** States strongest first. */
const STRONGEST_FIRST = [...STATES].reverse();
const AT_REST: readonly State[] = ['rest'];

const keysOfBands = memoise((bands: Site['bands']): readonly (readonly string[])[] =>
  bands.map((_, index) => [
    ...bands
      .slice(0, index + 1)
      .reverse()
      .map((band) => band.id),
    'all',
  ]),
);

/** The band keys that reach a band, nearest first: itself, the wider ones, then all widths. */
export const bandKeys = (site: Site): readonly (readonly string[])[] => keysOfBands(site.bands);

/** The first own value of one state, level before band. */
export function ownValue(
  slotLook: SlotLook | undefined,
  levels: readonly LevelKey[],
  state: State,
  bands: readonly string[],
  id: PropertyId,
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

/** The level keys that reach a level, or one link of it, nearest first. */
export function levelKeys(level: Level | null, item?: string): readonly LevelKey[] {
  const keys: readonly LevelKey[] = level === null ? ['all'] : [levelKey(level), 'all'];
  return item === undefined ? keys : [itemKey(item), ...keys];
}

/** What applies where no look says anything: the slot's own default, else its type style, else the reset. */
export function fallbackValue(
  site: Site,
  kind: SlotKind,
  id: PropertyId,
  level: Level | null = null,
): Resolved {
  const own = (level === null ? undefined : kind.atLevel?.[level]?.[id]) ?? kind.defaults[id];
  if (own !== undefined) return { value: own, origin: { kind: 'slot-default' } };
  const style =
    kind.typeStyle === undefined ? undefined : site.typeStyles.find((entry) => entry.id === kind.typeStyle);
  if (style && id in TYPE_FIELDS)
    return { value: style[id as keyof typeof TYPE_FIELDS], origin: { kind: 'type-style', id: style.id } };
  return { value: property(id).initial, origin: { kind: 'initial' } };
}

/** Slots that look the same are followed this far; the loader refuses circles. */
const MOST_SAME = 10;

const sameByOwner = memoise(
  (same: Site['sameLooks']) => new Map(same.map((entry) => [`${entry.owner} ${entry.slot}`, entry.as])),
);

/** The slot another one looks the same as, or null. */
export function sameAs(site: Site, { owner, slot }: SlotRef): SlotRef | null {
  return site.sameLooks.length === 0 ? null : (sameByOwner(site.sameLooks).get(`${owner} ${slot}`) ?? null);
}

/** What of some values another slot takes over: not what each says for itself. */
const sharedOnly = (values: Values): Values =>
  Object.fromEntries(Object.entries(values).filter(([id]) => property(id as PropertyId).unshared !== true));

/** What two objects have under each name of either, joined. */
const mergeEntries = <Inner, Joined>(
  first: Readonly<Record<string, Inner>> | undefined,
  second: Readonly<Record<string, Inner>> | undefined,
  join: (first: Inner | undefined, second: Inner | undefined) => Joined,
): Record<string, Joined> => {
  const [a, b] = [new Map(Object.entries(first ?? {})), new Map(Object.entries(second ?? {}))];
  return Object.fromEntries(
    [...new Map([...a, ...b]).keys()].map((name) => [name, join(a.get(name), b.get(name))]),
  );
};

/** Two looks in one: what `own` says goes before what `shared` says in the same cell. */
function layLooks(own: SlotLook, shared: SlotLook): SlotLook {
  return mergeEntries(shared, own, (states, ownStates) =>
    mergeEntries(states, ownStates, (bands, ownBands) =>
      mergeEntries(bands, ownBands, (values, ownValues) => ({ ...sharedOnly(values ?? {}), ...ownValues })),
    ),
  );
}

const layLooksOnce = memoise((own: SlotLook) => {
  const known = new WeakMap<SlotLook, SlotLook>();
  return (shared: SlotLook): SlotLook => {
    const laid = known.get(shared) ?? layLooks(own, shared);
    known.set(shared, laid);
    return laid;
  };
});

const NO_LOOK: SlotLook = {};

/** Everything a slot's look says, with what it shares with another one. */
export function effectiveLook(site: Site, ref: SlotRef, depth = 0): SlotLook {
  const own = ownersOf(site).get(ref.owner)?.look[ref.slot] ?? NO_LOOK;
  const as = depth > MOST_SAME ? null : sameAs(site, ref);
  return as ? layLooksOnce(own)(effectiveLook(site, as, depth + 1)) : own;
}

/** The values of one state, then of weaker ones, until one is found; in focus the ring stands before weaker states. */
function lookValue(site: Site, slotLook: SlotLook, question: Question): Resolved | null {
  const levels = levelKeys(question.level, question.item);
  const bands = bandKeys(site)[question.band] ?? ['all'];
  const { inFocus } = property(question.property);
  const states = question.states.length === 0 ? AT_REST : STRONGEST_FIRST;
  for (const state of states) {
    if (state !== 'rest' && !question.states.includes(state)) continue;
    const own = ownValue(slotLook, levels, state, bands, question.property);
    if (own) return own;
    if (state === 'focus' && inFocus !== undefined) return { value: inFocus, origin: { kind: 'focus-ring' } };
  }
  return null;
}

/** A value with its link to a type style followed; one to a style that is gone leads to the property's initial value. */
export function followType(site: Site, id: PropertyId, value: Value): Value {
  if (!isTypeLink(value)) return value;
  const style = site.typeStyles.find((entry) => entry.id === value.type);
  return style && id in TYPE_FIELDS ? style[id as keyof typeof TYPE_FIELDS] : property(id).initial;
}

function linked(site: Site, id: PropertyId, found: Resolved | null): Resolved | null {
  if (!found || !isTypeLink(found.value)) return found;
  return { ...found, value: followType(site, id, found.value), type: found.value.type };
}

/** The slot that this one takes a property from, as CSS inherits it; null where it has its own. */
export function holderOf(kind: SlotKind, id: PropertyId): string | null {
  const holder = kind.inside ?? kind.inherits;
  return holder !== undefined && property(id).inherited === true && kind.defaults[id] === undefined
    ? holder
    : null;
}

const INITIAL: Origin = { kind: 'initial' };

/** The properties of text that everything in our pieces inherits. */
export const BASE_TEXT = ['colour', 'family', 'size', 'weight', 'tracking'] as const;
type BaseText = (typeof BASE_TEXT)[number];

/** The id of the first menu in some pieces; null where none is placed there. */
function firstMenu(site: Site, pieces: readonly Piece[]): string | null {
  for (const { id, kind, piece } of ownersOf(site).values())
    if (kind === 'menu' && pieces.includes(piece)) return id;
  return null;
}

/** What all text in some pieces inherits of a property: that of the first menu's links at rest, as they are the most. */
export function baseText(site: Site, pieces: readonly Piece[], id: BaseText): Value {
  const fallback = fallbackValue(site, MENU_SLOTS.link, id).value;
  const menu = firstMenu(site, pieces);
  if (menu === null) return fallback;
  const question = { owner: menu, slot: 'link', property: id, level: null, states: [], band: 0 };
  return resolve(site, question)?.value ?? fallback;
}

/** Whether the slot around one says nothing of a property, so that what all text inherits is handed on. */
function isHandedOn(site: Site, { owner, property: id }: Question, holder: string): boolean {
  const around = slotKind(site, { owner, slot: holder });
  return BASE_TEXT.some((one) => one === id) && around?.properties.includes(id) === false;
}

/**
 * The single answer to "what applies here". Candidates are ordered by state (pressed before focus, hover, open,
 * current, scrolled, rest), then level (this one before all), then band (this one, then the next wider); without
 * one, the slot it stands in, slot default or type style, then the catalogue. Null where the slot does not exist.
 */
export function resolve(site: Site, question: Question): Resolved | null {
  const kind = slotKind(site, question);
  if (!kind) return null;
  const found = linked(site, question.property, lookValue(site, effectiveLook(site, question), question));
  if (found) {
    const shared = found.origin.kind === 'look' ? sharedFrom(site, question, found.origin) : null;
    return shared && found.origin.kind === 'look'
      ? { ...found, origin: { ...found.origin, as: shared } }
      : found;
  }
  const usual = holderOf(kind, question.property);
  if (usual !== null) {
    // Only a single link can have a role.
    const holder = question.item === undefined ? usual : (slotAround(site, question) ?? usual);
    // A slot within another one has its states only where it stands inside the control itself.
    const states =
      kind.inside === undefined ? question.states.filter((state) => state === 'scrolled') : question.states;
    const inherited = isHandedOn(site, question, holder)
      ? { value: baseText(site, site.pieces, question.property as BaseText), origin: INITIAL }
      : resolve(site, { ...question, slot: holder, states });
    if (inherited) return { ...inherited, origin: { kind: 'holder', slot: holder, from: inherited.origin } };
  }
  return fallbackValue(site, kind, question.property, question.level);
}

/** The slot whose look a value was taken from, where it is not the slot's own. */
function sharedFrom(
  site: Site,
  question: Question,
  { level, state, band }: Extract<Origin, { kind: 'look' }>,
): SlotRef | null {
  let at: SlotRef = question;
  for (let step = 0; step <= MOST_SAME; step++) {
    if (
      ownersOf(site).get(at.owner)?.look[at.slot]?.[level]?.[state]?.[band]?.[question.property] !== undefined
    )
      return step === 0 ? null : { owner: at.owner, slot: at.slot };
    const as = sameAs(site, at);
    if (!as) return null;
    at = as;
  }
  return null;
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
