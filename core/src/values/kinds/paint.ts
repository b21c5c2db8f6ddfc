import { isRecord, own } from '../../base/json.ts';
import { fail, succeed, type Result } from '../../base/result.ts';
import { cssString } from '../../print/css.ts';
import { refusePicture } from '../picture.ts';
import { splitAtCommas } from '../typed-text.ts';
import {
  closed,
  hasOnly,
  isWithin,
  orNull,
  type JsonSchema,
  type NamedThings,
  type ValueKind,
} from '../value-kind.ts';
import type { GradientStop, Paint, PaintValue } from '../values.ts';
import { COLOUR_REFERENCE, formatColourValue, isColourLink, parseColourText } from './colour.ts';

const MOST_STOPS = 8;

const isStop = (stop: unknown): boolean =>
  isRecord(stop) &&
  hasOnly(stop, 'colour', 'at') &&
  isWithin(stop['at'], 0, 100) &&
  isColourLink(stop['colour']);

function isGradient(value: unknown): boolean {
  if (!isRecord(value) || !hasOnly(value, 'angle', 'stops')) return false;
  const { angle, stops } = value;
  return (
    isWithin(angle, -360, 360) &&
    Array.isArray(stops) &&
    stops.length >= 2 &&
    stops.length <= MOST_STOPS &&
    stops.every(isStop)
  );
}

function isPaint(value: unknown): boolean {
  if (!isRecord(value) || !hasOnly(value, 'paint')) return false;
  const { paint } = value;
  if (paint === null) return true;
  if (!isRecord(paint) || Object.keys(paint).length !== 1) return false;
  return 'image' in paint ? refusePicture(paint['image']) === null : isGradient(paint['gradient']);
}

const GRADIENT_SCHEMA: JsonSchema = closed(
  {
    angle: { type: 'number', minimum: -360, maximum: 360 },
    stops: {
      type: 'array',
      minItems: 2,
      maxItems: MOST_STOPS,
      items: closed({ colour: COLOUR_REFERENCE, at: { type: 'number', minimum: 0, maximum: 100 } }, [
        'colour',
        'at',
      ]),
    },
  },
  ['angle', 'stops'],
);

const PAINT_SCHEMA: JsonSchema = closed(
  {
    paint: orNull({
      oneOf: [
        closed({ gradient: GRADIENT_SCHEMA }, ['gradient']),
        closed({ image: { type: 'string' } }, ['image']),
      ],
    }),
  },
  ['paint'],
);

/** Angles by name (CSS Images 3, section 3.1.1). */
const DIRECTIONS: Readonly<Record<string, number>> = {
  'to top': 0,
  'to right': 90,
  'to bottom': 180,
  'to left': 270,
};

const isNumber = (value: number | undefined): value is number =>
  value !== undefined && Number.isFinite(value);

/** Places of stops where none was typed: even between their neighbours. */
function spaced(stops: readonly { colour: GradientStop['colour']; at: number | null }[]): GradientStop[] {
  const last = stops.length - 1;
  const at = stops.map((stop, index) => stop.at ?? (index === 0 ? 0 : index === last ? 100 : null));
  return stops.map((stop, index) => {
    const known = at[index];
    if (isNumber(known ?? undefined)) return { colour: stop.colour, at: known as number };
    let before = index;
    let after = index;
    while (at[before] === null) before--;
    while (at[after] === null) after++;
    const [from, to] = [at[before] as number, at[after] as number];
    return {
      colour: stop.colour,
      at: Math.round((from + ((to - from) * (index - before)) / (after - before)) * 100) / 100,
    };
  });
}

function parseGradient(text: string, things: NamedThings): Result<PaintValue, string> {
  const [first = '', ...others] = splitAtCommas(text);
  const degrees = /^(-?\d+(?:\.\d+)?)deg$/i.exec(first);
  const angle = degrees ? Number(degrees[1]) : own(DIRECTIONS, first.toLowerCase());
  const texts = angle === undefined ? [first, ...others] : others;
  if (texts.length < 2) return fail('a gradient needs two colours; type 90deg, reed, sun at 60% or none');
  const stops: { colour: GradientStop['colour']; at: number | null }[] = [];
  for (const stop of texts) {
    const place = /^(.+?)\s+at\s+(\d+(?:\.\d+)?)\s*%$/i.exec(stop);
    const colour = parseColourText(things, place?.[1] ?? stop);
    if (!colour.ok) return colour;
    stops.push({ colour: colour.value, at: place ? Number(place[2]) : null });
  }
  return succeed({ paint: { gradient: { angle: angle ?? 180, stops: spaced(stops) } } });
}

/** `90deg, reed, sun at 60%`, `url(/reeds.jpg)`, `none`. */
function parsePaint(typed: string, things: NamedThings): Result<PaintValue, string> {
  const text = typed.trim();
  if (/^none$/i.test(text)) return succeed({ paint: null });
  const picture = /^url\(\s*(["']?)(.*?)\1\s*\)$/i.exec(text);
  if (!picture) return parseGradient(text, things);
  return picture[2]
    ? succeed({ paint: { image: picture[2] } })
    : fail('the address of the picture is missing');
}

/** Data of a picture is not for reading: its kind and size are. */
function formatPicture(address: string): string {
  const kind = /^data:image\/(\w+)/.exec(address)?.[1];
  return kind === undefined
    ? `url(${address})`
    : `${kind.toUpperCase()} picture, ${Math.ceil((address.length * 3) / 4 / 1024)} kB`;
}

export function formatPaint(
  things: Pick<NamedThings, 'palette'>,
  { paint }: { readonly paint: Paint | null },
): string {
  if (!paint) return 'none';
  if ('image' in paint) return formatPicture(paint.image);
  const { angle, stops } = paint.gradient;
  const isEven = spaced(stops.map(({ colour }) => ({ colour, at: null }))).every(
    (stop, index) => stop.at === stops[index]?.at,
  );
  return [
    `${angle}deg`,
    ...stops.map(({ colour, at }) => `${formatColourValue(things, colour)}${isEven ? '' : ` at ${at}%`}`),
  ].join(', ');
}

/** A gradient or a picture over a fill. */
export const PAINT: ValueKind<'paint', PaintValue> = {
  id: 'paint',
  accepts: (_entry, value) => isPaint(value),
  allowed: () =>
    `{ "paint": { "gradient": { "angle", "stops" } } }, { "paint": { "image": address } } or { "paint": null }`,
  schema: () => PAINT_SCHEMA,
  parse: (_entry, text, things) => parsePaint(text, things),
  css: (value, out) => {
    const { paint } = value as PaintValue;
    if (!paint) return 'none';
    if ('image' in paint) return `url(${cssString(paint.image)})`;
    const stops = paint.gradient.stops.map(({ colour, at }) => `${out.colour(colour)} ${at}%`);
    return `linear-gradient(${paint.gradient.angle}deg, ${stops.join(', ')})`;
  },
};
