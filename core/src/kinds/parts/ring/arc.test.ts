import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { APART, EDGE, layRing, MOST_ON_RING, type Ring, type RingQuestion } from './arc.ts';

/** What targets may lose by rounding, in px. */
const ROUNDED = 0.2;

const PLACES = [
  [0, 0],
  [0.5, 0],
  [1, 0],
  [0, 0.5],
  [1, 0.5],
  [0, 1],
  [0.5, 1],
  [1, 1],
] as const;

/** A question for an opener at one of the window's eight places. */
const question = fc
  .record({
    place: fc.constantFrom(...PLACES),
    window: fc.record({
      width: fc.integer({ min: 320, max: 1920 }),
      height: fc.integer({ min: 480, max: 1200 }),
    }),
    offset: fc.record({ x: fc.integer({ min: 8, max: 60 }), y: fc.integer({ min: 8, max: 60 }) }),
    opener: fc.integer({ min: 40, max: 72 }),
    target: fc.integer({ min: 40, max: 64 }),
    count: fc.integer({ min: 2, max: 24 }),
    distance: fc.integer({ min: 0, max: 200 }),
    turn: fc.constantFrom(0, 0, 0, 15, -40, 90),
    span: fc.constantFrom(0, 0, 0, 40, 90, 180),
  })
  .map(({ place: [along, down], offset, ...rest }): RingQuestion => {
    const at = (share: number, size: number, from: number) =>
      share === 0 ? from + rest.opener / 2 : share === 1 ? size - from - rest.opener / 2 : size / 2;
    return {
      ...rest,
      centre: { x: at(along, rest.window.width, offset.x), y: at(down, rest.window.height, offset.y) },
    };
  });

function expectSound(ring: Ring, { window: own, centre, opener, target, count }: RingQuestion): void {
  expect(ring.points).toHaveLength(count);
  expect(ring.circles.reduce((sum, held) => sum + held, 0)).toBe(count);
  ring.points.forEach((point, index) => {
    const [x, y] = [centre.x + point.x, centre.y + point.y];
    for (const [value, size] of [
      [x, own.width],
      [y, own.height],
    ] as const) {
      expect(value - target / 2).toBeGreaterThanOrEqual(EDGE - ROUNDED);
      expect(value + target / 2).toBeLessThanOrEqual(size - EDGE + ROUNDED);
    }
    expect(Math.hypot(point.x, point.y)).toBeGreaterThanOrEqual((opener + target) / 2 + APART - ROUNDED);
    for (const other of ring.points.slice(index + 1))
      expect(Math.hypot(point.x - other.x, point.y - other.y)).toBeGreaterThanOrEqual(
        target + APART - ROUNDED,
      );
  });
}

test('wherever the opener stands, targets keep apart and stay in the window, or it is said that they cannot', () => {
  let laid = 0;
  fc.assert(
    fc.property(question, (asked) => {
      const ring = layRing(asked);
      if (!ring) return;
      laid++;
      expectSound(ring, asked);
    }),
    { numRuns: 400 },
  );
  // The answer that it cannot be done is for the rare case.
  expect(laid).toBeGreaterThan(330);
});

/** An opener of 56 px in the end's bottom corner of the smallest phone. */
const CORNER: RingQuestion = {
  window: { width: 320, height: 480 },
  centre: { x: 320 - 16 - 28, y: 480 - 16 - 28 },
  opener: 56,
  target: 48,
  count: 5,
  distance: 0,
  turn: 0,
  span: 0,
};

const ringOf = (change: Partial<RingQuestion>): Ring => {
  const ring = layRing({ ...CORNER, ...change });
  if (!ring) throw new Error('no ring');
  return ring;
};

test('a few links stand on one circle, many on as few as will hold them', () => {
  expect(ringOf({}).circles).toEqual([5]);
  expect(ringOf({ count: 2 }).circles).toEqual([2]);
  const many = ringOf({ count: 20 });
  expect(many.circles.length).toBeGreaterThan(1);
  expectSound(many, { ...CORNER, count: 20 });
  // With more room around the opener fewer circles do.
  const roomy = ringOf({ count: 20, window: { width: 1200, height: 900 }, centre: { x: 600, y: 450 } });
  expect(roomy.circles.length).toBe(1);
});

test('in the middle of the window they stand all around, evenly', () => {
  const { points } = ringOf({ count: 6, window: { width: 800, height: 800 }, centre: { x: 400, y: 400 } });
  const sum = points.reduce((total, { x, y }) => ({ x: total.x + x, y: total.y + y }), { x: 0, y: 0 });
  expect(Math.hypot(sum.x, sum.y)).toBeLessThan(1);
});

test('the designer turns and narrows the arc as far as the window lets them', () => {
  const open = { window: { width: 1000, height: 800 }, centre: { x: 500, y: 400 } };
  const turned = ringOf({ ...open, turn: 90, span: 90, count: 3 });
  const plain = ringOf({ ...open, span: 90, count: 3 });
  expect(turned.asWished).toBe(true);
  expect(turned.from - plain.from).toBeCloseTo(90);
  expect(turned.to - turned.from).toBeCloseTo(90);
  // Too narrow for the links that are there: the circle grows until they fit.
  const narrow = ringOf({ span: 40, count: 4 });
  expect(narrow.asWished).toBe(true);
  expect(narrow.radius).toBeGreaterThan(ringOf({ count: 4 }).radius);
  // So narrow that nothing helps: width and turn give way.
  expect(ringOf({ span: 2, count: 12 }).asWished).toBe(false);
});

test('what cannot be laid out is said to be so', () => {
  expect(layRing({ ...CORNER, count: MOST_ON_RING + 1 })).toBeNull();
  expect(layRing({ ...CORNER, count: 500 })).toBeNull();
  expect(layRing({ ...CORNER, count: 0 })).toBeNull();
  expect(layRing({ ...CORNER, count: 50 })).toBeNull();
});

test('the same question has the same answer', () => {
  expect(layRing({ ...CORNER })).toBe(layRing({ ...CORNER }));
});
