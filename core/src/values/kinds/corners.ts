import { isRecord } from '../../base/json.ts';
import { fail, succeed } from '../../base/result.ts';
import type { LengthValue } from '../length.ts';
import { closed, hasOnly, type ValueKind } from '../value-kind.ts';
import type { CornersValue } from '../values.ts';
import {
  acceptsLength,
  LENGTH_SCHEMA,
  lengthAllowed,
  lengthCss,
  parseLengthText,
  stepLength,
} from './length.ts';

/** Radii: one for all corners, or four of them. */
export const CORNERS: ValueKind<'corners', LengthValue | CornersValue> = {
  id: 'corners',
  accepts: (entry, value) => {
    if (!isRecord(value)) return acceptsLength(entry, value);
    const corners: unknown = value['corners'];
    return (
      hasOnly(value, 'corners') &&
      Array.isArray(corners) &&
      corners.length === 4 &&
      corners.every((corner) => acceptsLength(entry, corner))
    );
  },
  allowed: (entry) => `${lengthAllowed(entry)}, or { "corners": [four of them] }`,
  schema: () => ({
    anyOf: [
      LENGTH_SCHEMA,
      closed({ corners: { type: 'array', items: LENGTH_SCHEMA, minItems: 4, maxItems: 4 } }, ['corners']),
    ],
  }),
  parse: (entry, text) => {
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
  },
  step: stepLength,
  css: (value) => {
    const corners = isRecord(value) ? (value as unknown as CornersValue).corners : [value as LengthValue];
    return corners.map(lengthCss).join(' ');
  },
};
