import { pieceKind, slotsOf } from '../kinds/catalogue.ts';
import { MAY_MOVE, widely } from '../kinds/out.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import { findPlaced, hasSlot, type Owner } from '../kinds/placed.ts';
import type { SlotLook } from '../model/look.ts';
import type { SlotKind } from '../model/slot.ts';
import { styleRule, type ConditionalRule, type Declaration } from '../print/trees.ts';
import { effectiveLook, fallbackValue } from '../resolve/resolve.ts';
import { outputOwners, type CompileContext } from './context.ts';
import { declare, isWeakest } from './declare.ts';
import { defaultRules, defaultsOf, isGiven, type Defaults, type InheritedBase } from './default-rules.ts';
import { MARK_IDS, readMarks, type Marks } from './marks.ts';
import { listCandidates, pruneCandidates, rankOf, type Candidate } from './passes/prune.ts';
import { placeOf, under } from './place.ts';
import { ownDeclarations, ownRules } from './own-css.ts';
import { boxedSlots, slotSelector } from './selectors.ts';
import { conditionsAt, placeSlot, selectorAt, type SlotPlace } from './slot-place.ts';
import { valueDeclarations } from './values.ts';

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
  context: CompileContext,
  owner: Owner,
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
  context: CompileContext,
  { owner, kind }: SlotPlace,
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

/** The declarations of one group of values by where they go. */
function aimed(
  context: CompileContext,
  place: SlotPlace,
  marks: Marks | null,
  group: readonly Candidate[],
): { readonly [A in Aim]?: readonly Declaration[] } {
  const found: { [A in Aim]?: Declaration[] } = {};
  for (const candidate of group) {
    const { property: id, value } = candidate;
    const drawn =
      id === 'mark' && marks
        ? marks.declarations(candidate)
        : id === 'ownCss'
          ? ownDeclarations(value)
          : declare(context, place, id, value, candidate);
    if (drawn.length > 0) (found[aimOf(id)] ??= []).push(...drawn);
  }
  return found;
}

/** The rules of all values that one level, state and band say together. */
function groupRules(
  context: CompileContext,
  place: SlotPlace,
  marks: Marks | null,
  { first: { level, state, band }, values }: Group,
): ConditionalRule[] {
  const { owner, slot, kind } = place;
  const selector = selectorAt(context, place, level, state);
  const conditions = conditionsAt(context, place, state, band);
  const said = aimed(context, place, marks, values);
  const rules: ConditionalRule[] = [];
  const add = (at: string, declarations: readonly Declaration[]) =>
    rules.push({ conditions, rule: { selector: at, declarations } });
  if (said.slot) add(selector, said.slot);
  if (said.mark && marks) {
    add(markOf(selector), said.mark);
    rules.push(...mirrored(selector, said.mark, conditions));
  }
  if (said.row) rules.push(...rowRules(context, owner, selector, said.row, conditions));
  if (said.around) add(slotSelector(context, owner, slot, level, state, kind.around), said.around);
  if (said.sign) add(`${selector}::before`, said.sign);
  if (said.between) rules.push(...betweenRules(context, place, selector, said.between, conditions));
  if (said.motion)
    rules.push(
      styleRule(marks ? `${selector}, ${markOf(selector)}` : selector, said.motion, ...conditions, MAY_MOVE),
    );
  if (said.own) rules.push(...ownRules(selector, said.own, conditions));
  return rules;
}

/** What a slot with a mark has besides: a place for it, and its colour where the look names none. */
function markBase(
  context: CompileContext,
  place: SlotPlace,
  marks: Marks | null,
  candidates: readonly Candidate[],
): ConditionalRule[] {
  if (!marks) return [];
  const { owner, slot, kind } = place;
  const selector = selectorAt(context, place, 'all', 'rest');
  const coloured = candidates.some((own) => own.property === 'markColour' && isWeakest(own));
  const colour = coloured
    ? []
    : [
        styleRule(
          markOf(selector),
          valueDeclarations(context, 'markColour', fallbackValue(context.site, kind, 'markColour').value),
        ),
      ];
  const standing: Declaration[] = [
    // A box around two controls is a place for them already.
    ...(boxedSlots(context, owner).includes(slot) ? [] : [['position', 'relative'] as const]),
    ...(marks.behind ? [['z-index', '0'] as const] : []),
  ];
  return [...(standing.length > 0 ? [styleRule(selector, standing)] : []), ...colour];
}

/** Candidates that can show: what never is scrolled has no look for it, and without a mark nothing of it is drawn. */
function shownCandidates(
  { owner: { piece }, isThere }: SlotPlace,
  candidates: readonly Candidate[],
  marks: Marks | null,
): readonly Candidate[] {
  const { comesTo } = pieceKind(piece);
  return candidates.filter(
    ({ property: id, level, state }) =>
      !property(id).arranged &&
      isThere(level) &&
      comesTo(piece as never, state) &&
      (marks !== null || !MARK_IDS.includes(id)),
  );
}

/** The values of one level, state and band. */
interface Group {
  readonly rank: number;
  readonly first: Candidate;
  readonly values: Candidate[];
}

/** The values of one level, state and band together, in the order that makes the later one win. */
function groupCandidates({ site }: CompileContext, candidates: readonly Candidate[]): readonly Group[] {
  const groups = new Map<string, Group>();
  for (const candidate of candidates) {
    const key = `${candidate.state} ${candidate.level} ${candidate.band}`;
    const group = groups.get(key);
    if (group) group.values.push(candidate);
    else groups.set(key, { rank: rankOf(site, candidate), first: candidate, values: [candidate] });
  }
  return [...groups.values()].sort((a, b) => a.rank - b.rank);
}

function slotRules(
  context: CompileContext,
  place: SlotPlace,
  defaults: Defaults,
  look: SlotLook,
  inherited: InheritedBase,
): ConditionalRule[] {
  const { site } = context;
  const pruned = pruneCandidates(site, place.kind, look, listCandidates(site, place.kind, look));
  const marks = readMarks(context, pruned);
  const candidates = shownCandidates(place, marks?.candidates ?? pruned, marks);
  const told = candidates.filter((candidate) => !isGiven(place, candidate, inherited));
  const rules = defaultRules(context, place, defaults, candidates);
  rules.push(...markBase(context, place, marks, candidates));
  for (const group of groupCandidates(context, told)) rules.push(...groupRules(context, place, marks, group));
  return rules;
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
  readonly place: SlotPlace;
  readonly defaults: Defaults;
  readonly look: SlotLook;
  readonly rules: readonly ConditionalRule[];
  /** Whether the look says something for the page being scrolled, where that can be. */
  readonly scrolls: boolean;
}

/** The rules of all looks, slot by slot, in the order of the document. */
export type LookRules = readonly SlotRules[];

const saysScrolled = ({ owner: { piece } }: SlotPlace, look: SlotLook): boolean =>
  pieceKind(piece).comesTo(piece as never, 'scrolled') &&
  Object.values(look).some((states) => Object.hasOwn(states, 'scrolled'));

function makeSlot(
  context: CompileContext,
  place: SlotPlace,
  defaults: Defaults,
  look: SlotLook,
  inherited: InheritedBase,
): SlotRules {
  const rules = slotRules(context, place, defaults, look, inherited);
  return { place, defaults, look, rules, scrolls: saysScrolled(place, look) };
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
      const place = placeSlot(context, owner, slot, kind);
      return makeSlot(context, place, defaultsOf(context, place, inherited), look, inherited);
    }),
  );
}

/** The rules of all looks where nothing but looks has changed since the last ones: those of the same looks are kept. */
export function lookRulesAgain(
  context: CompileContext,
  inherited: InheritedBase,
  last: LookRules,
): LookRules {
  return last.map((kept) => {
    const { place, defaults } = kept;
    const look = effectiveLook(context.site, { owner: place.owner.id, slot: place.slot });
    return look === kept.look ? kept : makeSlot(context, place, defaults, look, inherited);
  });
}
