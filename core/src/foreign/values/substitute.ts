import { tokenTypes } from 'css-tree';
import { tokensOf, type Token } from '../tokens.ts';

/** The most characters a value may come to once everything is put in: names that hold one another grow without end. */
const MOST = 100_000;

const OPENS = new Set<number>([
  tokenTypes.Function,
  tokenTypes.LeftParenthesis,
  tokenTypes.LeftCurlyBracket,
  tokenTypes.LeftSquareBracket,
  tokenTypes.Url,
]);
const CLOSES = new Set<number>([
  tokenTypes.RightParenthesis,
  tokenTypes.RightCurlyBracket,
  tokenTypes.RightSquareBracket,
]);

/**
 * Puts the values of custom properties in for every `var()` (CSS Custom Properties 1, 3). Null where one has neither a value nor
 * something to stand in for it, or the whole grows too long.
 */
export function substitute(text: string, valueOf: (name: string) => string | null): string | null {
  if (!/var\(/i.test(text)) return text;
  const tokens = tokensOf(text);
  let made = '';
  for (let index = 0; index < tokens.length; index++) {
    const token = tokens[index] as Token;
    const written = text.slice(token.start, token.end);
    if (token.type !== tokenTypes.Function || written.toLowerCase() !== 'var(') {
      made += written;
      continue;
    }
    let depth = 0;
    let comma = -1;
    let close = index + 1;
    for (; close < tokens.length; close++) {
      const { type } = tokens[close] as Token;
      if (depth === 0 && type === tokenTypes.RightParenthesis) break;
      if (depth === 0 && comma === -1 && type === tokenTypes.Comma) comma = close;
      if (OPENS.has(type) && type !== tokenTypes.Url) depth++;
      else if (CLOSES.has(type)) depth--;
    }
    const end = tokens[close]?.start ?? text.length;
    const name = text.slice(token.end, comma === -1 ? end : tokens[comma]?.start).trim();
    const standIn = comma === -1 ? null : text.slice(tokens[comma]?.end, end);
    const value = valueOf(name) ?? (standIn === null ? null : substitute(standIn.trim(), valueOf));
    if (value === null) return null;
    // An empty comment keeps two numbers apart that would run into one another.
    const glue = /[\w%-]$/.test(made) && /^[\w-]/.test(value) ? '/**/' : '';
    made += `${glue}${value}`;
    if (made.length > MOST) return null;
    index = close;
  }
  return made.trim();
}
