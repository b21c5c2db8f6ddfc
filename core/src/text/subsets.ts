/**
 * Letters beyond Latin-1 stand in files of their own, which pages load only where their words need them. Ranges are those
 * the files are cut by (CSS Fonts 4, section 4.5, `unicode-range`).
 */
export const SUBSETS = {
  'latin-ext':
    'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF',
  vietnamese: 'U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303,U+0309,U+0323,U+1EA0-1EF9,U+20AB',
  greek: 'U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF',
  cyrillic: 'U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116',
  hebrew: 'U+0307-0308,U+0590-05FF,U+200C-2010,U+20AA,U+25CC,U+FB1D-FB4F',
} as const satisfies Record<string, string>;

export type Subset = keyof typeof SUBSETS;

/** Every character that stands in a subset's file and not in the file that is always loaded, as one class of a pattern. */
const patternOf = (ranges: string) =>
  new RegExp(
    `[${ranges.replaceAll(/U\+([0-9A-F]+)(?:-([0-9A-F]+))?,?/g, (_whole, from: string, to?: string) =>
      to === undefined ? `\\u{${from}}` : `\\u{${from}}-\\u{${to}}`,
    )}]`,
    'u',
  );

/** What stands beyond Latin-1. */
const BEYOND = /[^\u0000-\u00ff]+/g;

/** Punctuation and marks that the file that is always loaded has as well. */
const ALWAYS = /[\u0300-\u0308\u200c-\u2010]/gu;

const PATTERNS = Object.entries(SUBSETS).map(([id, ranges]) => [id as Subset, patternOf(ranges)] as const);

/** The subsets that some words need of a typeface that has these. */
export function neededSubsets(words: string, has: readonly Subset[]): readonly Subset[] {
  const found = has.length === 0 ? null : words.match(BEYOND);
  const beyond = found?.join('').replaceAll(ALWAYS, '') ?? '';
  if (beyond === '') return [];
  return PATTERNS.filter(([id, pattern]) => has.includes(id) && pattern.test(beyond)).map(([id]) => id);
}
