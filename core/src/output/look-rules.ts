import { slotsOf } from '../kinds/catalogue.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import type { SlotKind } from '../model/slot.ts';
import type { Piece } from '../kinds/piece.ts';
import type { Social } from '../kinds/parts/social.ts';
import type { State } from '../model/states.ts';
import type { Row } from '../kinds/pieces/header.ts';
import type { Value } from '../values/values.ts';
import { findPart, ownersOf, type Owner } from '../kinds/walk.ts';
import { wearsSlot } from '../kinds/worn.ts';
import { bandEnd, effectiveLook, fallbackValue, holderOf, sameAs } from '../resolve/resolve.ts';
import { sameJson } from '../base/json.ts';
import { memoise } from '../base/memo.ts';
import type { Look, SlotLook } from '../model/look.ts';
import type { Site } from '../model/site.ts';
import { folded, unfolded } from './media.ts';
import type { CompileContext } from './context.ts';
import { MARK_IDS, readMarks, type Marks } from './marks.ts';
import { listCandidates, pruneCandidates, type Candidate } from './passes/prune.ts';
import { slotSelector, stateMedia } from './selectors.ts';
import { rule, type ConditionalRule, type Declaration } from '../print/trees.ts';
import { valueDeclarations } from './values.ts';

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

/** What the declarations of one slot need to know. */
interface SlotContext {
  readonly context: CompileContext;
  readonly owner: Owner;
  readonly slot: string;
  readonly kind: SlotKind;
  /** Width in px that a row's content keeps to, or null. */
  readonly contained: number | null;
  readonly marks: Marks | null;
  /** Where the colours of social marks come from. */
  readonly colours: Social['colours'];
}

/** A row whose content is contained grows its padding: its fill goes on to the edges. */
function containedPadding(padding: string, contained: number): string {
  return `max(${padding}, calc(50% - ${contained / 2}px))`;
}

/** The custom property of a network's colour that goes before the look's at rest; null where the look decides. */
function networkVariable({ context, slot, colours }: SlotContext, id: PropertyId): string | null {
  if (slot !== 'profile' || colours === 'look') return null;
  const [mark, ground] = [context.names.variable('network'), context.names.variable('on-network')];
  if (id === 'colour') return colours === 'network' ? mark : ground;
  return id === 'fill' && colours === 'network-ground' ? mark : null;
}

function declare(
  slotContext: SlotContext,
  id: PropertyId,
  value: Value,
  state: State = 'rest',
): Declaration[] {
  const { context, contained } = slotContext;
  const declarations = valueDeclarations(context, id, value);
  const network = state === 'rest' ? networkVariable(slotContext, id) : null;
  if (network !== null)
    return declarations.map(([name, css]): Declaration => [name, `var(${network}, ${css})`]);
  if (id !== 'paddingInline' || contained === null) return declarations;
  return declarations.map(([name, css]): Declaration => [
    name,
    containedPadding(css === '0' ? '0px' : css, contained),
  ]);
}

/** The properties a slot may have to say without a look: those with a default, those of type, those the root inherits to it, networks’ colours. */
const baseProperties = memoise((kind: SlotKind): readonly PropertyId[] =>
  kind.properties.filter((id) => {
    const entry = property(id);
    if (entry.on !== undefined || holderOf(kind, id) !== null) return false;
    return (
      kind.defaults[id] !== undefined || entry.typed === true || entry.inherited === true || id === 'fill'
    );
  }),
);

/**
 * What a slot has where its look says nothing. Inherited properties equal to the root's are left to inheritance,
 * others equal to the reset to the reset.
 */
function baseDeclarations(
  slotContext: SlotContext,
  candidates: readonly Candidate[],
  inherited: InheritedBase,
): Declaration[] {
  const { context, kind } = slotContext;
  const within = kind.inside ?? kind.inherits;
  return baseProperties(kind).flatMap((id): Declaration[] => {
    const entry = property(id);
    const { value } = fallbackValue(context.site, kind, id);
    const given =
      entry.inherited && within === undefined
        ? (inherited[id] ?? entry.initial)
        : entry.inherited
          ? undefined
          : entry.initial;
    if (given !== undefined && sameJson(given, value) && networkVariable(slotContext, id) === null) return [];
    // A value that the look replaces for every level at all widths never shows.
    const replaced = candidates.some(
      (own) => own.property === id && own.state === 'rest' && own.level === 'all' && own.band === 'all',
    );
    return replaced ? [] : declare(slotContext, id, value);
  });
}

/** The text properties every slot inherits from the root. */
export type InheritedBase = { readonly [P in PropertyId]?: Value };

/** Where a candidate's declarations go: the slot, its mark, the line between links, or what moves. */
type Aim = 'slot' | 'mark' | 'between' | 'motion';

function aimOf(id: PropertyId): Aim {
  const { group, on } = property(id);
  if (on !== undefined) return on;
  return group === 'motion' && id !== 'opacity' ? 'motion' : 'slot';
}

const NO_REDUCED_MOTION = '@media (prefers-reduced-motion: no-preference)';

/** The mark's own element. */
const markOf = (selector: string) =>
  selector
    .split(', ')
    .map((one) => `${one}::after`)
    .join(', ');

function betweenRules(
  context: CompileContext,
  selector: string,
  declarations: readonly Declaration[],
  conditions: readonly string[],
): ConditionalRule[] {
  const between = `${selector}>li+li`;
  const lines = (name: string) => declarations.filter(([own]) => own === name);
  const rules = [
    ...unfolded(context, [[between, lines('border-inline-start')]]),
    ...folded(context, [[between, lines('border-block-start')]]),
  ];
  return rules.map((entry) => ({ ...entry, conditions: [...conditions, ...entry.conditions] }));
}

/** Origins that stand at one side stand at the other where text runs from right to left. */
function mirrored(
  selector: string,
  declarations: readonly Declaration[],
  conditions: readonly string[],
): ConditionalRule[] {
  const origin = declarations.find(([name]) => name === 'transform-origin')?.[1];
  if (origin === undefined || origin.startsWith('50%')) return [];
  return [
    rule(
      markOf(`${selector}:where(:dir(rtl))`),
      [['transform-origin', origin.startsWith('0%') ? '100% 50%' : '0% 50%']],
      ...conditions,
    ),
  ];
}

/** The rules of all values that one level, state and band say together. */
function groupRules(slotContext: SlotContext, at: Candidate, group: readonly Candidate[]): ConditionalRule[] {
  const { context, owner, slot, marks } = slotContext;
  const selector = slotSelector(context, owner, slot, at.level, at.state);
  const conditions = [...stateMedia(context, at.state), ...bandMedia(context, at.band)];
  const aimed: Record<Aim, Declaration[]> = { slot: [], mark: [], between: [], motion: [] };
  for (const candidate of group) {
    const drawn =
      candidate.property === 'mark' && marks
        ? marks.declarations(candidate)
        : declare(slotContext, candidate.property, candidate.value, candidate.state);
    aimed[aimOf(candidate.property)].push(...drawn);
  }
  const { slot: own, between, motion } = aimed;
  const mark = marks ? aimed.mark : [];
  return [
    ...(own.length > 0 ? [rule(selector, own, ...conditions)] : []),
    ...(mark.length > 0
      ? [rule(markOf(selector), mark, ...conditions), ...mirrored(selector, mark, conditions)]
      : []),
    ...(between.length > 0 ? betweenRules(context, selector, between, conditions) : []),
    ...(motion.length > 0
      ? [
          rule(
            marks ? `${selector}, ${markOf(selector)}` : selector,
            motion,
            ...conditions,
            NO_REDUCED_MOTION,
          ),
        ]
      : []),
  ];
}

/** What a slot with a mark has besides: a place for it, and its colour where the look names none. */
function markBase(slotContext: SlotContext, candidates: readonly Candidate[]): ConditionalRule[] {
  const { context, owner, slot, kind, marks } = slotContext;
  if (!marks) return [];
  const selector = slotSelector(context, owner, slot, 'all', 'rest');
  const coloured = candidates.some(
    (own) =>
      own.property === 'markColour' && own.state === 'rest' && own.level === 'all' && own.band === 'all',
  );
  const colour = coloured
    ? []
    : [
        rule(
          markOf(selector),
          valueDeclarations(context, 'markColour', fallbackValue(context.site, kind, 'markColour').value),
        ),
      ];
  return [
    rule(selector, [['position', 'relative'], ...(marks.behind ? [['z-index', '0'] as const] : [])]),
    ...colour,
  ];
}

/** Candidates that can show: a header that does not stay is never scrolled, and without a mark nothing of it is drawn. */
function shownCandidates(
  context: CompileContext,
  candidates: readonly Candidate[],
  marks: Marks | null,
): readonly Candidate[] {
  return candidates.filter(
    (candidate) =>
      (candidate.state !== 'scrolled' || context.header.stays) &&
      (marks !== null || !MARK_IDS.includes(candidate.property)),
  );
}

/** The width in px that the content of a row keeps to; null for anything else. */
function containedOf({ id, kind, piece }: Owner): number | null {
  return kind === 'row' && piece.kind === 'header'
    ? (piece.rows.find((row: Row) => row.id === id)?.contained ?? null)
    : null;
}

function slotRules(
  context: CompileContext,
  owner: Owner,
  slot: string,
  kind: SlotKind,
  inherited: InheritedBase,
): ConditionalRule[] {
  const look: SlotLook = effectiveLook(context.site, { owner: owner.id, slot });
  const pruned = pruneCandidates(context.site, kind, look, listCandidates(context.site, kind, look));
  const marks = readMarks(context, pruned);
  const candidates = shownCandidates(context, marks?.candidates ?? pruned, marks);
  const contained = containedOf(owner);
  const part = findPart(context.site, owner.id);
  const slotContext: SlotContext = {
    context,
    owner,
    slot,
    kind,
    contained,
    marks,
    colours: part?.kind === 'social' ? part.colours : 'look',
  };
  const groups = new Map<string, Candidate[]>();
  for (const candidate of candidates) {
    const key = `${candidate.state} ${candidate.level} ${candidate.band}`;
    const group = groups.get(key);
    if (group) group.push(candidate);
    else groups.set(key, [candidate]);
  }
  const base = baseDeclarations(slotContext, candidates, inherited);
  return [
    ...(base.length > 0 ? [rule(slotSelector(context, owner, slot, 'all', 'rest'), base)] : []),
    ...markBase(slotContext, candidates),
    ...[...groups.values()].flatMap((group) => (group[0] ? groupRules(slotContext, group[0], group) : [])),
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
  if (owner.kind === owner.piece.kind || owner.kind === 'row') return slots;
  const part = findPart(site, owner.id);
  return part ? slots.filter(([slot]) => wearsSlot(site, part, slot)) : slots;
}

function ownerRules(
  context: CompileContext,
  owner: Owner,
  inherited: InheritedBase,
  shared: string,
): readonly ConditionalRule[] {
  const { bands, typeStyles } = context.site;
  const slots = wornSlots(context.site, owner);
  const make = () => slots.flatMap(([slot, kind]) => slotRules(context, owner, slot, kind, inherited));
  // A look that follows another one changes with it.
  if (slots.some(([slot]) => sameAs(context.site, { owner: owner.id, slot }) !== null)) return make();
  const part = findPart(context.site, owner.id);
  const key = `${part?.kind === 'social' ? part.colours : ''} ${slots.map(([slot]) => slot).join()} ${owner.id} ${context.names.slotClass(owner.id, '')} ${containedOf(owner) ?? ''} ${shared}`;
  const made = madeByLook.get(owner.look);
  if (made?.bands === bands && made.typeStyles === typeStyles && made.key === key) return made.rules;
  const rules = make();
  madeByLook.set(owner.look, { bands, typeStyles, key, rules });
  return rules;
}

/** The rules of all looks. A slot's rules stand together, in the order `resolve` ranks them. */
export function lookRules(context: CompileContext, inherited: InheritedBase): ConditionalRule[] {
  const shared = `${context.pinnable} ${context.header.stays} ${context.fold?.below ?? ''} ${JSON.stringify(inherited)}`;
  return styledOwners(context).flatMap((owner) => ownerRules(context, owner, inherited, shared));
}
