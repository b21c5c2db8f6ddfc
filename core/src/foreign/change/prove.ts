import type { Element } from 'domhandler';
import { memoise } from '../../base/memo.ts';
import { Cascade, type Candidate, type Value } from '../cascade/cascade.ts';
import { marksEverywhere, marksState } from '../cascade/marked-states.ts';
import { FOREIGN_STATES, type ForeignState } from '../cascade/situation.ts';
import type { Viewport } from '../conditions/media.ts';
import { ownElements } from './edited-page.ts';
import { createElementSelectors } from '../element-selector.ts';
import type { ForeignPage } from '../page.ts';
import { withRootAddresses } from '../values/addresses.ts';
import { isByBrowser, isInherited } from '../inherited.ts';
import { lineage, parentOf } from '../tree.ts';
import { AT_REST, type Live } from '../selectors/pseudos.ts';

/** The windows a change is looked at in, px. */
export const PROVED_WIDTHS = [390, 820, 1280] as const;

/** States of a page that is scrolled: as a script tells the stylesheet. */
export const SCROLL_STATES = ['scrolled', 'past', 'down'] as const;
export type ScrollState = (typeof SCROLL_STATES)[number];

/** One value of one element that is another one than before. */
export interface ChangedValue {
  /** A selector that finds exactly this element; a pseudo-element follows it. */
  readonly element: string;
  readonly state: ForeignState | ScrollState;
  readonly width: number;
  readonly property: string;
  /** Null where nothing was said. */
  readonly before: string | null;
  readonly after: string | null;
}

/** A place in a page where a value is looked at. */
export interface Spot {
  readonly element: Element;
  readonly pseudo: string | null;
  readonly state: ForeignState;
  readonly viewport: Viewport;
  readonly property: string;
  /** What said it before; null where nothing did. */
  readonly said: Value | null;
}

export interface Proof {
  readonly changed: readonly ChangedValue[];
  /** Changes that were not asked for, and asked ones that did not come about. */
  readonly sideEffects: readonly ChangedValue[];
  /** Where the side effects are, in the page as it was. */
  readonly spots: readonly Spot[];
}

/** All elements in a state at once: what any rule of that state says is met. `known` are the pages whose marks count. */
function everywhere(page: ForeignPage, state: ForeignState, known: readonly ForeignPage[]): Live {
  const all = new Set(page.elements);
  switch (state) {
    case 'rest':
      return AT_REST;
    case 'hover':
      return { ...AT_REST, pointed: all };
    case 'focus':
      return { ...AT_REST, around: all, allFocused: true };
    case 'pressed':
      return { ...AT_REST, pointed: all, pressed: all };
    case 'current':
    case 'open':
      return { ...AT_REST, marks: marksEverywhere(page, state, known) };
  }
}

/** Whether a page has rules of a state that not every page has rules of. */
const asksFor = memoise((page: ForeignPage) => ({
  pressed: page.rules.styles.some(({ selector }) => selector !== null && /:active\b/i.test(selector)),
  current: marksState(page, 'current'),
  open: marksState(page, 'open'),
}));

/** The states in which two pages can differ. */
const statesOf = (pages: readonly ForeignPage[]): readonly ForeignState[] =>
  FOREIGN_STATES.filter(
    (state) =>
      state === 'rest' ||
      state === 'hover' ||
      state === 'focus' ||
      pages.some((page) => asksFor(page)[state]),
  );

/** A page in one window and state that is looked at. */
interface Look {
  readonly state: ForeignState;
  readonly viewport: Viewport;
  readonly cascade: Cascade;
}

/** A page in every window and some states. */
const looksAt = (
  page: ForeignPage,
  widths: readonly number[],
  states: readonly ForeignState[],
  known: readonly ForeignPage[],
): Look[] =>
  widths.flatMap((width) =>
    states.map((state) => {
      const viewport: Viewport = { width, height: null };
      const live = everywhere(page, state, known);
      return { state, viewport, cascade: new Cascade(page, { viewport, live }) };
    }),
  );

/** States that no markup marks. */
const UNMARKED: readonly ForeignState[] = ['rest', 'hover', 'focus', 'pressed'];

/** A page in every window and the states without marks, so that several attempts at it share what it was. */
const unmarkedLooks = memoise((page: ForeignPage) => looksAt(page, PROVED_WIDTHS, UNMARKED, [page]));

/** A page before and after a change, in every window and every state in which they can differ. */
function looksOf(
  before: ForeignPage,
  after: ForeignPage,
  further: readonly number[],
): { readonly was: Look; readonly is: Look }[] {
  const states = statesOf([before, after]);
  const marked = states.filter((state) => !UNMARKED.includes(state));
  const all = (page: ForeignPage): Look[] => [
    ...unmarkedLooks(page).filter(({ state }) => states.includes(state)),
    ...looksAt(page, PROVED_WIDTHS, marked, [before, after]),
    ...looksAt(page, further, states, [before, after]),
  ];
  const later = all(after);
  return all(before).flatMap((was, at) => {
    const is = later[at];
    return is ? [{ was, is }] : [];
  });
}

const isOfHead = (element: Element): boolean => parentOf(element)?.name === 'head' || element.name === 'head';

/** Whether the grammar at hand knows nothing of a value, as of a property that no browser has. */
const isUnknown = ({ certain, candidate }: Value): boolean => !certain && candidate.certain;

/** A value with its addresses written so that it does not matter in which file it stands. */
const comparable = (value: Value | null): string | null =>
  value ? withRootAddresses(value.value, value.candidate.declaration.place.file) : null;

/** How far a proof goes. */
export interface ProofExtent {
  /** The elements that are looked at; null for all. */
  readonly only?: ReadonlySet<Element> | null;
  /** Whether an element is one that something is asked of: then it is looked at also where no rule says another thing. */
  readonly isMeant?: (element: Element) => boolean;
  /** Windows besides those that are always looked at, px. */
  readonly widths?: readonly number[];
}

/** Whether a value has become what it should. */
export type IsAsked = (before: string | null, after: string | null, spot: Spot) => boolean;

/** What a change does to a property of an element that others have from it. */
interface PassedOn {
  readonly before: string | null;
  readonly after: string | null;
  readonly isWanted: boolean;
}

/** Values that stand for what the element around has. */
const TAKEN_OVER = /^(?:inherit|unset)$/i;

/** What an element has of a property that elements inherit: said of it, or of the nearest around it. */
function inheritedValue(cascade: Cascade, element: Element, property: string): string | null {
  for (const around of lineage(element)) {
    const value = comparable(cascade.values(around).get(property)?.[0] ?? null);
    if (value !== null && !TAKEN_OVER.test(value)) return value;
    if (value === null && isByBrowser(around, property)) return null;
  }
  return null;
}

/** One window and state of a page before and after a change, element by element. */
class LookProof {
  private readonly was: Look;
  private readonly is: Look;
  private readonly isAsked: IsAsked;
  private readonly into: { readonly changed: ChangedValue[]; sideEffects: ChangedValue[]; spots: Spot[] };
  private readonly selectorOf: (element: Element) => string;
  private readonly passedOn = new Map<Element, Map<string, PassedOn>>();

  constructor(
    { was, is }: { readonly was: Look; readonly is: Look },
    isAsked: IsAsked,
    into: LookProof['into'],
    selectorOf: (element: Element) => string,
  ) {
    [this.was, this.is, this.isAsked, this.into, this.selectorOf] = [was, is, isAsked, into, selectorOf];
  }

  /** Whether rules say the same of an element as before, and nothing that it has from others is another. */
  isSame(element: Element, now: Element, pseudo: string | null): boolean {
    const around = pseudo === null ? parentOf(element) : element;
    if (around && this.passedOn.has(around)) return false;
    const then = this.was.cascade.candidates(element, pseudo);
    const later = this.is.cascade.candidates(now, pseudo);
    if (then.length !== later.length) return false;
    return then.every((candidate, at) => {
      const other = later[at];
      return other !== undefined && saysTheSame(candidate, other);
    });
  }

  /** Compares an element, or a pseudo-element of it. Those around it come before it. */
  compare(element: Element, now: Element, pseudo: string | null): void {
    const values = this.was.cascade.values(element, pseudo);
    const newValues = this.is.cascade.values(now, pseudo);
    const around = pseudo === null ? parentOf(element) : element;
    const from = (around && this.passedOn.get(around)) ?? NOTHING_PASSED;
    const handed = new Map(from);
    for (const property of new Set([...values.keys(), ...newValues.keys()])) {
      const said = values.get(property)?.[0] ?? null;
      if (said && isUnknown(said)) continue;
      const { state, viewport } = this.was;
      const spot: Spot = { element, pseudo, state, viewport, property, said };
      const old = comparable(said);
      const made = comparable(newValues.get(property)?.[0] ?? null);
      const isWanted = this.isAsked(old, made, spot);
      const isTakenOver = old === made && old !== null && TAKEN_OVER.test(old);
      if (isInherited(property) && !isTakenOver) handed.delete(property);
      if (old === made && isWanted) continue;
      if (old !== made && isInherited(property)) handed.set(property, this.handOn(spot, now, made, isWanted));
      this.tell(spot, old, made, isWanted);
      if (!isWanted) this.into.spots.push(spot);
    }
    if (pseudo === null)
      for (const property of handed.keys())
        if (!values.has(property) && !newValues.has(property) && isByBrowser(element, property))
          handed.delete(property);
    this.follow({ element, pseudo }, from, handed);
    this.followColour({ element, pseudo }, values, newValues, handed.get('color'));
    if (pseudo === null && handed.size > 0) this.passedOn.set(element, handed);
  }

  private handOn(
    { element, property, said }: Spot,
    now: Element,
    made: string | null,
    isWanted: boolean,
  ): PassedOn {
    const isPlain = (value: string | null) => value !== null && !TAKEN_OVER.test(value);
    const old = comparable(said);
    return {
      before: isPlain(old) ? old : inheritedValue(this.was.cascade, element, property),
      after: isPlain(made) ? made : inheritedValue(this.is.cascade, now, property),
      isWanted,
    };
  }

  private tell(
    { element, pseudo, property }: Pick<Spot, 'element' | 'pseudo' | 'property'>,
    before: string | null,
    after: string | null,
    isWanted: boolean,
  ): void {
    const { state, viewport } = this.was;
    const selector = `${this.selectorOf(element)}${pseudo === null ? '' : `::${pseudo}`}`;
    const told = { element: selector, state, width: viewport.width, property, before, after };
    if (before !== after) this.into.changed.push(told);
    if (!isWanted) this.into.sideEffects.push(told);
  }

  /** Tells what an element has from those around it, which is another value now. */
  private follow(
    spot: Pick<Spot, 'element' | 'pseudo'>,
    from: ReadonlyMap<string, PassedOn>,
    handed: ReadonlyMap<string, PassedOn>,
  ): void {
    for (const [property, passed] of handed)
      if (from.get(property) === passed && passed.before !== passed.after)
        this.tell({ ...spot, property }, passed.before, passed.after, passed.isWanted);
  }

  /** Tells what is drawn in an element's colour, which is another one now. */
  private followColour(
    spot: Pick<Spot, 'element' | 'pseudo'>,
    values: ReadonlyMap<string, readonly Value[]>,
    newValues: ReadonlyMap<string, readonly Value[]>,
    colour: PassedOn | undefined,
  ): void {
    if (!colour || colour.before === null || colour.after === null) return;
    for (const [property, [said]] of values) {
      const value = comparable(said ?? null) ?? '';
      const isSame = value === comparable(newValues.get(property)?.[0] ?? null);
      if (property === 'color' || !isSame || value.search(CURRENT_COLOUR) === -1) continue;
      const [before, after] = [colour.before, colour.after].map((now) => value.replace(CURRENT_COLOUR, now));
      this.tell({ ...spot, property }, before ?? null, after ?? null, colour.isWanted);
    }
  }
}

/** Whether two declarations say the same in the same way; what names custom properties may come to something else. */
function saysTheSame(a: Candidate, b: Candidate): boolean {
  const { property, value, important, place } = a.declaration;
  const other = b.declaration;
  return (
    a.certain === b.certain &&
    property === other.property &&
    value === other.value &&
    important === other.important &&
    place.file === other.place.file &&
    !value.includes('var(')
  );
}

const NOTHING_PASSED: ReadonlyMap<string, PassedOn> = new Map();
const CURRENT_COLOUR = /\bcurrentcolor\b/gi;

/**
 * Holds a page against itself as it would be: every value of every element, in every state, in three windows, with what others have
 * from it. But for the link to an added stylesheet, both have the same elements in the same order.
 */
export function prove(
  before: ForeignPage,
  after: ForeignPage,
  isAsked: IsAsked,
  { only = null, isMeant = () => true, widths = [] }: ProofExtent = {},
): Proof {
  const proof: Proof & LookProof['into'] = { changed: [], sideEffects: [], spots: [] };
  const selectorOf = createElementSelectors(before.elements);
  const elementsNow = ownElements(after);
  const pseudos = [null, ...new Set([...before.matcher.pseudoElements(), ...after.matcher.pseudoElements()])];
  for (const looks of looksOf(before, after, widths)) {
    const look = new LookProof(looks, isAsked, proof, selectorOf);
    ownElements(before).forEach((element, index) => {
      const now = elementsNow[index];
      // What stands in the head is not drawn, and has one link more for a sibling.
      if (!now || isOfHead(element) || only?.has(element) === false) return;
      const isLookedAt = isMeant(element);
      for (const pseudo of pseudos)
        if (isLookedAt || !look.isSame(element, now, pseudo)) look.compare(element, now, pseudo);
    });
  }
  return proof;
}
