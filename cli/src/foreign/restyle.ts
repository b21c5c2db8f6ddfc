import { PROVED_STATES, restyle, type ProvedState, type RestyleOptions } from '@hamaca/core';
import type { Output } from '../output.ts';
import { ERRORS } from '../words.ts';
import { changePage, type Delivery } from './change-page.ts';

/** Whether a text names one of the states that can be given a look. */
export const isProvedState = (text: string): text is ProvedState =>
  (PROVED_STATES as readonly string[]).includes(text);

/** `hamaca restyle`: elements of a page look otherwise, in one state. */
export async function runRestyle(
  from: string,
  options: RestyleOptions,
  delivery: Delivery,
  output: Output,
): Promise<number> {
  const reasons = {
    'no selector': ERRORS.noSelector(options.at),
    'no element': ERRORS.noElement(options.at, from),
    'no declaration': ERRORS.noDeclaration(options.set),
  };
  return changePage(from, (page, files) => restyle(page, files, options), reasons, delivery, output);
}
