import { describe, expect, test } from '@jest/globals';
import { clipOf, overhangOf } from './hanging.ts';

const box = (left: number, right: number, top: number, bottom: number) => ({ left, right, top, bottom });

describe('a submenu that reaches further down than the stage', () => {
  test('is drawn whole, as far as the window goes', () => {
    expect(overhangOf([], 240, 500)).toBe(0);
    expect(overhangOf([box(10, 200, 60, 240)], 240, 500)).toBe(0);
    expect(overhangOf([box(10, 200, 60, 240), box(200, 390, 80, 300.4)], 240, 500)).toBe(65);
    expect(overhangOf([box(10, 200, 60, 900)], 240, 500)).toBe(500);
    expect(overhangOf([box(10, 200, 60, 900)], 240, -3)).toBe(0);
  });

  test('shows nothing of the page beside it', () => {
    const stage = { width: 1000, height: 240, overhang: 70 };
    expect(clipOf([box(40, 200, 60, 300), box(990, 1100, 60, 200)], stage)).toBe(
      'path("M0 0H1000V240H0ZM36 240H204V304H36Z")',
    );
    expect(clipOf([box(4, 998, 60, 900)], stage)).toBe('path("M0 0H1000V240H0ZM0 240H1000V310H0Z")');
  });
});
