import { refuseMarkup } from '../../markup/read-markup.ts';
import { parseColour } from '../../colour/colour.ts';
import { isFamily } from '../../text/typefaces.ts';
import { COLOUR_ALLOWED, isColourLink } from '../../values/kinds/colour.ts';
import { refusePicture } from '../../values/picture.ts';
import { ID, refuseUrl } from '../../values/url.ts';
import { isWellFormed } from '../../base/well-formed.ts';
import { refuseDrawing } from '../../drawings/clean-drawing.ts';
import { SHOWN_LEVELS } from '../states.ts';
import { MOST_BANDS } from '../limits.ts';
import type { FieldSpec } from './field.ts';

/*
 * What a single value may be, by the kind of its field. Lists come with thousands of them, so these are plain tests.
 */

const AN_ID = 'an id of letters, digits, - and _, at most 64 characters';

export const isId = (value: unknown): value is string => typeof value === 'string' && ID.test(value);
const nullable = (is: boolean, allowed: string) => (is ? `${allowed}, or null` : allowed);

/** Kinds of fields that hold one value, as against groups, lists and things. */
export type ValueSpec = Exclude<FieldSpec, { kind: 'group' | 'list' | 'things' | 'union' | 'look' }>;

function refuseText(spec: Extract<FieldSpec, { kind: 'text' }>, value: unknown): string | null {
  const { min, max, pattern } = spec;
  if (typeof value !== 'string' || value.length > max || value.length < min)
    return pattern?.allowed ?? `text of ${min > 0 ? `${min} to` : 'at most'} ${max} characters`;
  if (!isWellFormed(value)) return 'text without half characters';
  if (pattern && !pattern.test.test(value)) return pattern.allowed;
  return spec.refuse?.(value) ?? null;
}

function refuseSvg(value: unknown): string | null {
  if (value === null) return null;
  const refused = typeof value === 'string' ? refuseDrawing(value) : 'it is no text';
  if (refused === null) return null;
  return nullable(true, `cleaned SVG source, of shapes and their paint alone (${refused})`);
}

function refuseNumber(spec: Extract<FieldSpec, { kind: 'number' }>, value: unknown): string | null {
  const { min, max, whole } = spec;
  if (value === null && spec.nullable) return null;
  const fits =
    typeof value === 'number' && value >= min && value <= max && (!whole || Number.isInteger(value));
  return fits ? null : nullable(spec.nullable, `a ${whole ? 'whole ' : ''}number from ${min} to ${max}`);
}

function refuseAddress(value: unknown): string | null {
  const refused = typeof value === 'string' ? refuseUrl(value) : 'text is expected';
  return refused === null ? null : `a link address; ${refused}`;
}

const isWeight = (value: unknown) =>
  typeof value === 'number' && Number.isInteger(value) && value >= 100 && value <= 900;

/** What may stand in a field instead of this value, in words; null where the value may stand. */
export function refuseValue(spec: ValueSpec, value: unknown): string | null {
  switch (spec.kind) {
    case 'text':
      return refuseText(spec, value);
    case 'id':
      return isId(value) ? null : AN_ID;
    case 'number':
      return refuseNumber(spec, value);
    case 'choice':
      if (value === null && spec.nullable) return null;
      return typeof value === 'string' && Object.hasOwn(spec.choices, value)
        ? null
        : nullable(spec.nullable, `one of ${Object.keys(spec.choices).join(', ')}`);
    case 'flag':
      return typeof value === 'boolean' ? null : 'true or false';
    case 'literal':
      return value === spec.value ? null : JSON.stringify(spec.value);
    case 'address':
      return refuseAddress(value);
    case 'levels':
      return (SHOWN_LEVELS as readonly unknown[]).includes(value)
        ? null
        : `one of ${SHOWN_LEVELS.join(', ')}`;
    case 'svg':
      return refuseSvg(value);
    case 'markup': {
      const refused = typeof value === 'string' ? refuseMarkup(value) : 'text is expected';
      return refused === null ? null : `well-formed HTML without scripts, styles and frames: ${refused}`;
    }
    case 'picture':
      if (value === null && spec.nullable) return null;
      return ((violation) => (violation === null ? null : nullable(spec.nullable, violation)))(
        refusePicture(value),
      );
    case 'colour':
      if (value === null && spec.nullable) return null;
      return typeof value === 'string' && value.length <= 100 && parseColour(value) !== null
        ? null
        : nullable(spec.nullable, 'a CSS colour such as #3f6b4a, rgb(63 107 74) or oklch(60% 0.1 150)');
    case 'colour-value':
      return isColourLink(value) ? null : COLOUR_ALLOWED;
    case 'family':
      return typeof value === 'string' && isFamily(value) ? null : 'a bundled typeface or "system"';
    case 'weights':
      return Array.isArray(value) && value.length === 2 && value.every(isWeight) && value[0] <= value[1]
        ? null
        : 'two whole numbers from 100 to 900, the lighter first';
    case 'bands':
      return Array.isArray(value) && value.length > 0 && value.length <= MOST_BANDS && value.every(isId)
        ? null
        : `a list of the ids of 1 to ${MOST_BANDS} bands`;
    case 'reference':
      return isId(value) || (value === null && spec.nullable) ? null : nullable(spec.nullable, AN_ID);
  }
}

/** A record with only keys that are known, as a shape has them. */
export const unknownKeys = (value: Record<string, unknown>, known: readonly string[]) =>
  Object.keys(value).filter((key) => !known.includes(key));
