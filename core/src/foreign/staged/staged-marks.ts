import { memoise } from '../../base/memo.ts';
import { marksOf } from '../cascade/marked-states.ts';
import type { MarkedState } from '../selectors/marks.ts';
import { ownElements } from '../change/edited-page.ts';
import type { ForeignPage } from '../page.ts';

/** Attributes of an element that are others in a state; null for one that it does not bear then. */
export interface StagedMark {
  /** Its place among the page's elements. */
  readonly at: number;
  readonly attributes: Readonly<Record<string, string | null>>;
}

const placesOf = memoise(
  (page: ForeignPage) => new Map(ownElements(page).map((element, at) => [element, at])),
);

/** How the markup of a page differs where one of its elements is in a state that the page marks. */
export function stagedMarks(page: ForeignPage, at: number, state: MarkedState): readonly StagedMark[] {
  const element = ownElements(page)[at];
  if (!element) return [];
  const places = placesOf(page);
  return [...marksOf(page, element, state)].flatMap(([marked, attributes]) => {
    const place = places.get(marked);
    if (place === undefined) return [];
    const names = new Set([...Object.keys(marked.attribs), ...Object.keys(attributes)]);
    const changed = [...names]
      .map((name) => [name, attributes[name] ?? null] as const)
      .filter(([name, value]) => value !== (marked.attribs[name] ?? null));
    return changed.length === 0 ? [] : [{ at: place, attributes: Object.fromEntries(changed) }];
  });
}
