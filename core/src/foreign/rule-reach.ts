import type { Element } from 'domhandler';
import { memoise } from '../base/memo.ts';
import { marksEverywhere } from './cascade/marked-states.ts';
import { ownElements } from './change/edited-page.ts';
import type { ForeignPage } from './page.ts';
import { AT_REST, type Live } from './selectors/pseudos.ts';
import type { ToldValue } from './told-rules.ts';

/** A page in which every element is in every state, so that all that rules could say is met. */
const everyState = memoise((page: ForeignPage): Live => {
  const all = new Set(page.elements);
  const marks = new Map(marksEverywhere(page, 'current'));
  for (const [element, open] of marksEverywhere(page, 'open')) {
    const current = marks.get(element);
    const classes = [current?.['class'], open['class']].filter((names) => names !== undefined).join(' ');
    marks.set(element, { ...current, ...open, ...(classes === '' ? {} : { class: classes }) });
  }
  return { ...AT_REST, pointed: all, pressed: all, around: all, allFocused: true, marks };
});

/** The pseudo-elements of an element that rules style in some state. */
export function pseudoElementsOf(page: ForeignPage, element: Element): readonly string[] {
  page.matcher.setLive(everyState(page));
  const found = [...page.matcher.pseudoElements()].filter(
    (pseudo) => page.matcher.matches(element, pseudo).length > 0,
  );
  page.matcher.setLive(AT_REST);
  return found.sort();
}

/**
 * The elements that the rule of a value styles, in any state of theirs, by their place among the page's. A style attribute styles the one
 * it stands in.
 */
export function elementsOfRule(
  page: ForeignPage,
  { file, line, column, selector }: Pick<ToldValue, 'file' | 'line' | 'column' | 'selector'>,
): readonly number[] {
  const isIt = ({ place }: { readonly place: { file: string; line: number; column: number } }) =>
    place.file === file && place.line === line && place.column === column;
  if (selector === null)
    return ownElements(page).flatMap((element, at) => (page.inline(element).some(isIt) ? [at] : []));
  const rule = page.rules.styles.find(({ declarations }) => declarations.some(isIt));
  if (!rule) return [];
  page.matcher.setLive(everyState(page));
  const pseudos = [null, ...page.matcher.pseudoElements()];
  const met = ownElements(page).flatMap((element, at) =>
    pseudos.some((pseudo) => page.matcher.matches(element, pseudo).some((match) => match.rule === rule))
      ? [at]
      : [],
  );
  page.matcher.setLive(AT_REST);
  return met;
}
