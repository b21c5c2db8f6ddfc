import type { Typeface } from './typefaces.ts';

/** A face every system has, or has a metric-compatible copy of. Widths in thousandths of an em. */
export interface SystemFace {
  readonly local: readonly string[];
  readonly unitsPerEm: number;
  readonly widths: Readonly<Record<string, number>>;
}

const LETTERS = ' ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz';
const DIGITS = '0123456789';
const SIGNS = '!"#$%&\'()*+,-./:;<=>?@[\\]_{|}~’–—…·•';

const widthsOf = (list: readonly number[], digit: number, signs: readonly number[]) =>
  Object.fromEntries([
    ...[...LETTERS].map((letter, index) => [letter, list[index] ?? 500] as const),
    ...[...DIGITS].map((one) => [one, digit] as const),
    ...[...SIGNS].map((one, index) => [one, signs[index] ?? 500] as const),
  ]);

/** Advance widths of the standard 14 PDF fonts' Helvetica and Times, which Arial and Times New Roman share. */
export const SYSTEM_FACES: Readonly<Record<Typeface['fallback'], SystemFace>> = {
  sans: {
    local: ['Arial', 'Liberation Sans', 'Helvetica'],
    unitsPerEm: 1000,
    widths: widthsOf(
      [
        278, 667, 667, 722, 722, 667, 611, 778, 722, 278, 500, 667, 556, 833, 722, 778, 667, 778, 722, 667,
        611, 722, 667, 944, 667, 667, 611, 556, 556, 500, 556, 556, 278, 556, 556, 222, 222, 500, 222, 833,
        556, 556, 556, 556, 333, 500, 278, 556, 500, 722, 500, 500, 500,
      ],
      556,
      [
        278, 355, 556, 556, 889, 667, 191, 333, 333, 389, 584, 278, 333, 278, 278, 278, 278, 584, 584, 584,
        556, 1015, 278, 278, 278, 556, 334, 260, 334, 584, 222, 556, 1000, 1000, 278, 350,
      ],
    ),
  },
  serif: {
    local: ['Times New Roman', 'Liberation Serif', 'Times'],
    unitsPerEm: 1000,
    widths: widthsOf(
      [
        250, 722, 667, 667, 722, 611, 556, 722, 722, 333, 389, 722, 611, 889, 722, 722, 556, 722, 667, 556,
        611, 722, 722, 944, 722, 722, 611, 444, 500, 444, 500, 444, 333, 500, 500, 278, 278, 500, 278, 778,
        500, 500, 500, 500, 333, 389, 278, 500, 500, 722, 500, 500, 444,
      ],
      500,
      [
        333, 408, 500, 500, 833, 778, 180, 333, 333, 500, 564, 250, 333, 250, 278, 278, 278, 564, 564, 564,
        444, 921, 333, 278, 333, 500, 480, 200, 480, 541, 333, 500, 1000, 1000, 250, 350,
      ],
    ),
  },
};
