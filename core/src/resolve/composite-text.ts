import { fail, succeed, type Result } from '../base/result.ts';
import type { Site } from '../kinds/site.ts';
import {
  LINE_STYLES,
  type GradientStop,
  type LineValue,
  type Paint,
  type PaintValue,
  type Shadow,
  type ShadowValue,
} from '../values/values.ts';
import { formatColourValue, parseColourText } from './colour-text.ts';

/*
 * Lines, shadows and gradients as a designer types them: numbers first, then words, the colour last.
 */

type Palette = Pick<Site, 'palette'>;

/** Splits at commas that stand outside brackets. */
function parts(text: string): string[] {
  const found: string[] = [];
  let depth = 0;
  let start = 0;
  [...text].forEach((letter, index, letters) => {
    if (letter === '(') depth++;
    if (letter === ')') depth--;
    if (letter !== ',' || depth !== 0) return;
    found.push(letters.slice(start, index).join(''));
    start = index + 1;
  });
  return [...found, [...text].slice(start).join('')].map((part) => part.trim());
}

const LEADING_NUMBER = /^(-?\d*\.?\d+)(?:px)?(?=\s|$)/;

/** Takes numbers of px off the start of a text. */
function leadingNumbers(text: string, most: number): { numbers: number[]; rest: string } {
  const numbers: number[] = [];
  let rest = text.trim();
  for (
    let match = LEADING_NUMBER.exec(rest);
    match && numbers.length < most;
    match = LEADING_NUMBER.exec(rest)
  ) {
    numbers.push(Number(match[1]));
    rest = rest.slice(match[0].length).trim();
  }
  return { numbers, rest };
}

/** `1 line`, `2 dashed reed 60%`, `none`: the colour left out is the role line. */
export function parseLine(site: Palette, text: string): Result<LineValue, string> {
  if (/^(none|0)$/i.test(text.trim())) return succeed({ line: null });
  const {
    numbers: [width],
    rest,
  } = leadingNumbers(text, 1);
  if (width === undefined) return fail('a line starts with its width; type 1 line, 2 dashed ink 40% or none');
  const [first = '', ...others] = rest.split(/\s+/);
  const style = LINE_STYLES.find((entry) => entry === first.toLowerCase());
  const named = style ? others.join(' ') : rest;
  const colour = named === '' ? succeed({ role: 'line' } as const) : parseColourText(site, named);
  return colour.ok ? succeed({ line: { width, style: style ?? 'solid', colour: colour.value } }) : colour;
}

export function formatLine(site: Palette, { line }: LineValue): string {
  if (!line) return 'none';
  return `${line.width}${line.style === 'solid' ? '' : ` ${line.style}`} ${formatColourValue(site, line.colour)}`;
}

function parseShadow(site: Palette, text: string): Result<Shadow, string> {
  const inset = /(^|\s)inset(\s|$)/i.test(text);
  const { numbers, rest } = leadingNumbers(text.replace(/(^|\s)inset(?=\s|$)/i, ' '), 4);
  const [x, y, blur = 0, spread] = numbers;
  if (x === undefined || y === undefined)
    return fail('a shadow is x, y, blur and colour; type 0 4 12 ink 20% or none');
  const colour = rest === '' ? succeed({ role: 'ink', alpha: 0.25 } as const) : parseColourText(site, rest);
  if (!colour.ok) return colour;
  return succeed({
    x,
    y,
    blur,
    ...(spread === undefined ? {} : { spread }),
    ...(inset ? { inset } : {}),
    colour: colour.value,
  });
}

/** `0 4 12 ink 20%`, several separated by commas, `inset` inside, `none`. */
export function parseShadows(site: Palette, text: string): Result<ShadowValue, string> {
  if (/^none$/i.test(text.trim())) return succeed({ shadows: [] });
  const shadows: Shadow[] = [];
  for (const part of parts(text)) {
    const shadow = parseShadow(site, part);
    if (!shadow.ok) return shadow;
    shadows.push(shadow.value);
  }
  return succeed({ shadows });
}

export function formatShadows(site: Palette, { shadows }: ShadowValue): string {
  if (shadows.length === 0) return 'none';
  return shadows
    .map(
      ({ x, y, blur, spread, inset, colour }) =>
        `${x} ${y} ${blur}${spread === undefined ? '' : ` ${spread}`}${inset ? ' inset' : ''} ${formatColourValue(site, colour)}`,
    )
    .join(', ');
}

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

function parseGradient(site: Palette, text: string): Result<PaintValue, string> {
  const [first = '', ...others] = parts(text);
  const degrees = /^(-?\d+(?:\.\d+)?)deg$/i.exec(first);
  const angle = degrees ? Number(degrees[1]) : DIRECTIONS[first.toLowerCase()];
  const texts = angle === undefined ? [first, ...others] : others;
  if (texts.length < 2) return fail('a gradient needs two colours; type 90deg, reed, sun at 60% or none');
  const stops: { colour: GradientStop['colour']; at: number | null }[] = [];
  for (const stop of texts) {
    const place = /^(.+?)\s+at\s+(\d+(?:\.\d+)?)\s*%$/i.exec(stop);
    const colour = parseColourText(site, place?.[1] ?? stop);
    if (!colour.ok) return colour;
    stops.push({ colour: colour.value, at: place ? Number(place[2]) : null });
  }
  return succeed({ paint: { gradient: { angle: angle ?? 180, stops: spaced(stops) } } });
}

/** `90deg, reed, sun at 60%`, `url(/reeds.jpg)`, `none`. */
export function parsePaint(site: Palette, typed: string): Result<PaintValue, string> {
  const text = typed.trim();
  if (/^none$/i.test(text)) return succeed({ paint: null });
  const picture = /^url\(\s*(["']?)(.*?)\1\s*\)$/i.exec(text);
  if (picture)
    return picture[2]
      ? succeed({ paint: { image: picture[2] } })
      : fail('the address of the picture is missing');
  return parseGradient(site, text);
}

/** Data of a picture is not for reading: its kind and size are. */
function formatPicture(address: string): string {
  const kind = /^data:image\/(\w+)/.exec(address)?.[1];
  return kind === undefined
    ? `url(${address})`
    : `${kind.toUpperCase()} picture, ${Math.ceil((address.length * 3) / 4 / 1024)} kB`;
}

export function formatPaint(site: Palette, { paint }: { readonly paint: Paint | null }): string {
  if (!paint) return 'none';
  if ('image' in paint) return formatPicture(paint.image);
  const { angle, stops } = paint.gradient;
  const isEven = spaced(stops.map(({ colour }) => ({ colour, at: null }))).every(
    (stop, index) => stop.at === stops[index]?.at,
  );
  return [
    `${angle}deg`,
    ...stops.map(({ colour, at }) => `${formatColourValue(site, colour)}${isEven ? '' : ` at ${at}%`}`),
  ].join(', ');
}
