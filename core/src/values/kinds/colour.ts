import { isRecord } from '../../base/json.ts';
import { fail, succeed, type Result } from '../../base/result.ts';
import { formatColour, parseColour } from '../../colour/colour.ts';
import { ID } from '../url.ts';
import {
  closed,
  hasOnly,
  isWithin,
  type JsonSchema,
  type NamedThings,
  type ValueKind,
} from '../value-kind.ts';
import { ROLES, type ColourValue, type Role } from '../values.ts';

const isRole = (name: unknown): name is Role => (ROLES as readonly unknown[]).includes(name);

/** Whether a value is a colour as a look writes it. */
export function isColourLink(value: unknown): value is ColourValue {
  if (!isRecord(value)) return false;
  if ('literal' in value) {
    const { literal } = value;
    return hasOnly(value, 'literal') && typeof literal === 'string' && parseColour(literal) !== null;
  }
  if (value['alpha'] !== undefined && !isWithin(value['alpha'], 0, 1)) return false;
  if (!('swatch' in value)) return isRole(value['role']) && hasOnly(value, 'role', 'alpha');
  const { swatch } = value;
  return hasOnly(value, 'swatch', 'alpha') && typeof swatch === 'string' && ID.test(swatch);
}

export const COLOUR_ALLOWED =
  '{ "swatch": id, "alpha"? }, { "role": name, "alpha"? } or { "literal": colour }';

/** Every other schema refers to the one of colours. */
export const COLOUR_REFERENCE: JsonSchema = { $ref: '#/$defs/colour' };

const ALPHA = { type: 'number', minimum: 0, maximum: 1 };

export const COLOUR_SCHEMA: JsonSchema = {
  oneOf: [
    closed({ swatch: { type: 'string', pattern: ID.source }, alpha: ALPHA }, ['swatch']),
    closed({ role: { enum: ROLES }, alpha: ALPHA }, ['role']),
    closed({ literal: { type: 'string' } }, ['literal']),
  ],
};

type Palette = Pick<NamedThings, 'palette'>;

/** A colour as it stands in a cell and can be typed again: `Reed`, `ink 60%`, `#256`, `none`. */
export function formatColourValue({ palette }: Palette, value: ColourValue): string {
  if ('literal' in value) return value.literal === 'transparent' ? 'none' : value.literal;
  const name =
    'swatch' in value ? (palette.find(({ id }) => id === value.swatch)?.name ?? value.swatch) : value.role;
  return value.alpha === undefined || value.alpha === 1 ? name : `${name} ${Math.round(value.alpha * 100)}%`;
}

/** A swatch or role by the name a designer types; swatches go first, as they are the designer's own words. */
function namedColour({ palette }: Palette, name: string): ColourValue | null {
  const wanted = name.trim().toLowerCase();
  const swatch = palette.find((entry) => entry.name.toLowerCase() === wanted || entry.id === wanted);
  if (swatch) return { swatch: swatch.id };
  return isRole(wanted) ? { role: wanted } : null;
}

/** Reads a colour as a designer types it: a swatch, a role or any CSS colour, thinned by per cent if wished. */
export function parseColourText(things: Palette, typed: string): Result<ColourValue, string> {
  const text = typed.trim();
  if (/^(none|transparent)$/i.test(text)) return succeed({ literal: 'transparent' });
  const whole = namedColour(things, text);
  if (whole) return succeed(whole);
  const thinned = /^(.+?)\s+(\d{1,3})\s*%$/.exec(text);
  const named = thinned ? namedColour(things, thinned[1] ?? '') : null;
  if (named && !('literal' in named)) {
    const percent = Number(thinned?.[2]);
    if (percent > 100) return fail(`${percent} % is more than the whole colour; at most 100 %`);
    return succeed(percent === 100 ? named : { ...named, alpha: percent / 100 });
  }
  const faded = thinned ? parseColour(thinned[1] ?? '') : null;
  if (faded) {
    const percent = Math.min(100, Number(thinned?.[2]));
    return succeed({ literal: formatColour({ ...faded, a: (faded.a * percent) / 100 }) });
  }
  if (parseColour(text)) return succeed({ literal: text.toLowerCase() });
  const names = things.palette
    .slice(0, 4)
    .map((swatch) => swatch.name)
    .join(', ');
  return fail(
    `“${text}” is no swatch, role or CSS colour. Try ${names ? `${names}, ` : ''}ink, #3f6b4a or none`,
  );
}

/** A colour that leads nowhere, as CSS. */
export function literalCss(literal: string): string {
  if (literal === 'transparent') return literal;
  return formatColour(parseColour(literal) ?? { r: 0, g: 0, b: 0, a: 1 });
}

export const COLOUR: ValueKind<'colour', ColourValue> = {
  id: 'colour',
  accepts: (_entry, value) => isColourLink(value),
  allowed: () => COLOUR_ALLOWED,
  schema: () => COLOUR_REFERENCE,
  parse: (_entry, text, things) => parseColourText(things, text),
  css: (value, out) => out.colour(value as ColourValue),
};
