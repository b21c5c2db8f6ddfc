import { usedFiles, type ForeignPage, type PageChange } from '@hamaca/core';
import type { Output } from '../output.ts';
import { ERRORS } from '../words.ts';
import type { BroughtPage } from './brought-page.ts';
import { writeChange } from './write-change.ts';

/** Where a change goes, and in which form it is told. */
export interface Delivery {
  readonly out: string;
  readonly json: boolean;
}

/** What a change did, in a few lines. */
function changeInWords({ changed, sideEffects, files }: PageChange): string {
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

/** Writes a change of a page and tells it; answers the exit code, 1 where anything changes that was not asked for. */
export function deliver(
  brought: BroughtPage,
  page: ForeignPage,
  change: PageChange,
  { out, json }: Delivery,
  output: Output,
): number {
  try {
    writeChange(brought, usedFiles(page), change, out);
  } catch (error) {
    return output.refuse(ERRORS.cannotWrite(out, (error as Error).message));
  }
  const { changed, sideEffects } = change;
  output.print(json ? `${JSON.stringify({ changed, sideEffects }, null, 2)}\n` : changeInWords(change));
  return sideEffects.length > 0 ? 1 : 0;
}
