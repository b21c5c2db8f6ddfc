import { tokenize, TokenType, type CSSToken } from '@csstools/css-tokenizer';
import { memoiseText } from '../../base/memo.ts';
import { fail, succeed, type Result } from '../../base/result.ts';
import { cssString } from '../../print/css.ts';
import type { Declaration } from '../../print/trees.ts';
import { refusePicture } from '../picture.ts';
import type { ValueKind } from '../value-kind.ts';

/*
 * Declarations a designer wrote (CSS Syntax 3). They are read token by token and printed anew, so that nothing of them
 * leaves the block they stand in: no rule, no at-rule, no comment, no open bracket, no address that runs.
 */

/** Longest text, in characters, and most declarations in it. */
const MOST = { length: 4000, declarations: 100 } as const;

const PROPERTY_NAME = /^(?:-?[a-z][a-z0-9]*(?:-[a-z0-9]+)*|--[A-Za-z0-9_][\w-]*)$/;

/** Properties of old engines that load or run what they name. */
const RUNS: ReadonlySet<string> = new Set(['behavior', '-moz-binding', '-ms-behavior']);

const CLOSES: Readonly<Record<string, TokenType>> = {
  [TokenType.Function]: TokenType.CloseParen,
  [TokenType.OpenParen]: TokenType.CloseParen,
  [TokenType.OpenSquare]: TokenType.CloseSquare,
};

const CLOSING: ReadonlySet<TokenType> = new Set([TokenType.CloseParen, TokenType.CloseSquare]);

/** Why a kind of token may not stand in a declaration. */
const REFUSED: { readonly [Type in TokenType]?: string } = {
  [TokenType.OpenCurly]: 'a bracket { would begin a rule; only declarations stand here',
  [TokenType.CloseCurly]: 'a bracket } would end the rule',
  [TokenType.AtKeyword]: 'a word that begins with @ would begin a rule of its own',
  [TokenType.BadString]: 'a text in quotes is not closed on its line',
  [TokenType.BadURL]: 'an address in url( ) cannot be read',
  [TokenType.CDO]: '<!-- may not stand here',
  [TokenType.CDC]: '--> may not stand here',
};

const TAKES_ADDRESSES = /^(?:url|src|image|(?:-webkit-)?image-set)$/i;

/** What a token refers to, where it is an address; null for all others. `within` is the function it is handed to. */
function addressOf(token: CSSToken, within: string): string | null {
  if (token[0] === TokenType.URL) return token[4].value;
  return token[0] === TokenType.String && TAKES_ADDRESSES.test(within) ? token[4].value : null;
}

const urlCss = (address: string) => `url(${cssString(address)})`;

/** A token as CSS, or why it is refused. */
function printToken(token: CSSToken, within: string): Result<string, string> {
  const address = addressOf(token, within);
  if (address !== null && !address.startsWith('#') && refusePicture(address) !== null)
    return fail(`the address “${address.slice(0, 60)}” may not be used`);
  switch (token[0]) {
    case TokenType.String:
      return succeed(cssString(token[4].value));
    case TokenType.URL:
      return succeed(urlCss(token[4].value));
    case TokenType.Function:
      return /^(?:expression|progid)$/i.test(token[4].value)
        ? fail(`${token[4].value}( ) runs as a script in old engines`)
        : succeed(token[1]);
    case TokenType.Delim:
      return token[4].value === '<' || token[4].value === '\\'
        ? fail(`the sign ${token[4].value} may not stand here`)
        : succeed(token[1]);
    default:
      return succeed(token[1]);
  }
}

/** One declaration as its name and value; null for nothing between two semicolons. */
function readDeclaration(tokens: readonly CSSToken[]): Result<Declaration | null, string> {
  const start = tokens.findIndex(([type]) => type !== TokenType.Whitespace && type !== TokenType.Comment);
  const first = tokens[start];
  if (!first) return succeed(null);
  const own = first[0] === TokenType.Ident ? first[4].value : '';
  const name = own.startsWith('--') ? own : own.toLowerCase();
  if (!PROPERTY_NAME.test(name)) return fail(`“${first[1].slice(0, 40)}” is not the name of a CSS property`);
  if (RUNS.has(name)) return fail(`${name} runs what it names in old engines`);
  const colon = tokens.findIndex(([type], index) => index > start && type === TokenType.Colon);
  const between = tokens.slice(start + 1, colon === -1 ? tokens.length : colon);
  if (colon === -1 || between.some(([type]) => type !== TokenType.Whitespace && type !== TokenType.Comment))
    return fail(`behind ${name} a colon and a value are missing`);
  let value = '';
  let isApart = false;
  const open: string[] = [];
  for (const token of tokens.slice(colon + 1)) {
    // White space and comments come to one space; that in quotes stays as it is.
    if (token[0] === TokenType.Whitespace || token[0] === TokenType.Comment) {
      isApart = value !== '';
      continue;
    }
    if (isApart) value += ' ';
    isApart = false;
    const printed = printToken(token, open.at(-1) ?? '');
    if (!printed.ok) return printed;
    value += printed.value;
    if (CLOSES[token[0]] !== undefined) open.push(token[0] === TokenType.Function ? token[4].value : '');
    else if (CLOSING.has(token[0])) open.pop();
  }
  return value === '' ? fail(`${name} has no value`) : succeed([name, value]);
}

/** Declarations as they are read; a refusal says what is wrong, in words for the cell. */
export const readDeclarations = memoiseText((source: string): Result<readonly Declaration[], string> => {
  if (source.length > MOST.length) return fail(`own CSS is longer than ${MOST.length} characters`);
  if (/\u0000/.test(source)) return fail('own CSS holds a character that is none');
  const mistakes: string[] = [];
  const tokens = tokenize(
    { css: source },
    {
      onParseError: (error) => {
        mistakes.push(error.message);
      },
    },
  );
  if (
    /\/\*/.test(source) &&
    tokens.some((token) => token[0] === TokenType.Comment && !token[1].endsWith('*/'))
  )
    return fail('a comment is not closed');
  const declarations: Declaration[] = [];
  const open: TokenType[] = [];
  let from = 0;
  for (let index = 0; index < tokens.length; index++) {
    const [type] = tokens[index] as CSSToken;
    const refused = REFUSED[type];
    if (refused !== undefined) return fail(refused);
    const closing = CLOSES[type];
    if (closing !== undefined) open.push(closing);
    else if (CLOSING.has(type) && open.pop() !== type) return fail('a bracket is closed that was not opened');
    const isEnd = type === TokenType.EOF;
    if (!isEnd && (type !== TokenType.Semicolon || open.length > 0)) continue;
    if (isEnd && open.length > 0) return fail('a bracket is not closed');
    const read = readDeclaration(tokens.slice(from, index));
    if (!read.ok) return read;
    if (read.value !== null) declarations.push(read.value);
    from = index + 1;
  }
  if (mistakes.length > 0) return fail('a text in quotes, an address or a sign is not finished');
  return declarations.length > MOST.declarations
    ? fail(`more than ${MOST.declarations} declarations`)
    : succeed(declarations);
});

const printed = (declarations: readonly Declaration[]): string =>
  declarations.map(([name, value]) => `${name}: ${value}`).join('; ');

/** CSS declarations as the designer wrote them, printed anew. */
export const DECLARATIONS: ValueKind<'declarations', string> = {
  id: 'declarations',
  accepts: (_entry, value) => {
    if (typeof value !== 'string') return false;
    const read = readDeclarations(value);
    return read.ok && printed(read.value) === value;
  },
  allowed: () => 'CSS declarations such as "letter-spacing: .1em; rotate: 2deg", as Hamaca prints them',
  schema: () => ({ type: 'string', maxLength: MOST.length }),
  parse: (_entry, text) => {
    if (text.toLowerCase() === 'none') return succeed('');
    const read = readDeclarations(text);
    return read.ok ? succeed(printed(read.value)) : read;
  },
  css: (value) => (typeof value === 'string' ? value : ''),
};
