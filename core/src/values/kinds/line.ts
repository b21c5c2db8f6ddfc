import { isRecord } from '../../base/json.ts';
import { fail, succeed, type Result } from '../../base/result.ts';
import { FOCUS_RING } from '../property.ts';
import { leadingNumbers, pxCss } from '../typed-text.ts';
import {
  closed,
  hasOnly,
  isWithin,
  orNull,
  type JsonSchema,
  type NamedThings,
  type ValueKind,
} from '../value-kind.ts';
import { LINE_STYLES, type LineValue } from '../values.ts';
import { COLOUR_REFERENCE, formatColourValue, isColourLink, parseColourText } from './colour.ts';

/** Thickest line, in px. */
const MOST_WIDTH = 60;

function isLine(value: unknown): boolean {
  if (!isRecord(value) || !hasOnly(value, 'line')) return false;
  const { line } = value;
  if (line === null) return true;
  return (
    isRecord(line) &&
    hasOnly(line, 'width', 'style', 'colour') &&
    isWithin(line['width'], 0, MOST_WIDTH) &&
    (LINE_STYLES as readonly unknown[]).includes(line['style']) &&
    isColourLink(line['colour'])
  );
}

const LINE_SCHEMA: JsonSchema = closed(
  {
    line: orNull(
      closed({ width: { type: 'number' }, style: { enum: LINE_STYLES }, colour: COLOUR_REFERENCE }, [
        'width',
        'style',
        'colour',
      ]),
    ),
  },
  ['line'],
);

/** `1 line`, `2 dashed reed 60%`, `none`: the colour left out is the role line. */
function parseLine(text: string, things: NamedThings): Result<LineValue, string> {
  if (/^(none|0)$/i.test(text.trim())) return succeed({ line: null });
  const {
    numbers: [width],
    rest,
  } = leadingNumbers(text, 1);
  if (width === undefined) return fail('a line starts with its width; type 1 line, 2 dashed ink 40% or none');
  const [first = '', ...others] = rest.split(/\s+/);
  const style = LINE_STYLES.find((entry) => entry === first.toLowerCase());
  const named = style ? others.join(' ') : rest;
  const colour = named === '' ? succeed({ role: 'line' } as const) : parseColourText(things, named);
  return colour.ok ? succeed({ line: { width, style: style ?? 'solid', colour: colour.value } }) : colour;
}

export function formatLine(things: Pick<NamedThings, 'palette'>, { line }: LineValue): string {
  if (!line) return 'none';
  const style = line.style === 'solid' ? '' : ` ${line.style}`;
  return `${line.width}${style} ${formatColourValue(things, line.colour)}`;
}

const isLineValue = (value: unknown): value is LineValue => isRecord(value) && 'line' in value;

/** A line along an edge; of an outline also the ring of focus. */
export const LINE: ValueKind<'line', LineValue | typeof FOCUS_RING> = {
  id: 'line',
  accepts: ({ inFocus }, value) => (inFocus !== undefined && value === FOCUS_RING) || isLine(value),
  allowed: ({ inFocus }) =>
    `{ "line": { "width", "style": ${LINE_STYLES.join(' or ')}, "colour" } } or { "line": null }${inFocus === undefined ? '' : `, or "${FOCUS_RING}"`}`,
  schema: ({ inFocus }) =>
    inFocus === undefined ? LINE_SCHEMA : { anyOf: [LINE_SCHEMA, { const: inFocus }] },
  parse: ({ inFocus }, text, things) =>
    inFocus !== undefined && text.toLowerCase() === FOCUS_RING
      ? succeed(FOCUS_RING)
      : parseLine(text, things),
  step: (_entry, value, steps) => {
    if (!isLineValue(value) || !value.line) return null;
    const width = Math.round((value.line.width + steps) * 10) / 10;
    return { line: { ...value.line, width: Math.min(MOST_WIDTH, Math.max(0, width)) } };
  },
  css: (value, out) => {
    if (value === FOCUS_RING) return '2px solid currentColor';
    const line = isLineValue(value) ? value.line : null;
    return line ? `${pxCss(line.width)} ${line.style} ${out.colour(line.colour)}` : 'none';
  },
};
