import { lexer, parse, property as nameParts, type CssNode } from 'css-tree';
import { memoiseText } from '../../base/memo.ts';
import type { Truth } from '../conditions/truth.ts';
import { currentName } from './longhands.ts';
import { isUnsupportedWord, NOT_SUPPORTED } from './not-supported.ts';

/** Values that only other browsers, or none any more, ever took; the library's grammar knows them still. */
const OF_OTHERS = /(?:^|[\s,(])-(?:moz|ms|o|khtml)-|\bexpression\(|progid:|\\\d+$/i;
const OPEN_FUNCTIONS = /\b(?:var|env|attr|if|--[\w-]+)\(/i;
const WIDE = /^(?:initial|inherit|unset|revert|revert-layer)$/i;

/** Reads a value into a tree; null for what is none. */
export const readValue = memoiseText((text: string): CssNode | null => {
  try {
    return parse(text, { context: 'value', positions: true });
  } catch {
    return null;
  }
});

/** A calculation of numbers alone, which is a number: the library's grammar takes every calculation for a length, too. */
const OF_NUMBERS = /\bcalc\(([\s\d.+*/()-]*)\)/gi;

/** One stands in for every number that is calculated; a nought would pass for a length. */
const withNumbers = (value: string) => (/calc\(/i.test(value) ? value.replace(OF_NUMBERS, '1') : value);

/** Whether the value waits for something that is only known later: then it is taken for the time being. */
export const isOpen = (value: string): boolean => OPEN_FUNCTIONS.test(value);

/** Whether a property is one of those of other browsers alone. */
export const isOfOthers = (property: string): boolean => {
  const { vendor } = nameParts(property);
  return vendor !== '' && vendor !== '-webkit-';
};

/** Whether a browser of today takes a declaration; null for what the grammar at hand does not know. */
export function isTaken(property: string, value: string): Truth {
  if (property.startsWith('--')) return true;
  if (isOfOthers(property) || NOT_SUPPORTED.has(currentName(property)) || OF_OTHERS.test(value)) return false;
  if (isUnsupportedWord(property, value)) return false;
  if (!lexer.getProperty(property)) return null;
  if (WIDE.test(value) || isOpen(value)) return true;
  const tree = readValue(withNumbers(value));
  if (!tree) return false;
  return lexer.matchProperty(property, tree).matched !== null;
}
