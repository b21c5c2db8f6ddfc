import { tokenize, tokenNames } from 'css-tree';

/** Names that stand in a staged page: attributes by which states are frozen and elements known, and how addresses begin. */
export const STAGED_NAMES = {
  /** Says which of a page's elements an element on the stage is, in the order of the document. */
  at: 'data-hamaca-at',
  hover: 'data-hamaca-hover',
  active: 'data-hamaca-active',
  focus: 'data-hamaca-focus',
  within: 'data-hamaca-within',
  /** Addresses of files and stylesheets, until they are known on the stage: this, a number, and a dot. */
  file: 'blob:hamaca/file-',
  sheet: 'blob:hamaca/sheet-',
} as const;
export type StagedNames = typeof STAGED_NAMES;

/** States that can be frozen on an element of a staged page, and the attribute that says so. */
const FROZEN = {
  hover: STAGED_NAMES.hover,
  active: STAGED_NAMES.active,
  focus: STAGED_NAMES.focus,
  'focus-visible': STAGED_NAMES.focus,
  'focus-within': STAGED_NAMES.within,
} as const;

interface Token {
  readonly type: string;
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

function tokensOf(css: string): Token[] {
  const tokens: Token[] = [];
  tokenize(css, (type, start, end) => {
    tokens.push({ type: tokenNames[type] ?? '', start, end, text: css.slice(start, end) });
  });
  return tokens;
}

const isBlank = ({ type }: Token) => type === 'whitespace-token' || type === 'comment-token';

/** The address in a token of a string or of an address without quotes. */
function addressIn({ type, text }: Token): string {
  if (type === 'string-token') return unescaped(text.slice(1, -1));
  return unescaped(text.replace(/^url\(\s*|\s*\)$/gi, ''));
}

const unescaped = (text: string) =>
  text.replace(/\\(?:([0-9a-f]{1,6})\s?|(.))/gis, (_, code?: string, sign?: string) =>
    code === undefined ? (sign ?? '') : String.fromCodePoint(Math.min(Number.parseInt(code, 16), 0x10ffff)),
  );

const quoted = (address: string) => `url("${address.replaceAll(/["\\\n]/g, (sign) => `\\${sign}`)}")`;

/** Whether what begins at a token ends in a block: it is a selector, not a declaration. */
function endsInBlock(tokens: readonly Token[], from: number): boolean {
  let depth = 0;
  for (let at = from; at < tokens.length; at++) {
    const type = tokens[at]?.type ?? '';
    if (type === '(-token' || type === 'function-token' || type === '[-token') depth++;
    else if (type === ')-token' || type === ']-token') depth--;
    else if (depth <= 0 && type === '{-token') return true;
    else if (depth <= 0 && (type === 'semicolon-token' || type === '}-token')) return false;
  }
  return false;
}

/** Where the addresses of a stylesheet lead on the stage. */
export interface StagedAddresses {
  /** Of a picture or typeface, or of anything else that is no stylesheet. */
  readonly file: (address: string) => string;
  readonly stylesheet: (address: string) => string;
}

/** A stylesheet as the stage needs it: its addresses lead to what was brought along, and its states can be frozen. */
export function stagedCss(css: string, addresses: StagedAddresses): string {
  const tokens = tokensOf(css);
  const parts: string[] = [];
  let kept = 0;
  const replace = (from: Token, to: Token, text: string) => {
    parts.push(css.slice(kept, from.start), text);
    kept = to.end;
  };
  /** The word of the condition that is being read; nothing in a selector or a block. */
  let condition = '';
  for (let at = 0; at < tokens.length; at++) {
    const token = tokens[at];
    if (!token) break;
    if (token.type === 'at-keyword-token') condition = token.text.toLowerCase();
    else if (token.type === '{-token' || token.type === 'semicolon-token') condition = '';
    const isImport = condition === '@import';
    const write = isImport ? addresses.stylesheet : addresses.file;
    if (token.type === 'url-token') replace(token, token, quoted(write(addressIn(token))));
    else if (token.type === 'string-token' && isImport) {
      replace(token, token, quoted(write(addressIn(token))));
      // Of an import only the first text is an address.
      condition = '@imported';
    } else if (token.type === 'function-token' && token.text.toLowerCase() === 'url(') {
      let inside = at + 1;
      while (tokens[inside] && isBlank(tokens[inside] as Token)) inside++;
      const text = tokens[inside];
      let end = inside + 1;
      while (tokens[end] && tokens[end]?.type !== ')-token') end++;
      const close = tokens[end];
      if (text?.type === 'string-token' && close) {
        replace(token, close, quoted(write(addressIn(text))));
        if (isImport) condition = '@imported';
        at = end;
      }
    } else if (token.type === 'colon-token' && (condition === '' || condition === '@scope')) {
      const word = tokens[at + 1];
      const state = word?.type === 'ident-token' ? word.text.toLowerCase() : '';
      if (word && Object.hasOwn(FROZEN, state) && (condition === '@scope' || endsInBlock(tokens, at + 1))) {
        const attribute = FROZEN[state as keyof typeof FROZEN];
        replace(token, word, `:is(:${state},[${attribute}])`);
        at++;
      }
    }
  }
  return parts.join('') + css.slice(kept);
}
