import {
  readForeignPage,
  usedFiles,
  type ForeignPage,
  type PageChange,
  type PageFiles,
  type Result,
} from '@hamaca/core';
import type { Output } from '../output.ts';
import { ERRORS } from '../words.ts';
import { bringPage } from './brought-page.ts';
import { writeChange } from './write-change.ts';

/** Where a change goes, and in which form it is told. */
export interface Delivery {
  readonly out: string;
  readonly json: boolean;
}

/** What a change has to say besides what changes and what else does. */
export interface Telling<Change extends PageChange> {
  /** More of its report. */
  readonly report: (change: Change) => object;
  readonly words: (change: Change) => readonly string[];
  /** Whether it came about. */
  readonly isWhole: (change: Change) => boolean;
}

const NOTHING_MORE: Telling<PageChange> = { report: () => ({}), words: () => [], isWhole: () => true };

/** What a change did, in a few lines. */
function changeInWords({ changed, sideEffects, files }: PageChange, more: readonly string[]): string {
  const elements = new Set(changed.map(({ element }) => element)).size;
  const lines = [
    `${changed.length} values of ${elements} elements change, in ${[...files.keys()].sort().join(', ')}`,
    ...sideEffects
      .slice(0, 20)
      .map(
        ({ element, state, width, property, before, after }) =>
          `side effect: ${element} (${state}, ${width} px) ${property}: ${before ?? 'nothing'} becomes ${after ?? 'nothing'}`,
      ),
    ...more,
  ];
  if (sideEffects.length > 20) lines.push(`and ${sideEffects.length - 20} more side effects`);
  return `${lines.join('\n')}\n`;
}

/**
 * Changes a page and writes it as it would be, with a report; answers the exit code, 1 where anything changes that was not asked for,
 * or it did not come about. `reasons` says each refusal in words.
 */
export async function changePage<Change extends PageChange, Refusal extends string>(
  from: string,
  change: (page: ForeignPage, files: PageFiles) => Result<Change, Refusal>,
  reasons: Readonly<Record<Refusal, string>>,
  { out, json }: Delivery,
  output: Output,
  telling: Telling<Change> = NOTHING_MORE,
): Promise<number> {
  const brought = await bringPage(from, 'all');
  if (!brought.ok) return output.refuse(brought.error);
  const { files, path, html, missing } = brought.value;
  for (const file of missing) output.warn(ERRORS.fileMissing(file));
  const page = readForeignPage(files, path, html);
  const made = change(page, files);
  if (!made.ok) return output.refuse(reasons[made.error]);
  const { changed, sideEffects } = made.value;
  const report = `${JSON.stringify({ changed, sideEffects, ...telling.report(made.value) }, null, 2)}\n`;
  try {
    writeChange(brought.value, usedFiles(page), made.value, report, out);
  } catch (error) {
    return output.refuse(ERRORS.cannotWrite(out, (error as Error).message));
  }
  output.print(json ? report : changeInWords(made.value, telling.words(made.value)));
  return sideEffects.length > 0 || !telling.isWhole(made.value) ? 1 : 0;
}
