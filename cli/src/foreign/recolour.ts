import { readForeignPage, recolour, type RecolourOptions } from '@hamaca/core';
import type { Output } from '../output.ts';
import { ERRORS } from '../words.ts';
import { bringPage } from './brought-page.ts';
import { deliver, type Delivery } from './deliver.ts';

/** `hamaca recolour`: another colour for one wherever a page's rules say it. */
export function runRecolour(
  from: string,
  options: RecolourOptions,
  delivery: Delivery,
  output: Output,
): number {
  const brought = bringPage(from);
  if (!brought.ok) return output.refuse(brought.error);
  const { files, path, html } = brought.value;
  const page = readForeignPage(files, path, html);
  const made = recolour(page, files, options);
  if (made.ok) return deliver(brought.value, page, made.value, delivery, output);
  const selector = options.within ?? '';
  const reasons = {
    'no colour': ERRORS.noColour(options.from, options.to),
    'no selector': ERRORS.noSelector(selector),
    'no element': ERRORS.noElement(selector, from),
    'not there': ERRORS.colourNotThere(options.from, from),
  };
  return output.refuse(reasons[made.error]);
}
