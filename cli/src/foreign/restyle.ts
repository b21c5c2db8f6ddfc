import { PROVED_STATES, readForeignPage, restyle, type ProvedState, type RestyleOptions } from '@hamaca/core';
import type { Output } from '../output.ts';
import { ERRORS } from '../words.ts';
import { bringPage } from './brought-page.ts';
import { deliver, type Delivery } from './deliver.ts';

/** Whether a text names one of the states that can be given a look. */
export const isProvedState = (text: string): text is ProvedState =>
  (PROVED_STATES as readonly string[]).includes(text);

/** `hamaca restyle`: elements of a page look otherwise, in one state. */
export function runRestyle(
  from: string,
  options: RestyleOptions,
  delivery: Delivery,
  output: Output,
): number {
  const brought = bringPage(from);
  if (!brought.ok) return output.refuse(brought.error);
  const { files, path, html } = brought.value;
  const page = readForeignPage(files, path, html);
  const made = restyle(page, files, options);
  if (made.ok) return deliver(brought.value, page, made.value, delivery, output);
  const reasons = {
    'no selector': ERRORS.noSelector(options.at),
    'no element': ERRORS.noElement(options.at, from),
    'no declaration': ERRORS.noDeclaration(options.set),
  };
  return output.refuse(reasons[made.error]);
}
