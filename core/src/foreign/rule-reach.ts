import { AT_REST } from './selectors/pseudos.ts';
import { ownElements } from './change/edited-page.ts';
import type { ForeignPage } from './page.ts';
import type { ToldValue } from './told-rules.ts';

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
  const all = new Set(page.elements);
  page.matcher.setLive({ ...AT_REST, pointed: all, pressed: all, around: all, allFocused: true });
  const pseudos = [null, ...page.matcher.pseudoElements()];
  const met = ownElements(page).flatMap((element, at) =>
    pseudos.some((pseudo) => page.matcher.matches(element, pseudo).some((match) => match.rule === rule))
      ? [at]
      : [],
  );
  page.matcher.setLive(AT_REST);
  return met;
}
