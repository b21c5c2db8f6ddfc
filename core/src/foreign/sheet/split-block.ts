import { tokenTypes } from 'css-tree';
import { tokensOf, type Token } from '../tokens.ts';

/** A stretch of what stands in a block: declarations in a row, an at-rule, or a nested rule. Offsets of the text. */
export type BlockPiece =
  | { readonly kind: 'declarations'; readonly start: number; readonly end: number }
  | {
      readonly kind: 'rule' | 'at-rule';
      readonly start: number;
      readonly end: number;
      /** Of what stands before the block. */
      readonly preludeEnd: number;
      /** Between the braces; null where there are none. */
      readonly body: { readonly start: number; readonly end: number } | null;
    };

const OPENS = new Set<number>([
  tokenTypes.LeftCurlyBracket,
  tokenTypes.LeftParenthesis,
  tokenTypes.LeftSquareBracket,
  tokenTypes.Function,
]);
const CLOSES = new Set<number>([
  tokenTypes.RightCurlyBracket,
  tokenTypes.RightParenthesis,
  tokenTypes.RightSquareBracket,
]);
const BLANK = new Set<number>([tokenTypes.WhiteSpace, tokenTypes.Comment, tokenTypes.Semicolon]);
/** What a whole sheet may hold besides: marks that once hid it within a page. */
const BLANK_IN_SHEET = new Set<number>([
  tokenTypes.WhiteSpace,
  tokenTypes.Comment,
  tokenTypes.CDO,
  tokenTypes.CDC,
]);

const isCustom = (text: string, token: Token | undefined, next: Token | undefined) =>
  token?.type === tokenTypes.Ident && text.startsWith('--', token.start) && next?.type === tokenTypes.Colon;

/** The index of the token that ends what begins at `from`: the first that `isEnd` takes outside of brackets. */
function findEnd(tokens: readonly Token[], from: number, isEnd: (token: Token) => boolean): number {
  let depth = 0;
  for (let index = from; index < tokens.length; index++) {
    const token = tokens[index] as Token;
    if (depth === 0 && isEnd(token)) return index;
    if (OPENS.has(token.type)) depth++;
    else if (CLOSES.has(token.type)) depth = Math.max(0, depth - 1);
  }
  return tokens.length;
}

/**
 * Takes the contents of a block apart as browsers do (CSS Syntax 3, "consume a block's contents"): what cannot be a declaration is a
 * nested rule. css-tree reads nested rules only where they begin with `&`, and takes what follows them for one broken declaration.
 * In a whole sheet there are no declarations, and a rule's selector goes on to its brace.
 */
export function splitBlock(text: string, within: 'sheet' | 'block'): BlockPiece[] {
  const isSheet = within === 'sheet';
  const blank = isSheet ? BLANK_IN_SHEET : BLANK;
  const tokens = tokensOf(text);
  const pieces: BlockPiece[] = [];
  const addDeclaration = (start: number, end: number) => {
    const last = pieces.at(-1);
    if (last?.kind === 'declarations') pieces[pieces.length - 1] = { ...last, end };
    else pieces.push({ kind: 'declarations', start, end });
  };
  for (let index = 0; index < tokens.length;) {
    const first = tokens[index] as Token;
    if (blank.has(first.type)) {
      index++;
      continue;
    }
    const isAtRule = first.type === tokenTypes.AtKeyword;
    const isPlain = !isAtRule && !isSheet && isCustom(text, first, tokens[index + 1]);
    const stop = findEnd(
      tokens,
      index,
      ({ type }) =>
        ((isAtRule || !isSheet) && type === tokenTypes.Semicolon) ||
        (!isSheet && type === tokenTypes.RightCurlyBracket) ||
        (!isPlain && type === tokenTypes.LeftCurlyBracket),
    );
    const end = tokens[stop];
    const endsAt = end?.start ?? text.length;
    if (end?.type !== tokenTypes.LeftCurlyBracket) {
      if (isAtRule)
        pieces.push({ kind: 'at-rule', start: first.start, end: endsAt, preludeEnd: endsAt, body: null });
      else if (!isSheet) addDeclaration(first.start, endsAt);
      index = stop + 1;
      continue;
    }
    const close = findEnd(tokens, stop + 1, ({ type }) => type === tokenTypes.RightCurlyBracket);
    const bodyEnd = tokens[close]?.start ?? text.length;
    pieces.push({
      kind: isAtRule ? 'at-rule' : 'rule',
      start: first.start,
      end: tokens[close]?.end ?? text.length,
      preludeEnd: endsAt,
      body: { start: end.end, end: bodyEnd },
    });
    index = close + 1;
  }
  return pieces;
}
