import { optional, text } from './shape/fields.ts';

/** What a word of the output may be: small letters and digits, with dashes between them. */
const WORD = /^[a-z][a-z0-9]*(?:-[a-z0-9]+)*$/;

/** Longest word, in characters. */
export const LONGEST_WORD = 60;

/**
 * The word that a thing's class names and ids in the output begin with. It is made from the thing's name once and stays as
 * it is when that changes, so that renaming something never renames what a developer has built upon.
 */
export const OUTPUT_WORD = {
  word: optional(
    text({
      min: 1,
      max: LONGEST_WORD,
      pattern: { test: WORD, allowed: 'small letters and digits, with single dashes between them' },
      hint: 'what its class names in the output begin with',
    }),
  ),
} as const;

export interface OutputWord {
  readonly word?: string;
}
