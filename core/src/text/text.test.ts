import { describe, expect, test } from '@jest/globals';
import { FONTS, measure } from '../../test/demo.ts';
import { countLetters, fallbackMetrics } from './fallback-metrics.ts';
import { findTypeface, isFamily, TYPEFACES } from './typefaces.ts';

const style = { family: 'figtree', size: 16, weight: 500, tracking: 0 };

describe('measuring', () => {
  test('width grows with size, and tracking adds to each letter', () => {
    const one = measure('Trails & hides', style);
    expect(one.certain).toBe(true);
    expect(measure('Trails & hides', { ...style, size: 32 }).width).toBeCloseTo(2 * one.width, 6);
    expect(
      measure('Birds', { ...style, tracking: 2 }).width -
        measure('Birds', { ...style, tracking: 0.0001 }).width,
    ).toBeCloseTo(10, 2);
  });
  test('kerning pulls letters together', () => {
    const apart = measure('A', style).width + measure('V', style).width;
    expect(measure('AV', style).width).toBeLessThan(apart);
  });
  test('white space collapses as in a page', () => {
    expect(measure('  Join \n in ', style)).toEqual(measure('Join in', style));
  });
  test('a weight between two measured ones lies between them, by its share', () => {
    const at = (weight: number) => measure('Birds', { ...style, weight });
    expect(at(550).width).toBeCloseTo((at(500).width + at(600).width) / 2);
    expect(at(525).width).toBeCloseTo(at(500).width * 0.75 + at(600).width * 0.25);
    expect(at(550).certain).toBe(true);
  });
  test('unknown letters and families are estimated, those drawn in squares at one em, and say so', () => {
    expect(measure('鳥かハ한', style)).toEqual({ width: 4 * 16, certain: false });
    expect(measure('ญ', style)).toEqual({ width: 16 * 0.56, certain: false });
    expect(measure('Birds', { ...style, family: 'system' }).certain).toBe(false);
    expect(measure('', style).width).toBe(0);
  });
  test('every bundled typeface has a table a hundred and knows the demo’s letters', () => {
    for (const typeface of TYPEFACES) {
      const metrics = FONTS.find((entry) => entry.family === typeface.id);
      expect(metrics?.tables.map((table) => table.weight)).toEqual(
        Array.from(
          { length: (typeface.weights[1] - typeface.weights[0]) / 100 + 1 },
          (_, index) => typeface.weights[0] + index * 100,
        ),
      );
      expect(
        measure('Today’s sightings, Species A–Z', { ...style, family: typeface.id, weight: 400 }).certain,
      ).toBe(true);
    }
  });
});

describe('fallback faces', () => {
  test('take about the room of the real one', () => {
    for (const typeface of TYPEFACES) {
      const metrics = FONTS.find((entry) => entry.family === typeface.id);
      if (!metrics) throw new Error(typeface.id);
      const fallback = fallbackMetrics(typeface, metrics, 400, countLetters('Visit Birds Learn Contact'));
      expect(fallback.sizeAdjust).toBeGreaterThan(80);
      expect(fallback.sizeAdjust).toBeLessThan(130);
      expect(fallback.ascent).toBeGreaterThan(60);
      expect(fallback.descent).toBeGreaterThan(10);
    }
  });
});

test('families are known by id', () => {
  expect(isFamily('system')).toBe(true);
  expect(isFamily('figtree')).toBe(true);
  expect(isFamily('comic')).toBe(false);
  expect(findTypeface('karla')?.name).toBe('Karla');
});
