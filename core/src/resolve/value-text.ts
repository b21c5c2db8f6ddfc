import { fail, succeed, type Result } from '../base/result.ts';
import { slugify } from '../base/ids.ts';
import { acceptsValue, allowedUnits } from '../values/accepts.ts';
import { parseLength, printLength, readLength, unitsOf, type LengthValue } from '../values/length.ts';
import { FOCUS_RING, type Property } from '../values/property.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import type { Site } from '../kinds/site.ts';
import { isTypeLink, type Value } from '../values/values.ts';
import { findStack, findTypeface, STACKS, TYPEFACES } from '../text/typefaces.ts';
import { formatColourValue, parseColourText } from './colour-text.ts';
import {
  formatLine,
  formatPaint,
  formatShadows,
  parseLine,
  parsePaint,
  parseShadows,
} from './composite-text.ts';

/** What values are named after. */
type Named = Pick<Site, 'palette' | 'typefaces' | 'typeStyles'>;

/** A value as it stands in a cell and can be typed again (but for pictures kept as data). */
export function formatValue(site: Named, value: Value): string {
  if (typeof value === 'number') return String(Math.round(value * 1000) / 1000);
  if (typeof value === 'string')
    return findTypeface(value, site.typefaces)?.name ?? findStack(value)?.name ?? value;
  if (isTypeLink(value)) return site.typeStyles.find((style) => style.id === value.type)?.name ?? value.type;
  if ('corners' in value) return value.corners.map((corner) => formatValue(site, corner)).join(' ');
  if ('line' in value) return formatLine(site, value);
  if ('shadows' in value) return formatShadows(site, value);
  return 'paint' in value ? formatPaint(site, value) : formatColourValue(site, value);
}

function parseFamily(site: Named, text: string): Result<Value, string> {
  const wanted = text.toLowerCase();
  const all = [...site.typefaces, ...TYPEFACES, ...STACKS];
  const found = all.find((entry) => entry.id === slugify(text, '') || entry.name.toLowerCase() === wanted);
  return found
    ? succeed(found.id)
    : fail(`“${text}” is not among the typefaces: ${all.map((entry) => entry.name).join(', ')}`);
}

/** A decimal comma is a point where it cannot separate arguments, and a unit may stand apart. */
const withPoint = (text: string) =>
  text.includes('(') ? text : text.replace(',', '.').replace(/^(-?[\d.]+)\s+(?=[a-z%]+$)/i, '$1');

function parseLengthText(
  entry: Extract<Property, { kind: 'length' | 'corners' }>,
  text: string,
): Result<LengthValue, string> {
  const tree = parseLength(withPoint(text));
  if (!tree.ok) return fail(`“${text}” is no length: ${tree.error}. Type 16, 1rem or clamp(12px, 1vw, 20px)`);
  const units = allowedUnits(entry);
  const refused = unitsOf(tree.value).find((unit) => !units.includes(unit));
  if (refused !== undefined)
    return fail(`${entry.label} is written in ${units.join(', ')}, not in ${refused}`);
  const value: LengthValue =
    tree.value.op === 'amount' && (tree.value.unit === 'px' || tree.value.unit === '')
      ? tree.value.amount
      : printLength(tree.value);
  if (!acceptsValue(entry, value))
    return fail(
      `${text} is outside ${entry.min} to ${entry.max} px${unitsOf(tree.value).includes('vw') ? ' at some width' : ''}`,
    );
  return succeed(value);
}

function parseCorners(entry: Extract<Property, { kind: 'corners' }>, text: string): Result<Value, string> {
  const words = text.includes('(') ? [text] : text.split(/\s+/);
  if (words.length === 1) return parseLengthText(entry, text);
  if (words.length !== 4)
    return fail(
      'a radius is one length for all corners or four: top left, top right, bottom right, bottom left',
    );
  const corners: LengthValue[] = [];
  for (const word of words) {
    const corner = parseLengthText(entry, word);
    if (!corner.ok) return corner;
    corners.push(corner.value);
  }
  const [first] = corners;
  if (first !== undefined && corners.every((corner) => corner === first)) return succeed(first);
  return succeed({ corners: corners as [LengthValue, LengthValue, LengthValue, LengthValue] });
}

function parseNumber(entry: Extract<Property, { kind: 'number' }>, text: string): Result<Value, string> {
  const unit = entry.unit ?? '';
  const match = /^(-?\d*\.?\d+)\s*(ms|%)?$/.exec(withPoint(text));
  if (!match || (match[2] !== undefined && match[2] !== unit))
    return fail(
      `“${text}” is no number${unit === '' ? '' : ` of ${unit}`} from ${entry.min} to ${entry.max}`,
    );
  const value = Number(match[1]);
  return acceptsValue(entry, value)
    ? succeed(value)
    : fail(`${text} is outside ${entry.min} to ${entry.max}`);
}

/** A keyword, or the start of the only one it can be. */
function parseChoice(entry: Extract<Property, { kind: 'choice' }>, text: string): Result<Value, string> {
  const wanted = text.toLowerCase();
  const keywords = Object.keys(entry.choices);
  const starts = keywords.filter((keyword) => keyword.startsWith(wanted));
  const found =
    keywords.find((keyword) => keyword === wanted) ?? (starts.length === 1 ? starts[0] : undefined);
  return found === undefined ? fail(`${entry.label} is one of ${keywords.join(', ')}`) : succeed(found);
}

/** Bounds that the grammar of a typed value does not know yet. */
function within(entry: Property, parsed: Result<Value, string>): Result<Value, string> {
  return !parsed.ok || acceptsValue(entry, parsed.value)
    ? parsed
    : fail(`${entry.label} goes beyond what is sensible: ${entry.hint}`);
}

/** Reads what a designer typed into a cell; a refusal says why, in words for the cell. */
export function parseValue(site: Named, id: PropertyId, typed: string): Result<Value, string> {
  const text = typed.trim();
  if (text === '') return fail('nothing was typed');
  const entry = property(id);
  const type =
    entry.typed === true
      ? site.typeStyles.find((style) => style.name.toLowerCase() === text.toLowerCase())
      : undefined;
  if (type) return succeed({ type: type.id });
  switch (entry.kind) {
    case 'colour':
      return parseColourText(site, text);
    case 'family':
      return parseFamily(site, text);
    case 'length':
      return parseLengthText(entry, text);
    case 'corners':
      return parseCorners(entry, text);
    case 'number':
      return parseNumber(entry, text);
    case 'choice':
      return parseChoice(entry, text);
    case 'line':
      return entry.inFocus !== undefined && text.toLowerCase() === FOCUS_RING
        ? succeed(FOCUS_RING)
        : within(entry, parseLine(site, text));
    case 'shadow':
      return within(entry, parseShadows(site, text));
    case 'paint':
      return within(entry, parsePaint(site, text));
  }
}

/** The px a step of one unit is; a share steps by whole per cents. */
const UNIT_SCALE = { px: 1, rem: 16, em: 16, vw: 16, '%': 1 } as const;

/** A numeric value moved by whole steps of its property, kept within bounds and in its unit; null for other kinds. */
export function stepValue(id: PropertyId, value: Value, steps: number): Value | null {
  const entry = property(id);
  if (entry.kind === 'choice' && typeof value === 'string') {
    const keywords = Object.keys(entry.choices);
    return keywords[(keywords.indexOf(value) - Math.sign(steps) + keywords.length) % keywords.length] ?? null;
  }
  if (entry.kind === 'line' && typeof value === 'object' && 'line' in value && value.line) {
    return {
      line: {
        ...value.line,
        width: Math.min(60, Math.max(0, Math.round((value.line.width + steps) * 10) / 10)),
      },
    };
  }
  if (entry.kind !== 'length' && entry.kind !== 'number' && entry.kind !== 'corners') return null;
  if (typeof value === 'object') return null;
  const length = readLength(value);
  if (!length) return null;
  // A rem or em is about sixteen px: a step there is a sixteenth.
  const scale = UNIT_SCALE[length.unit];
  const moved = Math.round((length.amount + (steps * entry.step) / scale) * 10_000) / 10_000;
  const amount = Math.min(entry.max / scale, Math.max(entry.min / scale, moved));
  const stepped: Value = length.unit === 'px' ? amount : `${amount}${length.unit}`;
  return acceptsValue(entry, stepped) ? stepped : null;
}
