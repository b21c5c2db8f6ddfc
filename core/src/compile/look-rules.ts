import { slotsOf } from '../document/catalogue.ts';
import { property, type PropertyId } from '../document/properties.ts';
import type { SlotKind } from '../document/slot.ts';
import type { Piece } from '../document/piece.ts';
import type { Value } from '../document/values.ts';
import { ownersOf, placedParts, type Owner } from '../document/walk.ts';
import { wearsSlot } from '../document/worn.ts';
import { bandEnd, fallbackValue } from '../resolve/resolve.ts';
import { sameJson } from '../base/json.ts';
import type { Look } from '../document/look.ts';
import type { Site } from '../document/site.ts';
import type { CompileContext } from './context.ts';
import { listCandidates, pruneCandidates, type Candidate } from './passes/prune.ts';
import { slotSelector, stateMedia } from './selectors.ts';
import { rule, type ConditionalRule, type Declaration } from './trees.ts';
import { valueCss } from './values.ts';

/** The owners whose looks style this header: itself, its rows and parts, and the panel it folds into. */
export function styledOwners(context: CompileContext): Owner[] {
  const panels = new Set<Piece>(context.panels);
  const owners = [...ownersOf(context.site).values()];
  return owners.filter((owner) => {
    if (panels.has(owner.piece)) return true;
    return owner.piece === context.header && (owner.kind !== 'opener' || context.fold !== null);
  });
}

function bandMedia(context: CompileContext, band: string): readonly string[] {
  const index = context.site.bands.findIndex((entry) => entry.id === band);
  const end = index === -1 ? null : bandEnd(context.site, index);
  return end === null ? [] : [`@media (width < ${end + 1}px)`];
}

const declare = (context: CompileContext, id: PropertyId, value: Value): Declaration =>
  [property(id).css, valueCss(context, id, value)];

/**
 * What a slot has where its look says nothing. Inherited properties equal to the root's are left to inheritance,
 * others equal to the reset to the reset.
 */
function baseDeclarations(context: CompileContext, kind: SlotKind, candidates: readonly Candidate[], inherited: InheritedBase): Declaration[] {
  return kind.properties.flatMap((id): Declaration[] => {
    const entry = property(id);
    const { value } = fallbackValue(context.site, kind, id);
    const given = entry.inherited ? inherited[id] : entry.initial;
    if (given !== undefined && sameJson(given, value)) return [];
    // A value that the look replaces for every level at all widths never shows.
    const replaced = candidates.some((own) => own.property === id && own.state === 'rest' && own.level === 'all' && own.band === 'all');
    return replaced ? [] : [declare(context, id, value)];
  });
}

/** The text properties every slot inherits from the root. */
export type InheritedBase = { readonly [P in PropertyId]?: Value };

function slotRules(context: CompileContext, owner: Owner, slot: string, kind: SlotKind, inherited: InheritedBase): ConditionalRule[] {
  const look = owner.look[slot] ?? {};
  const candidates = pruneCandidates(context.site, kind, look, listCandidates(context.site, kind, look));
  const groups = new Map<string, { at: Candidate; declarations: Declaration[] }>();
  for (const candidate of candidates) {
    const key = `${candidate.state} ${candidate.level} ${candidate.band}`;
    const group = groups.get(key) ?? { at: candidate, declarations: [] };
    group.declarations.push(declare(context, candidate.property, candidate.value));
    groups.set(key, group);
  }
  const base = baseDeclarations(context, kind, candidates, inherited);
  const first = groups.get('rest all all');
  const start = [...base, ...(first?.declarations ?? [])];
  groups.delete('rest all all');
  return [
    ...(start.length > 0 ? [rule(slotSelector(context, owner, slot, 'all', 'rest'), start)] : []),
    ...[...groups.values()].map(({ at, declarations }) =>
      rule(slotSelector(context, owner, slot, at.level, at.state), declarations, ...stateMedia(context, at.state), ...bandMedia(context, at.band))),
  ];
}

/** What an owner's rules were made from besides its look. */
interface Made {
  readonly bands: Site['bands'];
  readonly typeStyles: Site['typeStyles'];
  readonly key: string;
  readonly rules: readonly ConditionalRule[];
}

/** An edit leaves every other look the same object, and its rules with it. */
const madeByLook = new WeakMap<Look, Made>();

/** The slots of an owner that are there: a menu's are where one of its links has them. */
function wornSlots(site: Site, owner: Owner): [slot: string, kind: SlotKind][] {
  const slots = Object.entries(slotsOf(owner.kind));
  const part = owner.kind === 'menu' ? placedParts(site).find((placed) => placed.part.id === owner.id)?.part : undefined;
  return part?.kind === 'menu' ? slots.filter(([slot]) => wearsSlot(site, part, slot)) : slots;
}

function ownerRules(context: CompileContext, owner: Owner, inherited: InheritedBase, inheritedKey: string): readonly ConditionalRule[] {
  const { bands, typeStyles } = context.site;
  const slots = wornSlots(context.site, owner);
  const key = `${slots.map(([slot]) => slot).join()} ${owner.id} ${context.names.slotClass(owner.id, '')} ${context.pinnable} ${inheritedKey}`;
  const made = madeByLook.get(owner.look);
  if (made?.bands === bands && made.typeStyles === typeStyles && made.key === key) return made.rules;
  const rules = slots.flatMap(([slot, kind]) => slotRules(context, owner, slot, kind, inherited));
  madeByLook.set(owner.look, { bands, typeStyles, key, rules });
  return rules;
}

/** The rules of all looks. A slot's rules stand together, in the order `resolve` ranks them. */
export function lookRules(context: CompileContext, inherited: InheritedBase): ConditionalRule[] {
  const inheritedKey = JSON.stringify(inherited);
  return styledOwners(context).flatMap((owner) => ownerRules(context, owner, inherited, inheritedKey));
}
