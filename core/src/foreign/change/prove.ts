import type { Element } from 'domhandler';
import { memoise } from '../../base/memo.ts';
import { Cascade, type Value } from '../cascade/cascade.ts';
import type { Viewport } from '../conditions/media.ts';
import { ownElements } from './edited-page.ts';
import { createElementSelectors } from '../element-selector.ts';
import type { ForeignPage } from '../page.ts';
import { withRootAddresses } from '../values/addresses.ts';
import { parentOf } from '../tree.ts';
import { AT_REST, type Live } from '../selectors/pseudos.ts';

/** The states a change is looked at in: everything pointed at, everything in focus, so that no rule of theirs is left out. */
export const PROVED_STATES = ['rest', 'hover', 'focus'] as const;
export type ProvedState = (typeof PROVED_STATES)[number];

/** The windows a change is looked at in, px. */
export const PROVED_WIDTHS = [390, 820, 1280] as const;

/** States of a page that is scrolled: as a script tells the stylesheet. */
export const SCROLL_STATES = ['scrolled', 'past', 'down'] as const;
export type ScrollState = (typeof SCROLL_STATES)[number];

/** One value of one element that is another one than before. */
export interface ChangedValue {
  /** A selector that finds exactly this element; a pseudo-element follows it. */
  readonly element: string;
  readonly state: ProvedState | ScrollState;
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
  readonly state: ProvedState;
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

/** All elements in a state at once: what any rule of that state says is met. */
function everywhere(page: ForeignPage, state: ProvedState): Live {
  const all = new Set(page.elements);
  if (state === 'hover') return { ...AT_REST, pointed: all };
  return state === 'focus' ? { ...AT_REST, around: all, focused: null, allFocused: true } : AT_REST;
}

/** A page in every window and state that is looked at, so that several attempts at it share what it was. */
const cascadesOf = memoise((page: ForeignPage) =>
  PROVED_WIDTHS.flatMap((width) =>
    PROVED_STATES.map((state) => {
      const viewport: Viewport = { width, height: null };
      return { state, viewport, cascade: new Cascade(page, { viewport, live: everywhere(page, state) }) };
    }),
  ),
);

const isOfHead = (element: Element): boolean => parentOf(element)?.name === 'head' || element.name === 'head';

/** Whether the grammar at hand knows nothing of a value, as of a property that no browser has. */
const isUnknown = ({ certain, candidate }: Value): boolean => !certain && candidate.certain;

/** A value with its addresses written so that it does not matter in which file it stands. */
const comparable = (value: Value | null): string | null =>
  value ? withRootAddresses(value.value, value.candidate.declaration.place.file) : null;

/**
 * Holds a page against itself as it would be: every value of every element, in every state, in three windows. `isAsked` answers
 * whether a value has become what it should. But for the link to an added stylesheet, both have the same elements in the same order.
 */
export function prove(
  before: ForeignPage,
  after: ForeignPage,
  isAsked: (before: string | null, after: string | null, spot: Spot) => boolean,
): Proof {
  const changed: ChangedValue[] = [];
  const sideEffects: ChangedValue[] = [];
  const spots: Spot[] = [];
  const selectorOf = createElementSelectors(before.elements);
  const elementsThen = ownElements(before);
  const elementsNow = ownElements(after);
  const pseudos = [null, ...new Set([...before.matcher.pseudoElements(), ...after.matcher.pseudoElements()])];
  const later = cascadesOf(after);
  cascadesOf(before).forEach(({ state, viewport, cascade: was }, at) => {
    const is = later[at]?.cascade;
    if (!is) return;
    elementsThen.forEach((element, index) => {
      const now = elementsNow[index];
      // What stands in the head is not drawn, and has one link more for a sibling.
      if (!now || isOfHead(element)) return;
      for (const pseudo of pseudos) {
        const [values, newValues] = [was.values(element, pseudo), is.values(now, pseudo)];
        for (const property of new Set([...values.keys(), ...newValues.keys()])) {
          const said = values.get(property)?.[0] ?? null;
          if (said && isUnknown(said)) continue;
          const spot: Spot = { element, pseudo, state, viewport, property, said };
          const old = comparable(said);
          const made = comparable(newValues.get(property)?.[0] ?? null);
          const isWanted = isAsked(old, made, spot);
          if (old === made && isWanted) continue;
          const told: ChangedValue = {
            element: `${selectorOf(element)}${pseudo === null ? '' : `::${pseudo}`}`,
            state,
            width: viewport.width,
            property,
            before: old,
            after: made,
          };
          if (old !== made) changed.push(told);
          if (isWanted) continue;
          sideEffects.push(told);
          spots.push(spot);
        }
      }
    });
  });
  return { changed, sideEffects, spots };
}
