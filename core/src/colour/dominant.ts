import { converter } from 'culori/fn';
import { clamp, type Rgba } from './colour.ts';

const toOklab = converter('oklab');
const toRgb = converter('rgb');

/** A colour with the share of a picture (0 to 1) that looks about like it. */
export interface DominantColour {
  readonly colour: Rgba;
  readonly share: number;
}

interface Point {
  readonly l: number;
  readonly a: number;
  readonly b: number;
  readonly weight: number;
}

/** Bits kept of each channel while counting: 32 steps tell more than an eye in a picture. */
const BITS = 5;
const ROUNDS = 12;
/** Centres nearer than this in OKLab are one colour. */
const ALIKE = 0.045;

/** Counts opaque pixels by coarse colour; each bucket keeps the mean of what fell into it. */
function countPixels(pixels: ArrayLike<number>): Point[] {
  const sums = new Map<number, [count: number, r: number, g: number, b: number]>();
  const shift = 8 - BITS;
  for (let at = 0; at + 3 < pixels.length; at += 4) {
    const [r, g, b, a] = [pixels[at] ?? 0, pixels[at + 1] ?? 0, pixels[at + 2] ?? 0, pixels[at + 3] ?? 0];
    if (a < 128) continue;
    const key = ((r >> shift) << (2 * BITS)) | ((g >> shift) << BITS) | (b >> shift);
    const sum = sums.get(key);
    if (sum) {
      sum[0]++;
      sum[1] += r;
      sum[2] += g;
      sum[3] += b;
    } else sums.set(key, [1, r, g, b]);
  }
  return [...sums.values()].map(([weight, r, g, b]) => {
    const lab = toOklab({ mode: 'rgb', r: r / weight / 255, g: g / weight / 255, b: b / weight / 255 });
    return { l: lab.l, a: lab.a, b: lab.b, weight };
  });
}

const distance = (one: Omit<Point, 'weight'>, two: Omit<Point, 'weight'>) =>
  Math.hypot(one.l - two.l, one.a - two.a, one.b - two.b);

/** Starting centres: the commonest colour, then each time the one that is farthest from all before, commoner ones preferred. */
function firstCentres(points: readonly Point[], most: number): Point[] {
  const commonest = points.reduce((best, point) => (point.weight > best.weight ? point : best));
  const centres = [commonest];
  const nearest = points.map((point) => distance(point, commonest));
  while (centres.length < most) {
    let best = -1;
    let score = 0;
    points.forEach((point, index) => {
      const own = (nearest[index] ?? 0) ** 2 * Math.sqrt(point.weight);
      if (own > score) {
        score = own;
        best = index;
      }
    });
    const next = points[best];
    if (!next) break;
    centres.push(next);
    points.forEach((point, index) => {
      nearest[index] = Math.min(nearest[index] ?? 0, distance(point, next));
    });
  }
  return centres;
}

function gather(points: readonly Point[], centres: readonly Point[]): Point[] {
  const sums = centres.map(() => ({ l: 0, a: 0, b: 0, weight: 0 }));
  for (const point of points) {
    let best = 0;
    for (let index = 1; index < centres.length; index++)
      if (distance(point, centres[index] as Point) < distance(point, centres[best] as Point)) best = index;
    const sum = sums[best];
    if (!sum) continue;
    sum.l += point.l * point.weight;
    sum.a += point.a * point.weight;
    sum.b += point.b * point.weight;
    sum.weight += point.weight;
  }
  return sums
    .filter((sum) => sum.weight > 0)
    .map(({ l, a, b, weight }) => ({ l: l / weight, a: a / weight, b: b / weight, weight }));
}

/** Joins centres that look alike, the lighter ones into the heavier. */
function joinAlike(centres: readonly Point[]): Point[] {
  const kept: Point[] = [];
  for (const centre of [...centres].sort((one, two) => two.weight - one.weight)) {
    const index = kept.findIndex((known) => distance(known, centre) < ALIKE);
    const known = kept[index];
    if (known) kept[index] = { ...known, weight: known.weight + centre.weight };
    else kept.push(centre);
  }
  return kept.sort((one, two) => two.weight - one.weight);
}

/**
 * The colours that make up a picture, at most `most`, the commonest first. `pixels` are bytes of red, green, blue and
 * alpha in turn; what is more than half transparent does not count. The same picture gives the same colours (k-means in
 * OKLab from fixed starting points).
 */
export function dominantColours(pixels: ArrayLike<number>, most: number): DominantColour[] {
  const points = countPixels(pixels);
  if (points.length === 0) return [];
  let centres = firstCentres(points, Math.min(most * 2, points.length));
  for (let round = 0; round < ROUNDS; round++) centres = gather(points, centres);
  const total = points.reduce((sum, point) => sum + point.weight, 0);
  return joinAlike(centres)
    .slice(0, most)
    .map(({ l, a, b, weight }) => {
      const rgb = toRgb({ mode: 'oklab', l, a, b });
      return { colour: { r: clamp(rgb.r), g: clamp(rgb.g), b: clamp(rgb.b), a: 1 }, share: weight / total };
    });
}
