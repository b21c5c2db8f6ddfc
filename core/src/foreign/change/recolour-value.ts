import { tokenTypes } from 'css-tree';
import { formatColour, parseColour, type Rgba } from '../../colour/colour.ts';
import { tokensOf, type Token } from '../tokens.ts';

/** Properties whose words are names somebody chose, never colours. */
const OF_NAMES =
  /^(?:font|font-family|animation|animation-name|transition|transition-property|will-change|container|container-name|content|counter-.+|grid.*|view-transition-.+|list-style-type)$/;

const COLOUR_FUNCTION = /^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\($/i;

/** The three channels of a colour alone, as some custom properties hold them for `rgba(var(--x), .5)`. */
const CHANNELS = /^\d{1,3}(\s*,\s*|\s+)\d{1,3}(?:\s*,\s*|\s+)\d{1,3}$/;

/** How far two channels may be from one another: notations are rounded differently. */
const NEAR = 0.75 / 255;

const isSameTone = (a: Rgba, b: Rgba) =>
  Math.abs(a.r - b.r) <= NEAR && Math.abs(a.g - b.g) <= NEAR && Math.abs(a.b - b.b) <= NEAR;

/** Whether two colours are the same, however they were written. */
export const isSameColour = (a: Rgba, b: Rgba): boolean => isSameTone(a, b) && Math.abs(a.a - b.a) < 0.004;

/** Where the function that begins at a token ends. */
function endOfFunction(tokens: readonly Token[], index: number): number {
  let depth = 1;
  for (const { type, end } of tokens.slice(index + 1)) {
    if (type === tokenTypes.Function || type === tokenTypes.LeftParenthesis) depth++;
    else if (type === tokenTypes.RightParenthesis) depth--;
    if (depth === 0) return end;
  }
  return tokens.at(-1)?.end ?? 0;
}

/** Writes a value with every colour in it as `replace` says; null leaves one as it is. */
function replaceColours(property: string, value: string, replace: (colour: Rgba) => string | null): string {
  const tokens = tokensOf(value);
  let made = '';
  let done = 0;
  for (const [index, { type, start, end: tokenEnd }] of tokens.entries()) {
    if (start < done) continue;
    const isFunction = type === tokenTypes.Function && COLOUR_FUNCTION.test(value.slice(start, tokenEnd));
    const isWord = type === tokenTypes.Ident && !OF_NAMES.test(property);
    const end = isFunction ? endOfFunction(tokens, index) : tokenEnd;
    const written = value.slice(start, end);
    const colour = isFunction || isWord || type === tokenTypes.Hash ? parseColour(written) : null;
    const other = colour ? replace(colour) : null;
    // A function that is none of the colours meant may hold one, as a relative colour does.
    const taken = other === null ? value.slice(start, tokenEnd) : other;
    made += taken;
    done = other === null ? tokenEnd : end;
  }
  return made;
}

const channelsOf = ({ r, g, b }: Rgba, between: string) =>
  [r, g, b].map((channel) => Math.round(channel * 255)).join(between);

/** Puts another colour in for one wherever it stands in a value, in whatever notation; the same text where it does not. */
export function recolourValue(property: string, value: string, from: Rgba, to: string): string {
  const channels = property.startsWith('--') ? CHANNELS.exec(value.trim()) : null;
  const target = parseColour(to);
  if (channels && target && from.a === 1) {
    const written = value
      .trim()
      .split(/[\s,]+/)
      .join(',');
    return written === channelsOf(from, ',') ? channelsOf(target, channels[1] ?? ', ') : value;
  }
  return replaceColours(property, value, (colour) => (isSameColour(colour, from) ? to : null));
}

/** The same of a colour in all its transparencies, each keeping its own: what becomes of it where its channels are held alone. */
export function recolourTones(property: string, value: string, from: Rgba, to: Rgba): string {
  return replaceColours(property, value, (colour) =>
    isSameTone(colour, from) ? formatColour({ ...to, a: colour.a }) : null,
  );
}

/** A value with all its colours in one notation, to be compared. */
export const canonicalColours = (property: string, value: string): string =>
  replaceColours(property, value, formatColour).replace(/\s+/g, ' ');
