import { lexer, parse } from 'css-tree';
import { memoiseText } from '../../base/memo.ts';
import { isOpen, readValue } from './is-taken.ts';

/** The parts of a value that blanks separate, as they were written; `/` and `,` stand as parts of their own. */
export const partsOf = memoiseText((value: string): readonly string[] => {
  const tree = readValue(value);
  if (tree?.type !== 'Value') return [];
  return tree.children
    .toArray()
    .map(({ loc }) => (loc ? value.slice(loc.start.offset, loc.end.offset).trim() : ''))
    .filter((part) => part !== '');
});

/** The parts of a value between separators. */
export function splitParts(parts: readonly string[], separator: ',' | '/'): string[][] {
  const split: string[][] = [[]];
  for (const part of parts) {
    if (part === separator) split.push([]);
    else split.at(-1)?.push(part);
  }
  return split;
}

const judge = memoiseText((both: string): boolean => {
  const colon = both.indexOf(':');
  try {
    const tree = parse(both.slice(colon + 1), { context: 'value' });
    return lexer.matchProperty(both.slice(0, colon), tree).matched !== null;
  } catch {
    return false;
  }
}, 20_000);

/** Whether a value could be that of a longhand. */
export const fits = (property: string, value: string): boolean =>
  isOpen(value) ? false : judge(`${property}:${value}`);
