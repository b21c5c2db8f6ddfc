import { readForeignPage, recolour, usedFiles, type PageChange, type RecolourOptions } from '@hamaca/core';
import type { Output } from '../output.ts';
import { ERRORS } from '../words.ts';
import { bringPage } from './brought-page.ts';
import { writeChange } from './write-change.ts';

/** What a change did, in a few lines. */
export function changeInWords({ changed, sideEffects, files }: PageChange): string {
  const elements = new Set(changed.map(({ element }) => element)).size;
  const lines = [
    `${changed.length} values of ${elements} elements change, in ${[...files.keys()].sort().join(', ')}`,
    ...sideEffects
      .slice(0, 20)
      .map(
        ({ element, state, width, property, before, after }) =>
          `side effect: ${element} (${state}, ${width} px) ${property}: ${before ?? 'nothing'} becomes ${after ?? 'nothing'}`,
      ),
  ];
  if (sideEffects.length > 20) lines.push(`and ${sideEffects.length - 20} more side effects`);
  return `${lines.join('\n')}\n`;
}

/** `hamaca recolour`: another colour for one wherever a page's rules say it; 1 where something else changes, too. */
export function runRecolour(
  from: string,
  options: RecolourOptions,
  { out, json }: { readonly out: string; readonly json: boolean },
  output: Output,
): number {
  const brought = bringPage(from);
  if (!brought.ok) return output.refuse(brought.error);
  const page = readForeignPage(brought.value.files, brought.value.path, brought.value.html);
  const made = recolour(page, brought.value.files, options);
  if (!made.ok) {
    const selector = options.within ?? '';
    const reasons = {
      'no colour': ERRORS.noColour(options.from, options.to),
      'no selector': ERRORS.noSelector(selector),
      'no element': ERRORS.noElement(selector, from),
      'not there': ERRORS.colourNotThere(options.from, from),
    };
    return output.refuse(reasons[made.error]);
  }
  const change = made.value;
  try {
    writeChange(brought.value, usedFiles(page), change, out);
  } catch (error) {
    return output.refuse(ERRORS.cannotWrite(out, (error as Error).message));
  }
  const { changed, sideEffects } = change;
  output.print(json ? `${JSON.stringify({ changed, sideEffects }, null, 2)}\n` : changeInWords(change));
  return sideEffects.length > 0 ? 1 : 0;
}
