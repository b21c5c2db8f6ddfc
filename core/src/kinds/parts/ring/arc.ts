import { memoise } from '../../../base/memo.ts';

/*
 * Where the links of a ring stand around their opener: on as few circles as will hold them, apart from one another and
 * within the window. All lengths in px, all angles in degrees from the way to the window's end, onward to its bottom.
 */

/** The least room between two targets. */
export const APART = 8;
/** The least room between a target and the window's edge. */
export const EDGE = 8;

export interface RingQuestion {
  readonly window: { readonly width: number; readonly height: number };
  /** The opener's middle from the window's start and top. */
  readonly centre: { readonly x: number; readonly y: number };
  /** Diameter of the opener, and of a target with what belongs to it. */
  readonly opener: number;
  readonly target: number;
  readonly count: number;
  /** The wished distance from middle to middle; 0 is as near as they will stand. */
  readonly distance: number;
  /** How far the arc is turned from where it faces the window's middle. */
  readonly turn: number;
  /** How wide the arc is at most; 0 is as wide as there is room. */
  readonly span: number;
}

export interface RingPoint {
  /** From the opener's middle to the target's, toward the end and down. */
  readonly x: number;
  readonly y: number;
}

export interface Ring {
  /** One place a link, in their order. */
  readonly points: readonly RingPoint[];
  /** How many links stand on each circle, the innermost first. */
  readonly circles: readonly number[];
  /** The innermost circle's radius, and where its first and last link stand. */
  readonly radius: number;
  readonly from: number;
  readonly to: number;
  /** Whether turn and width are those that were wished. */
  readonly asWished: boolean;
}

/** A stretch of directions, `to` after `from`; a whole circle where it is 360 wide. */
interface Stretch {
  readonly from: number;
  readonly to: number;
}

const RAD = Math.PI / 180;
/** Steps in which directions and distances are tried. */
const STEP = { angle: 1, radius: 4 } as const;
const MOST_CIRCLES = 6;
const WHOLE = 360;

/** The direction in which the window has the most room: from the opener to the window's middle. */
function facingOf({ window: { width, height }, centre }: RingQuestion): number {
  const [x, y] = [width / 2 - centre.x, height / 2 - centre.y];
  return x === 0 && y === 0 ? -90 : Math.atan2(y, x) / RAD;
}

/** Whether a target at a distance and direction lies within the window. */
function isInside(
  { window: { width, height }, centre, target }: RingQuestion,
  radius: number,
  angle: number,
) {
  const least = target / 2 + EDGE;
  const x = centre.x + radius * Math.cos(angle * RAD);
  const y = centre.y + radius * Math.sin(angle * RAD);
  return x >= least && x <= width - least && y >= least && y <= height - least;
}

/** The directions around a middle in which targets lie within the window; null where that itself is none. */
function stretchAround(question: RingQuestion, radius: number, middle: number): Stretch | null {
  const inside = (angle: number) => isInside(question, radius, angle);
  if (!inside(middle)) return null;
  const reach = (way: 1 | -1) => {
    let width = 0;
    while (width < WHOLE && inside(middle + way * (width + STEP.angle))) width += STEP.angle;
    return width;
  };
  const onward = reach(1);
  if (onward >= WHOLE) return { from: middle - WHOLE / 2, to: middle + WHOLE / 2 };
  return { from: middle - reach(-1), to: middle + onward };
}

/** The middle that is wished, or the nearest to it that lies within the window. */
function middleOf(question: RingQuestion, radius: number, wished: number): number | null {
  for (let away = 0; away <= 90; away += STEP.angle)
    for (const angle of [wished + away, wished - away]) if (isInside(question, radius, angle)) return angle;
  return null;
}

const isWhole = ({ from, to }: Stretch) => to - from >= WHOLE;

/** Least angle between two neighbours on a circle. */
const stepOn = (question: RingQuestion, radius: number) => {
  const half = (question.target + APART) / 2 / radius;
  return half >= 1 ? WHOLE : (2 * Math.asin(half)) / RAD;
};

/** A circle that can hold so many. */
interface Circle {
  readonly radius: number;
  readonly stretch: Stretch;
  readonly holds: number;
}

/** How wide links may stand in a stretch: the last keeps its distance from the first, all around. */
const widthOf = ({ from, to }: Stretch, step: number) => Math.max(0, Math.min(to - from, WHOLE - step));

function circleAt(question: RingQuestion, radius: number): Circle | null {
  const middle = middleOf(question, radius, facingOf(question) + question.turn);
  const room = middle === null ? null : stretchAround(question, radius, middle);
  if (middle === null || room === null) return null;
  const half = question.span === 0 ? WHOLE : question.span / 2;
  const stretch = { from: Math.max(room.from, middle - half), to: Math.min(room.to, middle + half) };
  const step = stepOn(question, radius);
  const holds = isWhole(stretch)
    ? Math.floor(WHOLE / step)
    : Math.floor(widthOf(stretch, step) / step + 1e-6) + 1;
  return { radius, stretch, holds };
}

/** Circles that hold all together, the innermost at a radius; null where they do not. */
function circlesFrom(
  question: RingQuestion,
  radius: number,
  count: number,
  at: (radius: number) => Circle | null,
): readonly Circle[] | null {
  const circles: Circle[] = [];
  let held = 0;
  for (let index = 0; index < count; index++) {
    const circle = at(radius + index * (question.target + APART));
    if (!circle) return null;
    circles.push(circle);
    held += circle.holds;
  }
  return held >= question.count ? circles : null;
}

/** As few circles as hold all, the innermost as near to the wished distance as can be. */
function findCircles(question: RingQuestion): readonly Circle[] | null {
  const { window: own, opener, target } = question;
  const nearest = (opener + target) / 2 + APART;
  const wished = Math.max(nearest, question.distance);
  const furthest = Math.hypot(own.width, own.height);
  const radii: number[] = [];
  for (let radius = wished; radius <= furthest; radius += STEP.radius) radii.push(radius);
  for (let radius = wished - STEP.radius; radius >= nearest; radius -= STEP.radius) radii.push(radius);
  const known = new Map<number, Circle | null>();
  const at = (radius: number) => {
    const found = known.has(radius) ? known.get(radius) : circleAt(question, radius);
    known.set(radius, found ?? null);
    return found ?? null;
  };
  for (let count = 1; count <= MOST_CIRCLES; count++)
    for (const radius of radii) {
      const circles = circlesFrom(question, radius, count, at);
      if (circles) return circles;
    }
  return null;
}

/** How many links stand on each circle: as its room is, and no more than it holds. */
function shares(circles: readonly Circle[], count: number): number[] {
  const all = circles.reduce((sum, { holds }) => sum + holds, 0);
  const given = circles.map(({ holds }) => Math.floor((count * holds) / all));
  let left = count - given.reduce((sum, own) => sum + own, 0);
  for (let index = 0; left > 0; index = (index + 1) % circles.length)
    if ((given[index] ?? 0) < (circles[index]?.holds ?? 0)) {
      given[index] = (given[index] ?? 0) + 1;
      left--;
    }
  return given;
}

/** The widest angle between two neighbours: a few links are a fan, not a cross. */
const WIDEST_STEP = 60;

/** The directions of so many targets on a circle. */
function anglesOn(question: RingQuestion, { stretch, radius }: Circle, count: number): number[] {
  const { span } = question;
  const middle = (stretch.from + stretch.to) / 2;
  if (isWhole(stretch) && span === 0)
    return Array.from({ length: count }, (_, index) => middle + (index * WHOLE) / count);
  const width = isWhole(stretch) ? WHOLE - WHOLE / count : widthOf(stretch, stepOn(question, radius));
  const even = count > 1 ? width / (count - 1) : 0;
  const step = span === 0 ? Math.min(even, Math.max(WIDEST_STEP, stepOn(question, radius))) : even;
  return Array.from({ length: count }, (_, index) => middle + (index - (count - 1) / 2) * step);
}

function layOut(question: RingQuestion, asWished: boolean): Ring | null {
  const circles = findCircles(question);
  const [first] = circles ?? [];
  if (!circles || !first) return null;
  const counts = shares(circles, question.count);
  const angles = circles.map((circle, index) => anglesOn(question, circle, counts[index] ?? 0));
  const round = (value: number) => Math.round(value * 10) / 10;
  return {
    points: circles.flatMap(({ radius }, index) =>
      (angles[index] ?? []).map((angle) => ({
        x: round(radius * Math.cos(angle * RAD)),
        y: round(radius * Math.sin(angle * RAD)),
      })),
    ),
    circles: counts,
    radius: first.radius,
    from: angles[0]?.[0] ?? 0,
    to: angles[0]?.at(-1) ?? 0,
    asWished,
  };
}

/** More links than this are never laid on circles. */
export const MOST_ON_RING = 60;

const answer = memoise((question: RingQuestion): { readonly ring: Ring | null } => {
  if (question.count === 0 || question.count > MOST_ON_RING) return { ring: null };
  const isFree = question.turn === 0 && question.span === 0;
  const wished = layOut(question, true);
  return { ring: wished ?? (isFree ? null : layOut({ ...question, turn: 0, span: 0 }, false)) };
});

const questions = new Map<string, RingQuestion>();

/**
 * Lays links out around their opener. Targets keep 8 px apart and stay within the window; where they cannot with the
 * wished turn and width, those give way; null where they cannot at all.
 */
export function layRing(question: RingQuestion): Ring | null {
  // The same question is asked at every edit of anything.
  const key = JSON.stringify(question);
  const known = questions.get(key) ?? question;
  if (questions.size > 500) questions.clear();
  questions.set(key, known);
  return answer(known).ring;
}
