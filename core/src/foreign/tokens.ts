import { tokenize } from 'css-tree';

/** One token of CSS: what it is (css-tree's `tokenTypes`), and where it stands in the text. */
export interface Token {
  readonly type: number;
  readonly start: number;
  readonly end: number;
}

/** The tokens of a text. */
export function tokensOf(text: string): readonly Token[] {
  const tokens: Token[] = [];
  tokenize(text, (type: number, start: number, end: number) => tokens.push({ type, start, end }));
  return tokens;
}
