import { recolour, type RecolourOptions } from '@hamaca/core';
import type { Output } from '../output.ts';
import { ERRORS } from '../words.ts';
import { changePage, type Delivery } from './change-page.ts';

/** `hamaca recolour`: another colour for one wherever a page's rules say it. */
export async function runRecolour(
  from: string,
  options: RecolourOptions,
  delivery: Delivery,
  output: Output,
): Promise<number> {
  const selector = options.within ?? '';
  const reasons = {
    'no colour': ERRORS.noColour(options.from, options.to),
    'no selector': ERRORS.noSelector(selector),
    'no element': ERRORS.noElement(selector, from),
    'not there': ERRORS.colourNotThere(options.from, from),
  };
  return changePage(from, (page, files) => recolour(page, files, options), reasons, delivery, output);
}
