import { sameJson } from '../base/json.ts';
import { memoise } from '../base/memo.ts';
import { partKind, pieceKind, sectionKind, slotsOf } from '../kinds/catalogue.ts';
import { containedPadding, MAY_MOVE, widely } from '../kinds/out.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import type { Part, SectionKindId, Site } from '../kinds/site.ts';
import { itemLevels } from '../kinds/content.ts';
import type { MenuPart } from '../kinds/parts/menu/shape.ts';
import { findPlaced, hasSlot, levelsOf, ownersOf, type Owner } from '../kinds/placed.ts';
import type { SlotLook } from '../model/look.ts';
import type { SlotKind } from '../model/slot.ts';
import { itemOf, levelKey, levelOf, type LevelKey } from '../model/states.ts';
import { styleRule, type ConditionalRule, type Declaration } from '../print/trees.ts';
import { bandEnd, effectiveLook, fallbackValue, holderOf } from '../resolve/resolve.ts';
import type { Value } from '../values/values.ts';
import { outputOwners, type CompileContext } from './context.ts';
import { declareBeneath, isSaidBeneath } from './hang.ts';
import { MARK_IDS, readMarks, type Marks } from './marks.ts';
import { listCandidates, pruneCandidates, rankOf, type Candidate } from './passes/prune.ts';
import { placeOf, under } from './place.ts';
import { ownDeclarations, ownRules } from './own-css.ts';
import { boxedSlots, slotSelector, stateMedia } from './selectors.ts';
import { valueDeclarations } from './values.ts';

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
  /** Width in px that its content keeps to, or null. */
  readonly contained: number | null;
  readonly marks: Marks | null;
  /** The custom property that goes before a value at rest; null where the look decides alone. */
  readonly variable: (id: PropertyId) => string | null;
}

function declare(
  slotContext: SlotContext,
  id: PropertyId,
  value: Value,
  at: Pick<Candidate, 'state' | 'level' | 'band'> = { state: 'rest', level: 'all', band: 'all' },
): Declaration[] {
  const { context, contained, owner, slot } = slotContext;
  const { state, band } = at;
  const all = valueDeclarations(context, id, value);
  // Corners that are not round are so without a word where nothing weaker could round them.
  const declarations =
    property(id).kind === 'corners' && isWeakest(at) ? all.filter(([, css]) => css !== '0') : all;
  if (isSaidBeneath(context, { owner: owner.id, slot }, id, band))
    return [...declarations, declareBeneath(context, slot, id, value)];
  const before = state === 'rest' ? slotContext.variable(id) : null;
  if (before !== null)
    return declarations.map(([name, css]): Declaration => [name, `var(${before}, ${css})`]);
  if (id !== 'paddingInline' || contained === null) return declarations;
  return declarations.map(([name, css]): Declaration => [name, containedPadding(css, contained)]);
}

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
    if (given !== undefined && sameJson(given, value) && slotContext.variable(id) === null) return [];
    // A value that the look replaces for every level at all widths never shows.
    return isReplaced(candidates, id, 'all') ? [] : declare(slotContext, id, value);
  });
}

/** Whether a slot has a default of its own for single levels. */
const saysAtLevel = ({ atLevel }: SlotKind, id: PropertyId): boolean =>
  Object.values(atLevel ?? {}).some((values) => values[id] !== undefined);

/** The defaults of single levels, where the look does not say otherwise for every level. */
function levelDefaults(slotContext: SlotContext, candidates: readonly Candidate[]): ConditionalRule[] {
  const { context, owner, slot, kind } = slotContext;
  if (kind.atLevel === undefined) return [];
  return levelsOf(context.site, owner, slot).flatMap((level) => {
    const values = Object.entries(kind.atLevel?.[level] ?? {}) as [PropertyId, Value][];
    const declarations = values
      .filter(([id]) => !property(id).arranged && !isReplaced(candidates, id, levelKey(level)))
      .flatMap(([id, value]) => declare(slotContext, id, value));
    const selector = slotSelector(context, owner, slot, levelKey(level), 'rest');
    return declarations.length > 0 ? [styleRule(selector, declarations)] : [];
  });
}

/** Whether the look says a property at rest and at all widths, for every level or a single one. */
const isReplaced = (candidates: readonly Candidate[], id: PropertyId, level: LevelKey): boolean =>
  candidates.some(
    (own) =>
      own.property === id &&
      own.state === 'rest' &&
      own.band === 'all' &&
      (own.level === 'all' || own.level === level),
  );

/** The text properties every slot inherits from the root. */
export type InheritedBase = { readonly [P in PropertyId]?: Value };

/** Whether nothing weaker could say otherwise. */
const isWeakest = ({ state, level, band }: Pick<Candidate, 'state' | 'level' | 'band'>): boolean =>
  state === 'rest' && level === 'all' && band === 'all';

/** Whether a value says what its slot has from the root or the reset anyway, and nothing weaker says otherwise. */
function isGiven(
  { kind, variable, contained }: SlotContext,
  candidate: Candidate,
  inherited: InheritedBase,
): boolean {
  const { property: id, value } = candidate;
  // A contained row's padding grows from nothing too.
  if (id === 'paddingInline' && contained !== null) return false;
  const entry = property(id);
  if (!isWeakest(candidate) || saysAtLevel(kind, id) || entry.on !== undefined || variable(id) !== null)
    return false;
  if (entry.inherited && (kind.inside ?? kind.inherits) !== undefined) return false;
  return sameJson(value, (entry.inherited ? inherited[id] : undefined) ?? entry.initial);
}

/** Where a candidate's declarations go: the slot, always or in a row, its mark or sign, the line between links, what moves, or behind all of it. */
type Aim = 'slot' | 'row' | 'mark' | 'sign' | 'around' | 'between' | 'motion' | 'own';

function aimOf(id: PropertyId): Aim {
  const { on, inRow, moves } = property(id);
  if (on !== undefined) return on;
  if (id === 'ownCss') return 'own';
  return inRow ? 'row' : moves ? 'motion' : 'slot';
}

/** The mark's own element. */
const markOf = (selector: string) =>
  selector
    .split(', ')
    .map((one) => `${one}::after`)
    .join(', ');

/** What holds only where its part stands in a row. */
function rowRules(
  { context, owner }: SlotContext,
  selector: string,
  declarations: readonly Declaration[],
  conditions: readonly string[],
): readonly ConditionalRule[] {
  const placed = findPlaced(context.site, owner.id);
  if (!placed) return [];
  return widely(under([[selector, declarations]], placeOf(context, placed).inRow), conditions);
}

/** The line between links: upright in a row, lying in a panel and in boxes. */
function betweenRules(
  { context, owner, kind }: SlotContext,
  selector: string,
  declarations: readonly Declaration[],
  conditions: readonly string[],
): readonly ConditionalRule[] {
  const between = `${selector}>li+li`;
  const lines = (name: string) => declarations.filter(([own]) => own === name);
  if (kind.holdsLevel) return [styleRule(between, lines('border-block-start'), ...conditions)];
  const placed = findPlaced(context.site, owner.id);
  if (!placed) return [];
  const place = placeOf(context, placed);
  const rules = [
    ...under([[between, lines('border-inline-start')]], place.inRow),
    ...under([[between, lines('border-block-start')]], place.inPanel),
  ];
  return widely(rules, conditions);
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
    styleRule(
      markOf(`${selector}:where(:dir(rtl))`),
      [['transform-origin', origin.startsWith('0%') ? '100% 50%' : '0% 50%']],
      ...conditions,
    ),
  ];
}

/** The rules of all values that one level, state and band say together. */
function groupRules(slotContext: SlotContext, at: Candidate, group: readonly Candidate[]): ConditionalRule[] {
  const { context, owner, slot, kind, marks } = slotContext;
  const selector = slotSelector(context, owner, slot, at.level, at.state);
  const conditions = [...stateMedia(context, at.state, owner.piece), ...bandMedia(context, at.band)];
  const aimed: Record<Aim, Declaration[]> = {
    slot: [],
    row: [],
    mark: [],
    sign: [],
    around: [],
    between: [],
    motion: [],
    own: [],
  };
  for (const candidate of group) {
    const drawn =
      candidate.property === 'mark' && marks
        ? marks.declarations(candidate)
        : candidate.property === 'ownCss'
          ? ownDeclarations(candidate.value)
          : declare(slotContext, candidate.property, candidate.value, candidate);
    aimed[aimOf(candidate.property)].push(...drawn);
  }
  const { slot: said, row, sign, around, between, motion, own } = aimed;
  const mark = marks ? aimed.mark : [];
  return [
    ...(said.length > 0 ? [styleRule(selector, said, ...conditions)] : []),
    ...(mark.length > 0
      ? [styleRule(markOf(selector), mark, ...conditions), ...mirrored(selector, mark, conditions)]
      : []),
    ...(row.length > 0 ? rowRules(slotContext, selector, row, conditions) : []),
    ...(around.length > 0
      ? [
          styleRule(
            slotSelector(context, owner, slot, at.level, at.state, kind.around),
            around,
            ...conditions,
          ),
        ]
      : []),
    ...(sign.length > 0 ? [styleRule(`${selector}::before`, sign, ...conditions)] : []),
    ...(between.length > 0 ? betweenRules(slotContext, selector, between, conditions) : []),
    ...(motion.length > 0
      ? [styleRule(marks ? `${selector}, ${markOf(selector)}` : selector, motion, ...conditions, MAY_MOVE)]
      : []),
    ...ownRules(selector, own, conditions),
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
        styleRule(
          markOf(selector),
          valueDeclarations(context, 'markColour', fallbackValue(context.site, kind, 'markColour').value),
        ),
      ];
  const place: Declaration[] = [
    // A box around two controls is a place for them already.
    ...(boxedSlots(context, owner).includes(slot) ? [] : [['position', 'relative'] as const]),
    ...(marks.behind ? [['z-index', '0'] as const] : []),
  ];
  return [...(place.length > 0 ? [styleRule(selector, place)] : []), ...colour];
}

/** Candidates that can show: what never is scrolled has no look for it, and without a mark nothing of it is drawn. */
function shownCandidates(
  site: Site,
  owner: Owner,
  slot: string,
  candidates: readonly Candidate[],
  marks: Marks | null,
): readonly Candidate[] {
  const { piece } = owner;
  const { comesTo } = pieceKind(piece);
  const levels = levelsOf(site, owner, slot);
  const shown = owner.kind === 'menu' ? itemLevels(site, owner.thing as MenuPart) : null;
  const isThere = (key: LevelKey) => {
    const [level, item] = [levelOf(key), itemOf(key)];
    return item === null ? level === null || levels.includes(level) : shown?.has(item) === true;
  };
  return candidates.filter(
    (candidate) =>
      !property(candidate.property).arranged &&
      isThere(candidate.level) &&
      comesTo(piece as never, candidate.state) &&
      (marks !== null || !MARK_IDS.includes(candidate.property)),
  );
}

/** The width in px that a slot keeps its content to; null where that grows. */
function containedOf({ sort, kind, thing, piece }: Owner, slot: string): number | null {
  if (sort === 'piece') return pieceKind(piece).contained?.(piece as never, slot) ?? null;
  return sort === 'section' ? (sectionKind(kind as SectionKindId).contained?.(thing as never) ?? null) : null;
}

/** The custom property that goes before a slot's value at rest. */
function variableOf(
  { names }: CompileContext,
  { sort, thing }: Owner,
  slot: string,
): SlotContext['variable'] {
  const part = sort === 'part' ? (thing as Part) : null;
  const word = part ? partKind(part).variable : undefined;
  return (id) => {
    const name = word?.(part as never, slot, id) ?? null;
    return name === null ? null : names.variable(name);
  };
}

/** The values of one level, state and band together, in the order that makes the later one win. */
function groupCandidates(context: CompileContext, candidates: readonly Candidate[]): Candidate[][] {
  const groups = new Map<string, Candidate[]>();
  for (const candidate of candidates) {
    const key = `${candidate.state} ${candidate.level} ${candidate.band}`;
    const group = groups.get(key);
    if (group) group.push(candidate);
    else groups.set(key, [candidate]);
  }
  const rank = (group: readonly Candidate[]) => (group[0] ? rankOf(context.site, group[0]) : 0);
  return [...groups.values()].sort((a, b) => rank(a) - rank(b));
}

function slotRules(
  context: CompileContext,
  owner: Owner,
  slot: string,
  kind: SlotKind,
  look: SlotLook,
  inherited: InheritedBase,
): ConditionalRule[] {
  const pruned = pruneCandidates(context.site, kind, look, listCandidates(context.site, kind, look));
  const marks = readMarks(context, pruned);
  const candidates = shownCandidates(context.site, owner, slot, marks?.candidates ?? pruned, marks);
  const slotContext: SlotContext = {
    context,
    owner,
    slot,
    kind,
    contained: containedOf(owner, slot),
    marks,
    variable: variableOf(context, owner, slot),
  };
  const base = baseDeclarations(slotContext, candidates, inherited);
  const told = candidates.filter((candidate) => !isGiven(slotContext, candidate, inherited));
  return [
    ...(base.length > 0 ? [styleRule(slotSelector(context, owner, slot, 'all', 'rest'), base)] : []),
    ...levelDefaults(slotContext, candidates),
    ...markBase(slotContext, candidates),
    ...groupCandidates(context, told).flatMap((group) =>
      group[0] ? groupRules(slotContext, group[0], group) : [],
    ),
  ];
}

/** The slots of an owner that are there: the owner has them, and they are drawn somewhere in the markup. */
function presentSlots(
  { site, names }: CompileContext,
  owner: Owner,
  used: ReadonlySet<string>,
): [slot: string, kind: SlotKind][] {
  const kind = owner.sort === 'piece' ? pieceKind(owner.piece) : null;
  const isDrawn = (slot: string) =>
    slot === kind?.rootSlot || slot === kind?.backdropSlot || used.has(names.slotClass(owner.id, slot));
  return Object.entries(slotsOf(owner.kind)).filter(([slot]) => hasSlot(site, owner, slot) && isDrawn(slot));
}

/** A slot that is in the output, with the rules its look became. */
interface SlotRules {
  readonly owner: string;
  readonly slot: string;
  readonly kind: SlotKind;
  readonly look: SlotLook;
  readonly rules: readonly ConditionalRule[];
  /** Whether the look says something for the page being scrolled, where that can be. */
  readonly scrolls: boolean;
}

/** The rules of all looks, slot by slot, in the order of the document. */
export type LookRules = readonly SlotRules[];

function makeSlot(
  context: CompileContext,
  owner: Owner,
  slot: string,
  kind: SlotKind,
  look: SlotLook,
  inherited: InheritedBase,
): SlotRules {
  const scrolls =
    pieceKind(owner.piece).comesTo(owner.piece as never, 'scrolled') &&
    Object.values(look).some((states) => Object.hasOwn(states, 'scrolled'));
  const rules = slotRules(context, owner, slot, kind, look, inherited);
  return { owner: owner.id, slot, kind, look, rules, scrolls };
}

/** The rules of all looks. A slot's rules stand together, in the order `resolve` ranks them. */
export function lookRules(
  context: CompileContext,
  inherited: InheritedBase,
  used: ReadonlySet<string>,
): LookRules {
  return outputOwners(context).flatMap((owner) =>
    presentSlots(context, owner, used).map(([slot, kind]) => {
      const look = effectiveLook(context.site, { owner: owner.id, slot });
      return makeSlot(context, owner, slot, kind, look, inherited);
    }),
  );
}

/** The rules of all looks where nothing but looks has changed since the last ones: those of the same looks are kept. */
export function lookRulesAgain(
  context: CompileContext,
  inherited: InheritedBase,
  last: LookRules,
): LookRules {
  const owners = ownersOf(context.site);
  return last.map((kept) => {
    const look = effectiveLook(context.site, kept);
    const owner = look === kept.look ? undefined : owners.get(kept.owner);
    return owner ? makeSlot(context, owner, kept.slot, kept.kind, look, inherited) : kept;
  });
}
