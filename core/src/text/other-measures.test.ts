import { describe, expect, test } from '@jest/globals';
import { FONTS, measure } from '../../test/demo.ts';
import { countLetters, fallbackMetrics } from './fallback-metrics.ts';
import { fallbackMeasurer, longerBy } from './other-measures.ts';
import { SYSTEM_FACES } from './system-faces.ts';
import { findTypeface, TYPEFACES } from './typefaces.ts';

const WORDS = 'Visit Birds Learn Join in News Contact';
const before = fallbackMeasurer(measure, FONTS, (family) => findTypeface(family), countLetters(WORDS));
const style = { family: 'figtree', size: 20, weight: 400, tracking: 0 };

describe('labels before their typeface has arrived', () => {
  test('take about the room they take in the end: all the words they were fitted to as much, each a little else', () => {
    for (const { id } of TYPEFACES) {
      const own = { ...style, family: id };
      const share = before(WORDS, own).width / measure(WORDS, own).width;
      expect(share).toBeGreaterThan(0.97);
      expect(share).toBeLessThan(1.03);
      expect(before(WORDS, own).certain).toBe(true);
    }
  });
  test('are as wide as the system face, scaled as the stylesheet scales it', () => {
    const typeface = findTypeface('figtree');
    const metrics = FONTS.find(({ family }) => family === 'figtree');
    if (!typeface || !metrics) throw new Error('no such face');
    const { sizeAdjust } = fallbackMetrics(typeface, metrics, 400, countLetters(WORDS));
    const { widths } = SYSTEM_FACES.sans;
    const units = (widths['N'] ?? 0) + (widths['é'] ?? widths['e'] ?? 0) + (widths['4'] ?? 0);
    expect(before('Né4', style).width).toBeCloseTo((units / 1000) * 20 * (sizeAdjust / 100), 6);
    expect(before('Né4', { ...style, tracking: 2 }).width).toBeCloseTo(before('Né4', style).width + 6, 6);
  });
  test('of letters no table knows are estimated, and say so; families without a face are measured as before', () => {
    expect(before('鳥', style).certain).toBe(false);
    const system = { ...style, family: 'system' };
    expect(before('Birds', system)).toEqual(measure('Birds', system));
  });
  test('every system face has a width for every letter, digit and sign of the keyboard', () => {
    for (const { widths } of Object.values(SYSTEM_FACES))
      for (let code = 32; code < 127; code++) {
        const letter = String.fromCharCode(code);
        if (letter !== '^' && letter !== '`')
          expect([letter, (widths[letter] ?? 0) > 0]).toEqual([letter, true]);
      }
  });
});

test('longer labels are longer by their share, and as certain', () => {
  const { width, certain } = measure('Opening hours', style);
  expect(longerBy(measure, 0.3)('Opening hours', style)).toEqual({ width: width * 1.3, certain });
});
