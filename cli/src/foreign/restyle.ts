import { restyle, type RestyleOptions } from '@hamaca/core';
import type { Output } from '../output.ts';
import { ERRORS } from '../words.ts';
import { changePage, type Delivery } from './change-page.ts';

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
    'no mark': ERRORS.noMark(options.at, from),
    'no window': ERRORS.noWindow((options.media ?? []).join(' and ')),
  };
  return changePage(from, (page, files) => restyle(page, files, options), reasons, delivery, output);
}
