import { parseColour } from '../../colour/colour.ts';
import { fullSelector, conditionText } from '../rule-text.ts';
import type { ForeignPage } from '../page.ts';
import { elementsOfRule } from '../rule-reach.ts';
import { isTaken } from '../values/is-taken.ts';
import { ownElements } from './edited-page.ts';
import { placeKey } from './recolour.ts';
import { recolourValue } from './recolour-value.ts';

/** A declaration that says a colour, and what it styles. */
export interface ColourPlace {
  /** As `RecolourOptions.only` names it. */
  readonly key: string;
  readonly file: string;
  readonly line: number;
  /** Null for a style attribute. */
  readonly selector: string | null;
  readonly conditions: readonly string[];
  readonly property: string;
  readonly value: string;
  /** Elements by their place among the page's; of a custom property those that it is set on. */
  readonly elements: readonly number[];
}

/** Another colour than any, to see where one would be put in. */
const OTHER = '#010203';

/** All declarations of a page that say a colour in any notation and reach anything, as they stand in its files. */
export function colourPlaces(page: ForeignPage, colour: string): readonly ColourPlace[] {
  const wanted = parseColour(colour);
  if (!wanted) return [];
  const says = (property: string, value: string) =>
    isTaken(property, value) === true && recolourValue(property, value, wanted, OTHER) !== value;
  const found: ColourPlace[] = [];
  for (const rule of page.rules.styles)
    for (const { property, value, place } of rule.declarations) {
      if (!says(property, value)) continue;
      const selector = fullSelector(rule);
      const elements = elementsOfRule(page, { ...place, selector: selector ?? '' });
      if (elements.length === 0) continue;
      const conditions = rule.conditions.map(conditionText);
      found.push({
        key: placeKey(place),
        file: place.file,
        line: place.line,
        selector,
        conditions,
        property,
        value,
        elements,
      });
    }
  ownElements(page).forEach((element, at) => {
    for (const { property, value, place } of page.inline(element))
      if (says(property, value))
        found.push({
          key: placeKey(place),
          file: place.file,
          line: place.line,
          selector: null,
          conditions: [],
          property,
          value,
          elements: [at],
        });
  });
  return found;
}
