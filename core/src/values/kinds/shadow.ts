import { isRecord } from '../../base/json.ts';
import { fail, succeed, type Result } from '../../base/result.ts';
import { leadingNumbers, pxCss, splitAtCommas } from '../typed-text.ts';
import {
  closed,
  hasOnly,
  isWithin,
  type JsonSchema,
  type NamedThings,
  type ValueKind,
} from '../value-kind.ts';
import type { Shadow, ShadowValue } from '../values.ts';
import { COLOUR_REFERENCE, formatColourValue, isColourLink, parseColourText } from './colour.ts';

const MOST_SHADOWS = 6;

function isShadow(value: unknown, ofText: boolean): boolean {
  if (!isRecord(value) || !hasOnly(value, 'x', 'y', 'blur', 'spread', 'inset', 'colour')) return false;
  const { x, y, blur, spread, inset, colour } = value;
  if (ofText && (spread !== undefined || inset !== undefined)) return false;
  return (
    isWithin(x, -200, 200) &&
    isWithin(y, -200, 200) &&
    isWithin(blur, 0, 200) &&
    (spread === undefined || isWithin(spread, -200, 200)) &&
    (inset === undefined || typeof inset === 'boolean') &&
    isColourLink(colour)
  );
}

const SHADOW_SCHEMA: JsonSchema = closed(
  {
    x: { type: 'number' },
    y: { type: 'number' },
    blur: { type: 'number', minimum: 0 },
    spread: { type: 'number' },
    inset: { type: 'boolean' },
    colour: COLOUR_REFERENCE,
  },
  ['x', 'y', 'blur', 'colour'],
);

function parseShadow(text: string, things: NamedThings): Result<Shadow, string> {
  const inset = /(^|\s)inset(\s|$)/i.test(text);
  const { numbers, rest } = leadingNumbers(text.replace(/(^|\s)inset(?=\s|$)/i, ' '), 4);
  const [x, y, blur = 0, spread] = numbers;
  if (x === undefined || y === undefined)
    return fail('a shadow is x, y, blur and colour; type 0 4 12 ink 20% or none');
  const colour = rest === '' ? succeed({ role: 'ink', alpha: 0.25 } as const) : parseColourText(things, rest);
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
function parseShadows(text: string, things: NamedThings): Result<ShadowValue, string> {
  if (/^none$/i.test(text.trim())) return succeed({ shadows: [] });
  const shadows: Shadow[] = [];
  for (const part of splitAtCommas(text)) {
    const shadow = parseShadow(part, things);
    if (!shadow.ok) return shadow;
    shadows.push(shadow.value);
  }
  return succeed({ shadows });
}

export function formatShadows(things: Pick<NamedThings, 'palette'>, { shadows }: ShadowValue): string {
  if (shadows.length === 0) return 'none';
  return shadows
    .map(
      ({ x, y, blur, spread, inset, colour }) =>
        `${x} ${y} ${blur}${spread === undefined ? '' : ` ${spread}`}${inset ? ' inset' : ''} ${formatColourValue(things, colour)}`,
    )
    .join(', ');
}

/** Shadows of a box or of text, the topmost first. */
export const SHADOW: ValueKind<'shadow', ShadowValue> = {
  id: 'shadow',
  accepts: ({ ofText }, value) => {
    if (!isRecord(value) || !hasOnly(value, 'shadows')) return false;
    const shadows: unknown = value['shadows'];
    return (
      Array.isArray(shadows) &&
      shadows.length <= MOST_SHADOWS &&
      shadows.every((shadow) => isShadow(shadow, ofText === true))
    );
  },
  allowed: ({ ofText }) =>
    `{ "shadows": [at most ${MOST_SHADOWS} of x, y, blur${ofText ? '' : ', spread, inset'}, colour] }`,
  schema: () =>
    closed({ shadows: { type: 'array', maxItems: MOST_SHADOWS, items: SHADOW_SCHEMA } }, ['shadows']),
  parse: (_entry, text, things) => parseShadows(text, things),
  css: (value, out) => {
    const { shadows } = value as ShadowValue;
    if (shadows.length === 0) return 'none';
    return shadows
      .map(({ x, y, blur, spread, inset, colour }) =>
        [
          ...(inset ? ['inset'] : []),
          pxCss(x),
          pxCss(y),
          pxCss(blur),
          ...(spread === undefined ? [] : [pxCss(spread)]),
          out.colour(colour),
        ].join(' '),
      )
      .join(', ');
  },
};
