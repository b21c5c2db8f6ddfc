import { fail, succeed, type Result } from '../base/result.ts';

/** A length in px when a number, else as CSS: `1rem`, `50%`, `clamp(15px, 1vw + 12px, 18px)`. */
export type LengthValue = number | string;

export const LENGTH_UNITS = ['px', 'rem', 'em', 'vw', '%'] as const;

export type LengthUnit = (typeof LENGTH_UNITS)[number];

/** Whether a value of a look can be a length. */
export const isLength = (value: unknown): value is LengthValue =>
  typeof value === 'number' || typeof value === 'string';

/** What relative units count in, in px. */
export interface LengthBasis {
  /** For `em`. */
  readonly fontSize: number;
  /** The page's width, for `vw`. */
  readonly width?: number;
  /** What `%` is of; without it a share counts as nothing. */
  readonly whole?: number;
}

/** A rem where the host page has not changed it; our own lengths are px for just that uncertainty. */
export const ROOT_SIZE = 16;

/** The page's width where none is given, in px. */
const USUAL_WIDTH = 1280;

type FunctionName = 'clamp' | 'min' | 'max' | 'calc';

/** A length as a tree; a plain number has no unit. */
export type LengthTree =
  | { readonly op: 'amount'; readonly amount: number; readonly unit: LengthUnit | '' }
  | { readonly op: '+' | '-' | '*' | '/'; readonly left: LengthTree; readonly right: LengthTree }
  | { readonly op: FunctionName; readonly of: readonly LengthTree[] };

const TOKEN =
  /\s*(?:(\d+(?:\.\d{1,4})?|\.\d{1,4})(px|rem|em|vw|%)?(?![\w.%])|(clamp|min|max|calc)\(|([-+*/(),]))/y;

type Token =
  | { readonly amount: number; readonly unit: LengthUnit | '' }
  | { readonly call: FunctionName }
  | { readonly sign: string };

function tokens(text: string): Result<Token[], string> {
  const found: Token[] = [];
  const pattern = new RegExp(TOKEN);
  const trimmed = text.trim();
  while (pattern.lastIndex < trimmed.length) {
    const at = pattern.lastIndex;
    const match = pattern.exec(trimmed);
    if (!match) return fail(`“${trimmed.slice(at).trim().slice(0, 20)}” is not understood`);
    if (match[1] !== undefined)
      found.push({ amount: Number(match[1]), unit: (match[2] ?? '') as LengthUnit });
    else if (match[3] !== undefined) found.push({ call: match[3] as FunctionName });
    else found.push({ sign: match[4] ?? '' });
  }
  return succeed(found);
}

/** Longest length that is read, in characters, and deepest nesting: nobody writes more by hand. */
const MOST = { text: 200, depth: 12 } as const;

/** A descent over the tokens; faults are thrown as text and caught in `parseLength`. */
class Reader {
  private at = 0;
  private readonly list: readonly Token[];

  constructor(list: readonly Token[]) {
    this.list = list;
  }

  private sign(...signs: readonly string[]): string | null {
    const token = this.list[this.at];
    if (!token || !('sign' in token) || !signs.includes(token.sign)) return null;
    this.at++;
    return token.sign;
  }

  whole(): LengthTree {
    const tree = this.sum(0);
    if (this.at < this.list.length) throw new SyntaxError('there is something after its end');
    return tree;
  }

  private sum(depth: number): LengthTree {
    let left = this.product(depth);
    for (let op = this.sign('+', '-'); op; op = this.sign('+', '-'))
      left = { op: op as '+', left, right: this.product(depth) };
    return left;
  }

  private product(depth: number): LengthTree {
    let left = this.atom(depth);
    for (let op = this.sign('*', '/'); op; op = this.sign('*', '/'))
      left = { op: op as '*', left, right: this.atom(depth) };
    return left;
  }

  private atom(depth: number): LengthTree {
    if (depth > MOST.depth) throw new SyntaxError('it is nested too deep');
    if (this.sign('-')) {
      const tree = this.atom(depth + 1);
      return tree.op === 'amount'
        ? { ...tree, amount: -tree.amount }
        : { op: '*', left: { op: 'amount', amount: -1, unit: '' }, right: tree };
    }
    if (this.sign('(')) return this.closed(this.sum(depth + 1));
    const token = this.list[this.at++];
    if (token && 'amount' in token) return { op: 'amount', ...token };
    if (!token || !('call' in token)) throw new SyntaxError('a number is missing');
    return this.arguments(token.call, depth);
  }

  private closed(tree: LengthTree): LengthTree {
    if (!this.sign(')')) throw new SyntaxError('a bracket is not closed');
    return tree;
  }

  private arguments(op: FunctionName, depth: number): LengthTree {
    const of = [this.sum(depth + 1)];
    while (this.sign(',')) of.push(this.sum(depth + 1));
    if (op === 'clamp' && of.length !== 3)
      throw new SyntaxError('clamp() takes three lengths: least, wished for, most');
    if (op === 'calc' && of.length !== 1) throw new SyntaxError('calc() takes one length');
    return this.closed({ op, of });
  }
}

const isPlainNumber = (tree: LengthTree): boolean => {
  if (tree.op === 'amount') return tree.unit === '';
  return 'of' in tree ? tree.of.every(isPlainNumber) : isPlainNumber(tree.left) && isPlainNumber(tree.right);
};

/** The same tree with px where a length is needed and a plain number stands; throws where the sum makes no sense. */
function asLength(tree: LengthTree): LengthTree {
  if (tree.op === 'amount') return tree.unit === '' ? { ...tree, unit: 'px' } : tree;
  if ('of' in tree) return { op: tree.op, of: tree.of.map(asLength) };
  const { op, left, right } = tree;
  if (op === '+' || op === '-') return { op, left: asLength(left), right: asLength(right) };
  if (op === '/') {
    if (!isPlainNumber(right)) throw new SyntaxError('a length is divided by a plain number only');
    if (toAmount(right, { fontSize: 0 }) === 0) throw new SyntaxError('nothing can be divided by 0');
    return { op, left: asLength(left), right };
  }
  if (isPlainNumber(right)) return { op, left: asLength(left), right };
  if (isPlainNumber(left)) return { op, left, right: asLength(right) };
  throw new SyntaxError('a length is multiplied by a plain number only');
}

/** Reads a length as CSS writes it, px where a unit is missing; a refusal says why. */
export function parseLength(text: string): Result<LengthTree, string> {
  if (text.length > MOST.text) return fail(`it is longer than ${MOST.text} characters`);
  const found = tokens(text);
  if (!found.ok) return found;
  try {
    return succeed(asLength(new Reader(found.value).whole()));
  } catch (error) {
    if (error instanceof SyntaxError) return fail(error.message);
    throw error;
  }
}

const known = new Map<string, LengthTree | null>();
/** Entries kept of lengths read before. */
const MOST_KNOWN = 2000;

/** A stored length as a tree; null where it is none. */
export function lengthTree(value: LengthValue): LengthTree | null {
  if (typeof value === 'number')
    return Number.isFinite(value) ? { op: 'amount', amount: value, unit: 'px' } : null;
  const before = known.get(value);
  if (before !== undefined) return before;
  const parsed = parseLength(value);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(value, parsed.ok ? parsed.value : null);
  return parsed.ok ? parsed.value : null;
}

/** Splits a single amount into number and unit; null where the value is none, or a sum of several. */
export function readLength(value: LengthValue): { amount: number; unit: LengthUnit } | null {
  const tree = lengthTree(value);
  return tree?.op === 'amount' ? { amount: tree.amount, unit: tree.unit === '' ? 'px' : tree.unit } : null;
}

/** Every unit a length is written in. */
export function unitsOf(tree: LengthTree): LengthUnit[] {
  if (tree.op === 'amount') return tree.unit === '' ? [] : [tree.unit];
  return 'of' in tree ? tree.of.flatMap(unitsOf) : [...unitsOf(tree.left), ...unitsOf(tree.right)];
}

function toAmount(tree: LengthTree, basis: LengthBasis): number {
  if (tree.op === 'amount') {
    const factor = {
      '': 1,
      px: 1,
      rem: ROOT_SIZE,
      em: basis.fontSize,
      vw: (basis.width ?? USUAL_WIDTH) / 100,
      '%': (basis.whole ?? 0) / 100,
    }[tree.unit];
    return tree.amount * factor;
  }
  if ('of' in tree) {
    const amounts = tree.of.map((entry) => toAmount(entry, basis));
    switch (tree.op) {
      case 'min':
        return Math.min(...amounts);
      case 'max':
        return Math.max(...amounts);
      // CSS Values 4, section 10.4: where least and most cross, the least wins.
      case 'clamp':
        return Math.max(amounts[0] ?? 0, Math.min(amounts[1] ?? 0, amounts[2] ?? 0));
      case 'calc':
        return amounts[0] ?? 0;
    }
  }
  const left = toAmount(tree.left, basis);
  const right = toAmount(tree.right, basis);
  switch (tree.op) {
    case '+':
      return left + right;
    case '-':
      return left - right;
    case '*':
      return left * right;
    case '/':
      return right === 0 ? 0 : left / right;
  }
}

/** A length in px. */
export function toPixels(value: LengthValue, basis: LengthBasis): number {
  const tree = lengthTree(value);
  return tree ? toAmount(tree, basis) : 0;
}

const round = (amount: number) => String(Math.round(amount * 10_000) / 10_000);

function print(tree: LengthTree, outer: number): string {
  if (tree.op === 'amount')
    return tree.unit === ''
      ? round(tree.amount)
      : tree.amount === 0 && outer === 0
        ? '0'
        : `${round(tree.amount)}${tree.unit}`;
  if ('of' in tree) return `${tree.op}(${tree.of.map((entry) => print(entry, 1)).join(', ')})`;
  const strength = tree.op === '+' || tree.op === '-' ? 1 : 2;
  const inner = `${print(tree.left, strength)} ${tree.op} ${print(tree.right, strength + 1)}`;
  return outer > strength ? `(${inner})` : inner;
}

/** A length as CSS. A sum outside a function is wrapped in `calc()`; a bare 0 needs no unit. */
export function printLength(tree: LengthTree): string {
  const text = print(tree, 0);
  return tree.op === 'amount' || 'of' in tree ? text : `calc(${text})`;
}
