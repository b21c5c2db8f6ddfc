import type { Element } from 'domhandler';
import { fail, succeed, type Result } from '../base/result.ts';
import type { ForeignPage } from './page.ts';

export type NotFound = 'no selector' | 'no element';

/** The elements of a page that a selector finds, one at least, in the order of the document; and the pseudo-element it means. */
export function findElements(
  page: ForeignPage,
  selector: string,
): Result<{ readonly elements: readonly Element[]; readonly pseudo: string | null }, NotFound> {
  const found = page.matcher.select(selector, page.elements);
  if (!found) return fail('no selector');
  return found.elements.length > 0 ? succeed(found) : fail('no element');
}
