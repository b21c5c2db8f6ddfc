import { sameJson } from '../base/json.ts';
import { memoise } from '../base/memo.ts';
import { levelsOf } from '../kinds/placed.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import type { SlotKind } from '../model/slot.ts';
import { levelKey, type LevelKey } from '../model/states.ts';
import { styleRule, type ConditionalRule, type Declaration } from '../print/trees.ts';
import { fallbackValue, holderOf } from '../resolve/resolve.ts';
import type { Value } from '../values/values.ts';
import type { CompileContext } from './context.ts';
import { declare, isWeakest } from './declare.ts';
import type { Candidate } from './passes/prune.ts';
import { selectorAt, type SlotPlace } from './slot-place.ts';

/** The text properties every slot inherits from the root. */
export type InheritedBase = { readonly [P in PropertyId]?: Value };

/** What a slot says of itself at one level, or at all of them, unless its look says otherwise. */
interface Default {
  readonly id: PropertyId;
  readonly level: LevelKey;
  readonly declarations: readonly Declaration[];
}

/** What a slot says of itself, as it was declared. */
export type Defaults = readonly Default[];

/** The properties a slot may have to say without a look: those with a default, those of type, those the root inherits to it, networks’ colours. */
const baseProperties = memoise((kind: SlotKind): readonly PropertyId[] =>
  kind.properties.filter((id) => {
    const entry = property(id);
    if (entry.on !== undefined || entry.arranged || holderOf(kind, id) !== null) return false;
    return (
      kind.defaults[id] !== undefined || entry.typed === true || entry.inherited === true || id === 'fill'
    );
  }),
);

/**
 * What a slot has where its look says nothing. Inherited properties equal to the root's are left to inheritance,
 * others equal to the reset to the reset.
 */
export function defaultsOf(context: CompileContext, place: SlotPlace, inherited: InheritedBase): Defaults {
  const { kind, owner, slot } = place;
  const within = kind.inside ?? kind.inherits;
  const found: Default[] = [];
  for (const id of baseProperties(kind)) {
    const { initial, inherited: isInherited } = property(id);
    const { value } = fallbackValue(context.site, kind, id);
    const given = !isInherited ? initial : within === undefined ? (inherited[id] ?? initial) : undefined;
    if (given !== undefined && sameJson(given, value) && place.variable(id) === null) continue;
    found.push({ id, level: 'all', declarations: declare(context, place, id, value) });
  }
  if (kind.atLevel === undefined) return found;
  for (const level of levelsOf(context.site, owner, slot))
    for (const [id, value] of Object.entries(kind.atLevel[level] ?? {}) as [PropertyId, Value][])
      if (!property(id).arranged)
        found.push({ id, level: levelKey(level), declarations: declare(context, place, id, value) });
  return found;
}

/** Rules of what a slot says of itself where its look does not say otherwise, at rest and at all widths. */
export function defaultRules(
  context: CompileContext,
  place: SlotPlace,
  defaults: Defaults,
  candidates: readonly Candidate[],
): ConditionalRule[] {
  const replaced = new Map<PropertyId, LevelKey[]>();
  for (const { property: id, state, band, level } of candidates) {
    if (state !== 'rest' || band !== 'all') continue;
    const levels = replaced.get(id);
    if (levels) levels.push(level);
    else replaced.set(id, [level]);
  }
  const byLevel = new Map<LevelKey, Declaration[]>();
  for (const { id, level, declarations } of defaults) {
    const levels = replaced.get(id);
    // A value that the look replaces at all widths never shows.
    if (levels && (levels.includes('all') || levels.includes(level))) continue;
    const said = byLevel.get(level);
    if (said) said.push(...declarations);
    else byLevel.set(level, [...declarations]);
  }
  const rules: ConditionalRule[] = [];
  for (const [level, declarations] of byLevel)
    if (declarations.length > 0)
      rules.push(styleRule(selectorAt(context, place, level, 'rest'), declarations));
  return rules;
}

/** Whether a slot has a default of its own for single levels. */
const saysAtLevel = ({ atLevel }: SlotKind, id: PropertyId): boolean =>
  atLevel !== undefined && Object.values(atLevel).some((values) => values[id] !== undefined);

/** Whether a value says what its slot has from the root or the reset anyway, and nothing weaker says otherwise. */
export function isGiven(
  { kind, variable, contained }: SlotPlace,
  candidate: Candidate,
  inherited: InheritedBase,
): boolean {
  const { property: id, value } = candidate;
  if (!isWeakest(candidate)) return false;
  // A contained row's padding grows from nothing too.
  if (id === 'paddingInline' && contained !== null) return false;
  const entry = property(id);
  if (saysAtLevel(kind, id) || entry.on !== undefined || variable(id) !== null) return false;
  if (entry.inherited && (kind.inside ?? kind.inherits) !== undefined) return false;
  return sameJson(value, (entry.inherited ? inherited[id] : undefined) ?? entry.initial);
}
