import type { Element } from 'domhandler';
import { Cascade, type Candidate, type Value } from './cascade/cascade.ts';
import { atRestIn, situationOf, type ForeignState } from './cascade/situation.ts';
import type { Viewport } from './conditions/media.ts';
import { createElementSelectors } from './element-selector.ts';
import { findElements, type NotFound } from './find-elements.ts';
import type { ForeignPage } from './page.ts';
import { withAddresses } from './values/addresses.ts';
import { conditionText, fullSelector } from './rule-text.ts';

/** What a declaration says of one longhand, and where it stands. */
export interface ToldValue {
  readonly name: string;
  /** With custom properties put in. */
  readonly value: string;
  readonly file: string;
  readonly line: number;
  readonly column: number;
  /** Null where the element's own `style` says it. */
  readonly selector: string | null;
  /** Such as `@media (min-width: 40em)`, from the outside to the inside. */
  readonly conditions: readonly string[];
  readonly layer: string | null;
  readonly important: boolean;
  /** False where it cannot be known whether this is so. */
  readonly certain: boolean;
}

/** A value that wins, and what it overrides, next best first. */
export interface ToldProperty extends ToldValue {
  readonly overridden: readonly ToldValue[];
}

export interface ToldElement {
  /** A selector that finds exactly this element. */
  readonly element: string;
  readonly properties: readonly ToldProperty[];
}

function tell(page: ForeignPage, name: string, { value, candidate, certain }: Value): ToldValue {
  const { declaration, rule }: Candidate = candidate;
  const { file, line, column } = declaration.place;
  return {
    name,
    value: withAddresses(value, file, page.source.file),
    file,
    line,
    column,
    selector: rule ? fullSelector(rule) : null,
    conditions: rule ? rule.conditions.map(conditionText) : [],
    layer: rule?.layer ?? null,
    important: declaration.important,
    certain,
  };
}

/** The properties that animations of an element change while they run. */
function animated(page: ForeignPage, values: ReadonlyMap<string, readonly Value[]>): ReadonlySet<string> {
  const names = values.get('animation-name')?.[0]?.value.split(',') ?? [];
  const changed = new Set<string>();
  for (const name of names)
    for (const property of page.rules.animations.get(name.trim().replace(/^["']|["']$/g, '')) ?? [])
      changed.add(property);
  return changed;
}

/** Everything author rules and `style` say of one element in the situation of a cascade, by longhand. */
export function toldProperties(
  page: ForeignPage,
  cascade: Cascade,
  element: Element,
  pseudo: string | null,
): ToldProperty[] {
  const values = cascade.values(element, pseudo);
  const moving = animated(page, values);
  return [...values]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([name, [first, ...rest]]) => {
      if (!first) return [];
      // What may not apply wins nothing from what does: the first that is certain to apply is the answer, told as uncertain.
      const all = [first, ...rest];
      const winner = all.find(({ candidate }) => candidate.certain) ?? first;
      const certain = winner === first && winner.certain && !moving.has(name);
      const overridden = all.filter((value) => value !== winner).map((value) => tell(page, name, value));
      return [{ ...tell(page, name, winner), certain, overridden }];
    });
}

/** What is said of an element in each of some states, in a window. */
export function tellStates(
  page: ForeignPage,
  element: Element,
  pseudo: string | null,
  states: readonly ForeignState[],
  viewport: Viewport,
): readonly (readonly ToldProperty[])[] {
  return states.map((state) =>
    toldProperties(page, new Cascade(page, situationOf(page, element, state, viewport)), element, pseudo),
  );
}

/** What was asked for cannot be found. */
export interface NothingFound {
  readonly reason: NotFound;
}

/** The values of all elements that a selector finds, in a state of each and in a window; in the order of the document. */
export function tellRules(
  page: ForeignPage,
  selector: string,
  state: ForeignState,
  viewport: Viewport,
): readonly ToldElement[] | NothingFound {
  const found = findElements(page, selector);
  if (!found.ok) return { reason: found.error };
  const { elements, pseudo } = found.value;
  const selectorOf = createElementSelectors(page.elements);
  const atRest = new Cascade(page, atRestIn(viewport));
  const propertiesOf = (element: Element): readonly ToldProperty[] =>
    state === 'rest'
      ? toldProperties(page, atRest, element, pseudo)
      : (tellStates(page, element, pseudo, [state], viewport)[0] ?? []);
  return elements.map((element) => ({
    element: `${selectorOf(element)}${pseudo === null ? '' : `::${pseudo}`}`,
    properties: propertiesOf(element),
  }));
}
