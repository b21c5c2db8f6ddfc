import type { Element } from 'domhandler';
import { memoiseText } from '../../base/memo.ts';
import { fail, succeed, type Result } from '../../base/result.ts';
import { Cascade, type Candidate } from '../cascade/cascade.ts';
import { classNames, markSelector } from '../cascade/marked-states.ts';
import type { MarkedState } from '../selectors/marks.ts';
import { situationOf, type ForeignState } from '../cascade/situation.ts';
import { judgeMedia, type Viewport } from '../conditions/media.ts';
import { every, type Truth } from '../conditions/truth.ts';
import { findElements, type NotFound } from '../find-elements.ts';
import type { ForeignPage, PageFiles } from '../page.ts';
import { addToSelectors } from '../rule-text.ts';
import { readDeclarations } from '../sheet/read-declarations.ts';
import type { Declaration, StyleRule } from '../sheet/rules.ts';
import { createSource, type Place } from '../source.ts';
import { withRootAddresses } from '../values/addresses.ts';
import { expand } from '../values/expand.ts';
import { isTaken } from '../values/is-taken.ts';
import { physicalName } from '../values/longhands.ts';
import { printAddedSheet } from './added-sheet.ts';
import {
  addingSheet,
  editFiles,
  rereadPage,
  valueEdit,
  type ChangedFiles,
  type TextEdit,
} from './edited-page.ts';
import type { PageChange } from './page-change.ts';
import { STRENGTHS } from './strengths.ts';
import { prove, PROVED_WIDTHS, type IsAsked, type Proof } from './prove.ts';

export interface RestyleOptions {
  /** A selector of the elements that are meant, or of one of their pseudo-elements. */
  readonly at: string;
  readonly state: ForeignState;
  /** Declarations, as in a style attribute. */
  readonly set: string;
  /** Media queries within which alone it holds; none for every window. */
  readonly media?: readonly string[];
  /** Whether the page's own stylesheets are edited, instead of one more that is added. */
  readonly inPlace: boolean;
}

export type RestyleRefusal = NotFound | 'no declaration' | 'no mark' | 'no window';

/** One way to bring a change about. */
interface Attempt {
  readonly files: ChangedFiles;
  readonly added: string | null;
}

/** How a state is written in a selector; null where the page's own marks tell it. */
const STATES: Readonly<Record<ForeignState, string | null>> = {
  rest: '',
  hover: ':hover',
  focus: ':focus-visible',
  pressed: ':active',
  current: null,
  open: null,
};

/** What a state looks like where nothing is said of it. */
const OTHERWISE: Readonly<Record<ForeignState, ForeignState | null>> = {
  rest: null,
  hover: 'rest',
  focus: 'rest',
  pressed: 'hover',
  current: 'rest',
  open: 'rest',
};

/** States that a value at rest gives way to, where it must be written so strongly that it would hide theirs. */
const GIVING_WAY: readonly (readonly string[])[] = [[], [':hover'], [':hover', ':focus']];

/** So many of the classes by which a page marks what is open are given way to. */
const MOST_MARKS = 3;

/** What a selector at rest ends with, the least first: nothing, or that it gives way to states, in the end to those the page marks, too. */
function waysToGive(page: ForeignPage, state: ForeignState): readonly string[] {
  if (state !== 'rest') return [''];
  const marks = classNames(page, 'open')
    .slice(0, MOST_MARKS)
    .flatMap((name) => [`.${name}`, `.${name} *`]);
  const all = [...GIVING_WAY, ...(marks.length === 0 ? [] : GIVING_WAY.map((way) => [...way, ...marks]))];
  return all.map((way) => (way.length === 0 ? '' : `:not(${way.join(', ')})`));
}

/** What is to be said, and of what. */
interface Wish {
  readonly selector: string;
  readonly state: ForeignState;
  /** The state, as a selector has it. */
  readonly mark: string;
  /** What it may end with, to give way to other states. */
  readonly ways: readonly string[];
  readonly media: readonly string[];
  readonly declarations: readonly Declaration[];
}

/** The selectors to try: of the state, as weak as may be; they give way to other states only where nothing else leaves those alone. */
function* selectorsFor({ selector, mark, ways }: Wish): Generator<string> {
  for (const giveWay of ways)
    for (const strengthen of STRENGTHS)
      yield addToSelectors(selector, `${mark}${giveWay}`).map(strengthen).join(', ');
}

const ruleText = (selector: string, { declarations, media }: Wish, important: boolean) =>
  printAddedSheet([
    {
      selector,
      layer: null,
      conditions: media.map((text) => ({ kind: 'media', text })),
      declarations: declarations.map(({ property, value, important: own }) => ({
        property,
        value,
        important: own || important,
      })),
    },
  ]);

/** What declarations come to on an element, by longhand. */
function wantedOn(cascade: Cascade, element: Element, declarations: readonly Declaration[], file: string) {
  const flow = cascade.flowOf(element);
  const wanted = new Map<string, string>();
  for (const { property, value } of declarations)
    for (const said of expand(property, value) ?? [])
      wanted.set(physicalName(said.longhand, flow), withRootAddresses(said.value, file));
  return wanted;
}

/** The rules that meet all targets in the state, those that say the most first. */
function rulesOfAll(cascades: ReadonlyMap<Element, Cascade>, pseudo: string | null): StyleRule[] {
  let shared: StyleRule[] | null = null;
  for (const [element, cascade] of cascades) {
    const rules = cascade
      .candidates(element, pseudo)
      .map(({ rule }: Candidate) => rule)
      .filter((rule) => rule !== null);
    const unique = [...new Set(rules)];
    shared = shared ? shared.filter((rule) => unique.includes(rule)) : unique;
  }
  return shared ?? [];
}

/** The edits that make a rule say some declarations: values it has are replaced, others stand after its last one. */
function editsOfRule(page: ForeignPage, rule: StyleRule, declarations: readonly Declaration[]): TextEdit[] {
  const text = page.sheets.find(({ file }) => file === rule.place.file)?.text ?? '';
  const edits: TextEdit[] = [];
  const missing: Declaration[] = [];
  for (const declaration of declarations) {
    const own = rule.declarations.findLast(({ property }) => property === declaration.property);
    const edit = own ? valueEdit(page, own, declaration.value) : null;
    if (edit) edits.push(edit);
    else missing.push(declaration);
  }
  const last = rule.declarations.at(-1);
  if (missing.length === 0 || !last) return edits;
  // They are written as the one before is: on a line of their own where that has one.
  const lead = /\n[ \t]*$/.exec(text.slice(0, last.place.start))?.[0] ?? ' ';
  const more = missing.map(
    ({ property, value, important }) => `${lead}${property}: ${value}${important ? ' !important' : ''}`,
  );
  const end: Place = { ...last.place, start: last.place.end };
  edits.push({ place: end, text: more.map((line) => `;${line}`).join('') });
  return edits;
}

/** A rule that stands after another one, or at the end of a stylesheet. */
const afterRule = (rule: StyleRule, text: string): TextEdit => ({
  place: { ...rule.place, start: rule.place.end },
  text: `\n${text.trimEnd()}`,
});

/** Whether a rule stands free: in no condition, layer, scope or other rule. */
const isFree = ({ parent, layer, conditions }: StyleRule) =>
  parent === null && layer === null && conditions.length === 0;

const mediaOf = ({ conditions }: StyleRule): readonly string[] =>
  conditions.flatMap((condition) => (condition.kind === 'media' ? [condition.text] : []));

/** Ways to do it in the page's own stylesheets, the nearest to how it would be written by hand first. */
function* inPlace(
  page: ForeignPage,
  rules: readonly StyleRule[],
  otherwise: ReadonlySet<StyleRule>,
  wish: Wish,
): Generator<Attempt> {
  const { state, declarations, media } = wish;
  const edited = (edits: readonly TextEdit[]): Attempt => ({ files: editFiles(page, edits), added: null });
  const isWithin = (rule: StyleRule) => media.every((text) => mediaOf(rule).includes(text));
  const ofState = rules.filter((rule) => {
    if (rule.declarations.length === 0 || rule.selector === null || !isWithin(rule)) return false;
    return state === 'rest' ? !/:(?:hover|focus|active)/.test(rule.selector) : !otherwise.has(rule);
  });
  for (const rule of ofState.slice(0, 3)) yield edited(editsOfRule(page, rule, declarations));
  const atRest = rules.find((rule) => isFree(rule));
  const last = page.rules.styles.findLast((rule) => isFree(rule));
  for (const rule of [atRest, last])
    if (rule)
      for (const selector of selectorsFor(wish))
        yield edited([afterRule(rule, ruleText(selector, wish, false))]);
}

function* asAdded(page: ForeignPage, wish: Wish): Generator<Attempt> {
  const withSheet = (added: string): Attempt => ({ files: addingSheet(page, added), added });
  for (const important of [false, true])
    for (const selector of selectorsFor(wish)) yield withSheet(ruleText(selector, wish, important));
}

/** Whether media queries hold in a window; null where only the browser knows. */
const holds = (media: readonly string[], viewport: Viewport): Truth =>
  every(media.map((text) => judgeMedia(text, viewport)));

/** Windows to look for one in which media queries hold, px; those that are always proved first. */
const WINDOWS: readonly number[] = [
  ...[...PROVED_WIDTHS].reverse(),
  ...Array.from({ length: 200 }, (_, at) => 320 + at * 10),
];

const windowOf = (width: number): Viewport => ({ width, height: null });

/** Elements in a state, in a window. */
const cascadesIn = (
  page: ForeignPage,
  elements: readonly Element[],
  state: ForeignState,
  viewport: Viewport,
): ReadonlyMap<Element, Cascade> =>
  new Map(
    elements.map((element) => [element, new Cascade(page, situationOf(page, element, state, viewport))]),
  );

/** The answer whether a value has become what a wish says, on the elements that it is for. */
function isAskedBy(
  page: ForeignPage,
  { selector, state, mark, media }: Wish,
  pseudo: string | null,
  wanted: ReadonlyMap<Element, ReadonlyMap<string, string>>,
): IsAsked {
  const known = new Map<Element, Map<number, Cascade>>();
  const cascadeOf = (element: Element, viewport: Viewport): Cascade => {
    const byWidth = known.get(element) ?? new Map<number, Cascade>();
    known.set(element, byWidth);
    const cascade =
      byWidth.get(viewport.width) ?? new Cascade(page, situationOf(page, element, state, viewport));
    byWidth.set(viewport.width, cascade);
    return cascade;
  };
  /** Those of what is meant that bear the mark of a state in the page as it is. */
  const bearersOf = memoiseText((marked): ReadonlySet<Element> => {
    const found = page.matcher.select(addToSelectors(selector, marked).join(), page.elements);
    return new Set(found?.elements);
  }, 4);
  const markOf = (of: ForeignState, element: Element) =>
    STATES[of] === null ? markSelector(page, element, of as MarkedState) : null;
  return (before, after, spot) => {
    const asked = spot.pseudo === pseudo ? wanted.get(spot.element)?.get(spot.property) : undefined;
    const truth = asked === undefined ? false : holds(media, spot.viewport);
    if (truth === false) return before === after;
    if (spot.state === state) return after === asked || (truth === null && before === after);
    if (before === after) return true;
    // What bears the mark of a state in the page as it is has it in all others, too.
    if (STATES[state] === null && after === asked && bearersOf(mark).has(spot.element)) return true;
    // Where it is asked of one that is current, no rule can leave the others as they are when they are current.
    const other = state === 'rest' ? markOf(spot.state, spot.element) : null;
    if (other !== null && after === asked && bearersOf(other).size > 0) return true;
    let instead = OTHERWISE[spot.state];
    while (instead !== null && instead !== state) instead = OTHERWISE[instead];
    if (instead === null || after !== asked) return false;
    // A state without a value of its own goes on having the one of the state before it.
    const value = cascadeOf(spot.element, spot.viewport).values(spot.element, pseudo).get(spot.property)?.[0];
    return value?.candidate.declaration === spot.said?.candidate.declaration;
  };
}

/** Makes elements look as declarations say, in one state, with the least that does it, and proves what that changes. */
export function restyle(
  page: ForeignPage,
  files: PageFiles,
  options: RestyleOptions,
): Result<PageChange, RestyleRefusal> {
  const { at, state, media = [] } = options;
  const source = createSource(page.source.file, options.set);
  const declarations = readDeclarations(source, options.set, 0).filter(
    ({ property, value }) => isTaken(property, value) === true,
  );
  if (declarations.length === 0) return fail('no declaration');
  const selected = findElements(page, at);
  if (!selected.ok) return selected;
  const { elements, pseudo } = selected.value;
  const first = elements[0] as Element;
  const mark = STATES[state] ?? markSelector(page, first, state as MarkedState);
  if (mark === null) return fail('no mark');
  const width = WINDOWS.find((one) => holds(media, windowOf(one)) !== false);
  if (width === undefined) return fail('no window');
  const wish: Wish = { selector: at, state, mark, ways: waysToGive(page, state), media, declarations };
  const cascades = cascadesIn(page, elements, state, windowOf(width));
  const wanted = new Map(
    [...cascades].map(([element, cascade]) => [
      element,
      wantedOn(cascade, element, declarations, page.source.file),
    ]),
  );
  const before = OTHERWISE[state];
  const rulesBefore = before ? rulesOfAll(cascadesIn(page, elements, before, windowOf(width)), pseudo) : [];
  const attempts = options.inPlace
    ? inPlace(page, rulesOfAll(cascades, pseudo), new Set(rulesBefore), wish)
    : asAdded(page, wish);
  const isAsked = isAskedBy(page, wish, pseudo, wanted);
  const widths = (PROVED_WIDTHS as readonly number[]).includes(width) ? [] : [width];
  const made = firstThatProves(page, files, attempts, isAsked, new Set(elements), widths);
  // A page without any rule has no stylesheet of its own to edit.
  if (!made) return restyle(page, files, { ...options, inPlace: false });
  const { attempt, proof } = made;
  return succeed({ ...attempt, changed: proof.changed, sideEffects: proof.sideEffects });
}

interface Proved {
  readonly attempt: Attempt;
  readonly proof: Proof;
}

/** The first attempt that changes nothing else, or else the one that changes the least besides; null where there is none. */
function firstThatProves(
  page: ForeignPage,
  files: PageFiles,
  attempts: Iterable<Attempt>,
  isAsked: IsAsked,
  targets: ReadonlySet<Element>,
  widths: readonly number[],
): Proved | null {
  const failed: { readonly attempt: Attempt; readonly wrong: number }[] = [];
  const isMeant = (element: Element) => targets.has(element);
  const read = (attempt: Attempt) => rereadPage(page, files, attempt.files);
  const proveWhole = (attempt: Attempt, made: ForeignPage): Proved => ({
    attempt,
    proof: prove(page, made, isAsked, { isMeant, widths }),
  });
  let best: Proved | null = null;
  const isBetter = ({ proof }: Proved) =>
    best === null || proof.sideEffects.length < best.proof.sideEffects.length;
  for (const attempt of attempts) {
    const made = read(attempt);
    // Most that fail do so on what they are for: the rest of a large page need not be looked at.
    const onTargets = prove(page, made, isAsked, { only: targets, widths });
    if (onTargets.sideEffects.length > 0) {
      failed.push({ attempt, wrong: onTargets.sideEffects.length });
      continue;
    }
    const whole = proveWhole(attempt, made);
    if (isBetter(whole)) best = whole;
    if (whole.proof.sideEffects.length === 0) return whole;
  }
  const [nearest] = failed.sort((a, b) => a.wrong - b.wrong);
  if (nearest) {
    const whole = proveWhole(nearest.attempt, read(nearest.attempt));
    if (isBetter(whole)) best = whole;
  }
  return best;
}
