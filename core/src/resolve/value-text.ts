import { fail, succeed, type Result } from '../base/result.ts';
import { slugify } from '../base/ids.ts';
import { parseColour } from '../colour/colour.ts';
import { property, type Property, type PropertyId } from '../document/properties.ts';
import { acceptsValue } from '../document/schema.ts';
import type { Site } from '../document/site.ts';
import { readLength, ROLES, type ColourValue, type Role, type Value } from '../document/values.ts';
import { findTypeface, SYSTEM_FAMILY, TYPEFACES } from '../text/typefaces.ts';

/** A value as it stands in a cell and can be typed again. */
export function formatValue(site: Site, value: Value): string {
  if (typeof value === 'number') return String(Math.round(value * 1000) / 1000);
  if (typeof value === 'string') return findTypeface(value)?.name ?? value;
  if ('literal' in value) return value.literal === 'transparent' ? 'none' : value.literal;
  const name = 'swatch' in value ? swatchName(site, value.swatch) : value.role;
  return value.alpha === undefined || value.alpha === 1 ? name : `${name} ${Math.round(value.alpha * 100)}%`;
}

function swatchName(site: Site, id: string): string {
  return site.palette.find((swatch) => swatch.id === id)?.name ?? id;
}

/** A swatch or role by the name a designer types; swatches go first, as they are the designer's own words. */
function namedColour(site: Site, name: string): ColourValue | null {
  const wanted = name.toLowerCase();
  const swatch = site.palette.find((entry) => entry.name.toLowerCase() === wanted || entry.id === wanted);
  if (swatch) return { swatch: swatch.id };
  return (ROLES as readonly string[]).includes(wanted) ? { role: wanted as Role } : null;
}

function parseColourValue(site: Site, text: string): Result<Value, string> {
  if (/^(none|transparent)$/i.test(text)) return succeed({ literal: 'transparent' });
  const thinned = /^(.+?)\s+(\d{1,3})\s*%$/.exec(text);
  const named = namedColour(site, text) ?? (thinned ? namedColour(site, thinned[1] ?? '') : null);
  if (named && !('literal' in named)) {
    const percent = namedColour(site, text) ? 100 : Number(thinned?.[2]);
    if (percent > 100) return fail(`${percent} % is more than the whole colour; at most 100 %`);
    return succeed(percent === 100 ? named : { ...named, alpha: percent / 100 });
  }
  if (parseColour(text)) return succeed({ literal: text.toLowerCase() });
  const names = site.palette.slice(0, 4).map((swatch) => swatch.name).join(', ');
  return fail(`“${text}” is no swatch, role or CSS colour. Try ${names ? `${names}, ` : ''}ink, #3f6b4a or none`);
}

function parseFamily(text: string): Result<Value, string> {
  const wanted = text.toLowerCase();
  const typeface = TYPEFACES.find((entry) => entry.id === slugify(text, '') || entry.name.toLowerCase() === wanted);
  if (typeface) return succeed(typeface.id);
  if (wanted === SYSTEM_FAMILY) return succeed(SYSTEM_FAMILY);
  return fail(`“${text}” is not among the typefaces: ${TYPEFACES.map((entry) => entry.name).join(', ')}, system`);
}

function parseNumeric(entry: Extract<Property, { kind: 'length' | 'number' }>, text: string): Result<Value, string> {
  const length = readLength(text.replace(',', '.').replace(/\s+/g, ''));
  const unit = entry.kind === 'length' ? ' px' : '';
  if (!length || (entry.kind === 'number' && length.unit !== 'px')) {
    return fail(`“${text}” is no ${entry.kind === 'length' ? 'length; type 16, 16px, 1rem or 0.5em' : 'number'}`);
  }
  const value: Value = length.unit === 'px' ? length.amount : `${length.amount}${length.unit}`;
  if (entry.kind === 'length' && entry.units && !entry.units.includes(length.unit)) return fail(`${entry.label} is written in ${entry.units.join(' or ')}`);
  if (!acceptsValue(entry, value)) return fail(`${text} is outside ${entry.min} to ${entry.max}${unit}`);
  return succeed(value);
}

/** Reads what a designer typed into a cell; a refusal says why, in words for the cell. */
export function parseValue(site: Site, id: PropertyId, typed: string): Result<Value, string> {
  const text = typed.trim();
  if (text === '') return fail('nothing was typed');
  const entry = property(id);
  switch (entry.kind) {
    case 'colour': return parseColourValue(site, text);
    case 'family': return parseFamily(text);
    case 'length': case 'number': return parseNumeric(entry, text);
  }
}

/** A numeric value moved by whole steps of its property, kept within bounds and in its unit; null for other kinds. */
export function stepValue(id: PropertyId, value: Value, steps: number): Value | null {
  const entry = property(id);
  if (entry.kind !== 'length' && entry.kind !== 'number') return null;
  const length = typeof value === 'object' ? null : readLength(value);
  if (!length) return null;
  // A rem or em is about sixteen px: a step there is a sixteenth.
  const size = length.unit === 'px' ? entry.step : entry.step / 16;
  const scale = length.unit === 'px' ? 1 : 16;
  const moved = Math.round((length.amount + steps * size) * 10_000) / 10_000;
  const amount = Math.min(entry.max / scale, Math.max(entry.min / scale, moved));
  return length.unit === 'px' ? amount : `${amount}${length.unit}`;
}
