import type { Element } from 'domhandler';
import { fail, succeed, type Result } from '../../base/result.ts';
import { Cascade, type Candidate } from '../cascade/cascade.ts';
import { situationOf } from '../cascade/situation.ts';
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
import { prove, PROVED_WIDTHS, type Proof, type ProvedState, type Spot } from './prove.ts';

export interface RestyleOptions {
  /** A selector of the elements that are meant, or of one of their pseudo-elements. */
  readonly at: string;
  readonly state: ProvedState;
  /** Declarations, as in a style attribute. */
  readonly set: string;
  /** Whether the page's own stylesheets are edited, instead of one more that is added. */
  readonly inPlace: boolean;
}

export type RestyleRefusal = NotFound | 'no declaration';

/** One way to bring a change about. */
interface Attempt {
  readonly files: ChangedFiles;
  readonly added: string | null;
}

/** How a state is written in a selector. */
const STATES: Readonly<Record<ProvedState, string>> = { rest: '', hover: ':hover', focus: ':focus-visible' };

/** What states of its own a value at rest gives way to, where it must be written so strongly that it would hide theirs. */
const GIVING_WAY: Readonly<Record<ProvedState, readonly string[]>> = {
  rest: ['', ':not(:hover)', ':not(:hover, :focus)'],
  hover: [''],
  focus: [''],
};

/** The selectors to try: of the state, as weak as may be; they give way to other states only where nothing else leaves those alone. */
function* selectorsFor(at: string, state: ProvedState): Generator<string> {
  for (const giveWay of GIVING_WAY[state])
    for (const strengthen of STRENGTHS)
      yield addToSelectors(at, `${STATES[state]}${giveWay}`).map(strengthen).join(', ');
}

const ruleText = (selector: string, declarations: readonly Declaration[], important: boolean) =>
  printAddedSheet([
    {
      selector,
      layer: null,
      conditions: [],
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

/** Ways to do it in the page's own stylesheets, the nearest to how it would be written by hand first. */
function* inPlace(
  page: ForeignPage,
  rules: readonly StyleRule[],
  { at, state }: RestyleOptions,
  declarations: readonly Declaration[],
): Generator<Attempt> {
  const edited = (edits: readonly TextEdit[]): Attempt => ({ files: editFiles(page, edits), added: null });
  const mark = state === 'rest' ? null : new RegExp(`:${state}\\b`);
  const ofState = rules.filter(({ selector, declarations: own }) => {
    if (own.length === 0 || selector === null) return false;
    return mark ? mark.test(selector) : !/:(?:hover|focus|active)/.test(selector);
  });
  for (const rule of ofState.slice(0, 3)) yield edited(editsOfRule(page, rule, declarations));
  const atRest = rules.find((rule) => isFree(rule));
  const last = page.rules.styles.findLast((rule) => isFree(rule));
  for (const rule of [atRest, last])
    if (rule)
      for (const selector of selectorsFor(at, state))
        yield edited([afterRule(rule, ruleText(selector, declarations, false))]);
}

function* asAdded(
  page: ForeignPage,
  { at, state }: RestyleOptions,
  declarations: readonly Declaration[],
): Generator<Attempt> {
  const withSheet = (added: string): Attempt => ({ files: addingSheet(page, added), added });
  for (const important of [false, true])
    for (const selector of selectorsFor(at, state))
      yield withSheet(ruleText(selector, declarations, important));
}

/** Makes elements look as declarations say, in one state, with the least that does it, and proves what that changes. */
export function restyle(
  page: ForeignPage,
  files: PageFiles,
  options: RestyleOptions,
): Result<PageChange, RestyleRefusal> {
  const { at, state } = options;
  const source = createSource(page.source.file, options.set);
  const declarations = readDeclarations(source, options.set, 0).filter(
    ({ property, value }) => isTaken(property, value) === true,
  );
  if (declarations.length === 0) return fail('no declaration');
  const selected = findElements(page, at);
  if (!selected.ok) return selected;
  const { elements, pseudo } = selected.value;
  const viewport = { width: PROVED_WIDTHS[2], height: null };
  const cascades = new Map(
    elements.map((element) => [element, new Cascade(page, situationOf(element, state, viewport))]),
  );
  const wanted = new Map(
    [...cascades].map(([element, cascade]) => [
      element,
      wantedOn(cascade, element, declarations, page.source.file),
    ]),
  );
  const atRest = new Map(
    PROVED_WIDTHS.map((width) => [
      width,
      new Cascade(page, situationOf(null, 'rest', { width, height: null })),
    ]),
  );
  const isAsked = (before: string | null, after: string | null, spot: Spot): boolean => {
    const asked = spot.pseudo === pseudo ? wanted.get(spot.element)?.get(spot.property) : undefined;
    if (asked === undefined) return before === after;
    if (spot.state === state) return after === asked;
    if (before === after) return true;
    // A state without a value of its own goes on having the one at rest.
    if (state !== 'rest' || after !== asked) return false;
    const rest = atRest.get(spot.viewport.width as (typeof PROVED_WIDTHS)[number]);
    const valueAtRest = rest?.values(spot.element, pseudo).get(spot.property)?.[0] ?? null;
    return valueAtRest?.candidate.declaration === spot.said?.candidate.declaration;
  };
  const attempts = options.inPlace
    ? inPlace(page, rulesOfAll(cascades, pseudo), options, declarations)
    : asAdded(page, options, declarations);
  let best: { readonly attempt: Attempt; readonly proof: Proof } | null = null;
  for (const attempt of attempts) {
    const proof = prove(page, rereadPage(page, files, attempt.files), isAsked);
    if (!best || proof.sideEffects.length < best.proof.sideEffects.length) best = { attempt, proof };
    if (proof.sideEffects.length === 0) break;
  }
  // A page without any rule has no stylesheet of its own to edit.
  if (!best) return restyle(page, files, { ...options, inPlace: false });
  const { attempt, proof } = best;
  return succeed({ ...attempt, changed: proof.changed, sideEffects: proof.sideEffects });
}
