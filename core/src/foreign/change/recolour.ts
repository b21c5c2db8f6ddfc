import { parseColour } from '../../colour/colour.ts';
import { lazy } from '../../base/memo.ts';
import { fail, succeed, type Result } from '../../base/result.ts';
import type { ForeignPage, PageFiles } from '../page.ts';
import type { Element } from 'domhandler';
import type { Declaration, StyleRule } from '../sheet/rules.ts';
import { findElements, type NotFound } from '../find-elements.ts';
import { createElementSelectors } from '../element-selector.ts';
import { lineage } from '../tree.ts';
import { ANONYMOUS } from '../sheet/read-sheet.ts';
import { isTaken } from '../values/is-taken.ts';
import { withAddresses } from '../values/addresses.ts';
import { printAddedSheet, selectorAlone, type AddedRule } from './added-sheet.ts';
import { ADDED, addingSheet, editFiles, rereadPage, valueEdit, type ChangedFiles } from './edited-page.ts';
import type { PageChange } from './page-change.ts';
import { prove, type Proof, type Spot } from './prove.ts';
import { canonicalColours, recolourTones, recolourValue } from './recolour-value.ts';

export interface RecolourOptions {
  /** CSS colours in any notation; `to` is written as it is given. */
  readonly from: string;
  readonly to: string;
  /** Only what lies in elements that this selector finds; null for the whole page. */
  readonly within: string | null;
  /** Whether the page's own stylesheets are edited, instead of one more that is added. */
  readonly inPlace: boolean;
  /** Only these declarations, by `placeKey`; every one where it is left out. */
  readonly only?: ReadonlySet<string>;
}

/** A declaration's place as a text. */
export const placeKey = ({
  file,
  line,
  column,
}: Pick<Declaration['place'], 'file' | 'line' | 'column'>): string => `${file}:${line}:${column}`;

export type RecolourRefusal = NotFound | 'no colour' | 'not there';

/** A declaration that says the colour, and what it would say instead. */
interface Found {
  /** Null for a style attribute, which belongs to the element. */
  readonly rule: StyleRule | null;
  readonly element: Element | null;
  readonly declaration: Declaration;
  readonly value: string;
}

const LAST = Number.MAX_SAFE_INTEGER;

/** How often an added stylesheet is made anew to keep what it must not change. */
const MOST_ROUNDS = 4;

function findAll(
  page: ForeignPage,
  recoloured: (declaration: Declaration) => string,
  inside: (element: Element) => boolean,
  inPlace: boolean,
): Found[] {
  const found: Found[] = [];
  const within = page.elements.filter(inside);
  for (const rule of page.rules.styles) {
    const said = rule.declarations
      .map((declaration) => ({ rule, element: null, declaration, value: recoloured(declaration) }))
      .filter(({ declaration, value }) => value !== declaration.value);
    if (said.length === 0) continue;
    const isMetWithin = lazy(() => page.matcher.couldMeet(rule, within));
    const isMet = lazy(() => page.matcher.couldMeet(rule, page.elements));
    // In its own stylesheets the colour is another one everywhere. Custom properties are inherited from further out.
    const counts = ({ declaration }: Found) =>
      inPlace || (declaration.property.startsWith('--') ? isMet() : isMetWithin());
    found.push(...said.filter(counts));
  }
  for (const element of page.elements) {
    if (!inside(element)) continue;
    for (const declaration of page.inline(element)) {
      const value = recoloured(declaration);
      if (value !== declaration.value) found.push({ rule: null, element, declaration, value });
    }
  }
  return found;
}

/** As they stand in the page; style attributes come last. */
const byOrder = (a: Found, b: Found): number =>
  (a.rule?.order ?? LAST) - (b.rule?.order ?? LAST) || a.declaration.place.start - b.declaration.place.start;

/** The rules of an added stylesheet, in the order of those they stand for; `kept` are those that must go on winning. */
function addedRules(
  page: ForeignPage,
  found: readonly Found[],
  kept: readonly Found[],
  within: string | null,
): AddedRule[] {
  const selectorOf = createElementSelectors(page.elements);
  const made: {
    readonly of: StyleRule | Element | null;
    readonly selector: string;
    readonly rule: AddedRule;
    readonly declarations: AddedRule['declarations'][number][];
  }[] = [];
  const selectorFor = (entry: Found): string => {
    const { rule, element, declaration } = entry;
    if (!rule) return element ? selectorOf(element) : '*';
    const isKept = kept.includes(entry);
    // Custom properties are inherited from further out: within something they are set there.
    if (within !== null && !isKept && declaration.property.startsWith('--')) return within;
    return selectorAlone(rule, isKept ? null : within);
  };
  const all = [...new Map([...kept, ...found].map((entry) => [entry.declaration, entry])).values()];
  for (const entry of all.sort(byOrder)) {
    const { rule, element, declaration, value } = entry;
    const said = {
      property: declaration.property,
      value: withAddresses(value, declaration.place.file, ADDED),
      // Nothing but this wins over a style attribute.
      important: declaration.important || rule === null,
    };
    const of = rule ?? element;
    const selector = selectorFor(entry);
    const last = made.at(-1);
    if (last?.of === of && last.selector === selector) {
      last.declarations.push(said);
      continue;
    }
    const declarations = [said];
    const layer = namedLayer(rule?.layer ?? null);
    made.push({
      of,
      selector,
      rule: { selector, layer, conditions: rule?.conditions ?? [], declarations },
      declarations,
    });
  }
  return made.map(({ rule }) => rule);
}

/** A layer without a name cannot be added to: its rules stand in none, and what they must not win over is said again. */
const namedLayer = (layer: string | null) => (layer?.includes(ANONYMOUS) === true ? null : layer);

/** What won at a spot before, to be said again after what is added. */
const keptAt = ({ said, element }: Spot): Found[] =>
  said
    ? [
        {
          rule: said.candidate.rule,
          element: said.candidate.rule ? null : element,
          declaration: said.candidate.declaration,
          value: said.candidate.declaration.value,
        },
      ]
    : [];

/** Puts another colour in for one in everything that the rules of a page say, and proves what that changes. */
export function recolour(
  page: ForeignPage,
  files: PageFiles,
  { from, to, within, inPlace, only }: RecolourOptions,
): Result<PageChange, RecolourRefusal> {
  const colour = parseColour(from);
  const target = parseColour(to);
  if (!colour || !target) return fail('no colour');
  let inside = (_element: Element) => true;
  if (within !== null) {
    const selected = findElements(page, within);
    if (!selected.ok) return selected;
    const roots = new Set(selected.value.elements);
    inside = (element) => [...lineage(element)].some((around) => roots.has(around));
  }
  // What no browser takes needs no other colour.
  const recoloured = ({ property, value, place }: Declaration) =>
    isTaken(property, value) === true && (only?.has(placeKey(place)) ?? true)
      ? recolourValue(property, value, colour, to)
      : value;
  const found = findAll(page, recoloured, inside, inPlace);
  if (found.length === 0) return fail('not there');
  const isAsked = (before: string | null, after: string | null, { element, property }: Spot): boolean => {
    if (before === null || after === null || !inside(element)) return before === after;
    // Of some declarations alone others go on saying it.
    if (only && before === after) return true;
    const asked = recolourValue(property, before, colour, to);
    if (asked === after) return true;
    const made = canonicalColours(property, after);
    const isFromChannels =
      made === canonicalColours(property, recolourTones(property, before, colour, target));
    return made === canonicalColours(property, asked) || isFromChannels;
  };
  if (inPlace) {
    const edits = found
      .map(({ declaration, value }) => valueEdit(page, declaration, value))
      .filter((edit) => edit !== null);
    const changed = editFiles(page, edits);
    const { changed: values, sideEffects } = prove(page, rereadPage(page, files, changed), isAsked);
    return succeed({ files: changed, added: null, changed: values, sideEffects });
  }
  const kept: Found[] = [];
  let added = '';
  let changed: ChangedFiles = new Map();
  let proof: Proof | null = null;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    added = printAddedSheet(addedRules(page, found, kept, within));
    changed = addingSheet(page, added);
    proof = prove(page, rereadPage(page, files, changed), isAsked);
    const known = new Set(kept.map(({ declaration }) => declaration));
    const more = proof.spots
      .flatMap(keptAt)
      .filter(({ declaration }) => !known.has(declaration) && recoloured(declaration) === declaration.value);
    if (more.length === 0) break;
    kept.push(...new Map(more.map((entry) => [entry.declaration, entry])).values());
  }
  return succeed({
    files: changed,
    added,
    changed: proof?.changed ?? [],
    sideEffects: proof?.sideEffects ?? [],
  });
}
