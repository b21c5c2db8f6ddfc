import { lexer } from 'css-tree';
import { lazy, memoiseText } from '../../base/memo.ts';
import { isTaken } from './is-taken.ts';
import { currentName } from './longhands.ts';
import { SHORTHANDS } from './shorthands.ts';

/** What one declaration says of one longhand. */
export interface Said {
  readonly longhand: string;
  readonly value: string;
  /** False where the grammar at hand does not know it. */
  readonly certain: boolean;
}

const WIDE = /^(?:initial|inherit|unset|revert|revert-layer)$/i;

/** All properties but shorthands, custom ones and the two that `all` leaves alone. */
const everyLonghand = lazy(() =>
  Object.keys((lexer as unknown as { readonly properties: object }).properties).filter(
    (name) =>
      !name.startsWith('-') &&
      !SHORTHANDS.has(name) &&
      currentName(name) === name &&
      !/^(?:all|direction|unicode-bidi)$/.test(name),
  ),
);

/** The longhands that a property stands for: itself, where it is none. */
export function longhandsOf(property: string): readonly string[] {
  const name = currentName(property);
  if (name === 'all') return everyLonghand();
  return SHORTHANDS.get(name)?.longhands ?? [name];
}

/** How many declarations are remembered: a page's stylesheets say the same over and over. */
const MOST_KNOWN = 20_000;

/** Takes a declaration without `var()` apart into its longhands; null for one that a browser would not take. */
export const expand = (property: string, value: string): readonly Said[] | null =>
  expandText(`${property}:${value}`);

const expandText = memoiseText((declaration) => {
  const colon = declaration.indexOf(':');
  return expandAnew(declaration.slice(0, colon), declaration.slice(colon + 1));
}, MOST_KNOWN);

function expandAnew(property: string, value: string): readonly Said[] | null {
  const taken = isTaken(property, value);
  if (taken === false) return null;
  const certain = taken === true;
  const name = currentName(property);
  if (name === 'all' && !WIDE.test(value)) return null;
  const all = (said: string) => longhandsOf(name).map((longhand) => ({ longhand, value: said, certain }));
  if (WIDE.test(value)) return all(value.toLowerCase());
  const shorthand = SHORTHANDS.get(name);
  if (!shorthand) {
    // The one value that is called otherwise under the old name.
    const isOldBreak = property.startsWith('page-break-') && value.toLowerCase() === 'always';
    return [{ longhand: name, value: isOldBreak ? 'page' : value, certain }];
  }
  const made = shorthand.expand(value);
  // What cannot be taken apart stands as it is, and is said to be so.
  if (!made) return [{ longhand: name, value, certain: false }];
  return [...made].map(([longhand, part]) => ({ longhand, value: part, certain }));
}
