import { fail, succeed, type Result } from '../base/result.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import type { Site } from '../kinds/site.ts';
import { findStack, findTypeface } from '../text/typefaces.ts';
import { acceptsValue } from '../values/accepts.ts';
import { formatColourValue } from '../values/kinds/colour.ts';
import { formatLine } from '../values/kinds/line.ts';
import { formatPaint } from '../values/kinds/paint.ts';
import { formatShadows } from '../values/kinds/shadow.ts';
import { valueKind } from '../values/value-kinds.ts';
import { isTypeLink, type Value } from '../values/values.ts';

/** What values are named after. */
type Named = Pick<Site, 'palette' | 'typefaces' | 'typeStyles'>;

/** A value as it stands in a cell and can be typed again (but for pictures kept as data). */
export function formatValue(site: Named, value: Value): string {
  if (typeof value === 'number') return String(Math.round(value * 1000) / 1000);
  if (value === '') return 'none';
  if (typeof value === 'string')
    return findTypeface(value, site.typefaces)?.name ?? findStack(value)?.name ?? value;
  if (isTypeLink(value)) return site.typeStyles.find((style) => style.id === value.type)?.name ?? value.type;
  if ('corners' in value) return value.corners.map((corner) => formatValue(site, corner)).join(' ');
  if ('line' in value) return formatLine(site, value);
  if ('shadows' in value) return formatShadows(site, value);
  return 'paint' in value ? formatPaint(site, value) : formatColourValue(site, value);
}

/** Reads what a designer typed into a cell; a refusal says why, in words for the cell. */
export function parseValue(site: Named, id: PropertyId, typed: string): Result<Value, string> {
  const text = typed.trim();
  if (text === '') return fail('nothing was typed');
  const entry = property(id);
  const style =
    entry.typed === true
      ? site.typeStyles.find(({ name }) => name.toLowerCase() === text.toLowerCase())
      : undefined;
  if (style) return succeed({ type: style.id });
  const parsed = valueKind(entry).parse(entry, text, site);
  // Bounds that the grammar of a typed value does not know.
  return !parsed.ok || acceptsValue(entry, parsed.value)
    ? parsed
    : fail(`${entry.label} goes beyond what is sensible: ${entry.hint}`);
}

/** A numeric value moved by whole steps of its property, kept within bounds and in its unit; null for other kinds. */
export function stepValue(id: PropertyId, value: Value, steps: number): Value | null {
  const entry = property(id);
  return valueKind(entry).step?.(entry, value, steps) ?? null;
}
