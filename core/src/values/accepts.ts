import { isRecord } from '../base/json.ts';
import { parseColour } from '../colour/colour.ts';
import { isFamily } from '../text/typefaces.ts';
import { pictureFault } from './picture.ts';
import { lengthTree, toPixels, unitsOf, LENGTH_UNITS, type LengthUnit } from './length.ts';
import { FOCUS_RING, type Property } from './property.ts';
import { ID } from './url.ts';
import { isTypeLink, LINE_STYLES, ROLES } from './values.ts';

/*
 * What may stand in a look, property by property. Looks come with thousands of values, so these are plain tests.
 */

export const COLOUR_ALLOWED =
  '{ "swatch": id, "alpha"? }, { "role": name, "alpha"? } or { "literal": colour }';

const onlyKeys = (value: Record<string, unknown>, ...keys: readonly string[]) =>
  Object.keys(value).every((key) => keys.includes(key));
const isWithin = (value: unknown, min: number, max: number): value is number =>
  typeof value === 'number' && value >= min && value <= max;

/** Whether a value is a colour as a look writes it. */
export function isColourLink(value: unknown): boolean {
  if (!isRecord(value)) return false;
  if ('literal' in value)
    return (
      onlyKeys(value, 'literal') &&
      typeof value['literal'] === 'string' &&
      parseColour(value['literal']) !== null
    );
  const alphaOk = value['alpha'] === undefined || isWithin(value['alpha'], 0, 1);
  if ('swatch' in value)
    return (
      alphaOk &&
      onlyKeys(value, 'swatch', 'alpha') &&
      typeof value['swatch'] === 'string' &&
      ID.test(value['swatch'])
    );
  return alphaOk && onlyKeys(value, 'role', 'alpha') && (ROLES as readonly unknown[]).includes(value['role']);
}

type LengthLike = Extract<Property, { kind: 'length' | 'corners' }>;

/** The units a length may be written in. */
export function allowedUnits(entry: LengthLike): readonly LengthUnit[] {
  const extra: readonly LengthUnit[] = entry.units ?? [];
  return LENGTH_UNITS.filter(
    (unit) =>
      unit === 'px' || unit === 'rem' || extra.includes(unit) || (unit === '%' && entry.share === true),
  );
}

/** Widths of the page between which a length must keep its bounds, in px. */
const JUDGED_AT = [320, 1920] as const;

/** Whether a length is written in allowed units and stays within its bounds. */
export function acceptsLength(entry: LengthLike, value: unknown): boolean {
  if (typeof value !== 'number' && typeof value !== 'string') return false;
  // A plain number is written as one.
  if (typeof value === 'string' && /^-?[\d.]+$/.test(value)) return false;
  const tree = lengthTree(value);
  if (!tree || !unitsOf(tree).every((unit) => allowedUnits(entry).includes(unit))) return false;
  return JUDGED_AT.every((width) => {
    const pixels = toPixels(value, { fontSize: 16, width, whole: 100 });
    return pixels >= entry.min && pixels <= entry.max;
  });
}

const MOST = { shadows: 6, stops: 8 } as const;

function isLine(value: unknown): boolean {
  if (!isRecord(value) || !onlyKeys(value, 'line')) return false;
  const { line } = value;
  if (line === null) return true;
  return (
    isRecord(line) &&
    onlyKeys(line, 'width', 'style', 'colour') &&
    isWithin(line['width'], 0, 60) &&
    (LINE_STYLES as readonly unknown[]).includes(line['style']) &&
    isColourLink(line['colour'])
  );
}

function isShadow(value: unknown, ofText: boolean): boolean {
  if (!isRecord(value) || !onlyKeys(value, 'x', 'y', 'blur', 'spread', 'inset', 'colour')) return false;
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

function isPaint(value: unknown): boolean {
  if (!isRecord(value) || !onlyKeys(value, 'paint')) return false;
  const { paint } = value;
  if (paint === null) return true;
  if (!isRecord(paint) || Object.keys(paint).length !== 1) return false;
  if ('image' in paint)
    return (
      typeof paint['image'] === 'string' && paint['image'] !== '' && pictureFault(paint['image']) === null
    );
  const gradient = paint['gradient'];
  if (!isRecord(gradient) || !onlyKeys(gradient, 'angle', 'stops') || !isWithin(gradient['angle'], -360, 360))
    return false;
  const stops: unknown = gradient['stops'];
  return (
    Array.isArray(stops) &&
    stops.length >= 2 &&
    stops.length <= MOST.stops &&
    stops.every(
      (stop: unknown) =>
        isRecord(stop) &&
        onlyKeys(stop, 'colour', 'at') &&
        isWithin(stop['at'], 0, 100) &&
        isColourLink(stop['colour']),
    )
  );
}

/** Whether a value may stand in a look for this property. */
export function acceptsValue(entry: Property, value: unknown): boolean {
  if (entry.typed === true && isTypeLink(value))
    return (
      onlyKeys(value as unknown as Record<string, unknown>, 'type') &&
      typeof value.type === 'string' &&
      ID.test(value.type)
    );
  switch (entry.kind) {
    case 'colour':
      return isColourLink(value);
    case 'family':
      return typeof value === 'string' && isFamily(value);
    case 'number':
      return isWithin(value, entry.min, entry.max);
    case 'length':
      return acceptsLength(entry, value);
    case 'corners': {
      if (!isRecord(value)) return acceptsLength(entry, value);
      const corners: unknown = value['corners'];
      return (
        onlyKeys(value, 'corners') &&
        Array.isArray(corners) &&
        corners.length === 4 &&
        corners.every((corner) => acceptsLength(entry, corner))
      );
    }
    case 'choice':
      return typeof value === 'string' && Object.hasOwn(entry.choices, value);
    case 'line':
      return (entry.inFocus !== undefined && value === FOCUS_RING) || isLine(value);
    case 'shadow': {
      if (!isRecord(value) || !onlyKeys(value, 'shadows')) return false;
      const shadows: unknown = value['shadows'];
      return (
        Array.isArray(shadows) &&
        shadows.length <= MOST.shadows &&
        shadows.every((shadow) => isShadow(shadow, entry.ofText === true))
      );
    }
    case 'paint':
      return isPaint(value);
  }
}

/** What a property's value may be, as words; the check itself is `acceptsValue`. */
export function allowedValue(entry: Property): string {
  return plainAllowed(entry) + (entry.typed === true ? ', or { "type": id of a type style }' : '');
}

function plainAllowed(entry: Property): string {
  const length = (of: LengthLike) =>
    `a number of px from ${of.min} to ${of.max}, or text with ${allowedUnits(of).join(', ')} such as "1.25rem" or "clamp(8px, 1vw, 20px)"`;
  switch (entry.kind) {
    case 'colour':
      return COLOUR_ALLOWED;
    case 'length':
      return length(entry);
    case 'corners':
      return `${length(entry)}, or { "corners": [four of them] }`;
    case 'number':
      return `a number from ${entry.min} to ${entry.max}`;
    case 'family':
      return 'a bundled typeface or "system"';
    case 'choice':
      return `one of ${Object.keys(entry.choices).join(', ')}`;
    case 'line':
      return `{ "line": { "width", "style": ${LINE_STYLES.join(' or ')}, "colour" } } or { "line": null }${entry.inFocus === undefined ? '' : `, or "${FOCUS_RING}"`}`;
    case 'shadow':
      return `{ "shadows": [at most ${MOST.shadows} of x, y, blur${entry.ofText ? '' : ', spread, inset'}, colour] }`;
    case 'paint':
      return `{ "paint": { "gradient": { "angle", "stops" } } }, { "paint": { "image": address } } or { "paint": null }`;
  }
}
