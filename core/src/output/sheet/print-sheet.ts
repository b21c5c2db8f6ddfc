import type { ConditionalRule, Declaration } from '../../print/trees.ts';
import { PAGE } from './block-place.ts';
import { declarationsOf, type Paragraph, type SheetBlock } from './sheet.ts';

/** A nested rule: a selector or a condition, with what it says and what stands in it. */
interface Nested {
  readonly heads: string[];
  declarations: readonly Declaration[];
  readonly children: Nested[];
}

const nested = (...heads: string[]): Nested => ({ heads, declarations: [], children: [] });

/** The condition that all a paragraph says is under; null where there is none. */
function sharedCondition({ sayings }: Paragraph): string | null {
  const [first] = sayings[0]?.conditions ?? [];
  return first !== undefined && sayings.every(({ conditions }) => conditions[0] === first) ? first : null;
}

/** Where something is said in a block: through which selector and conditions. */
function wayTo(paragraph: Paragraph, conditions: readonly string[]): readonly string[] {
  const { selector } = paragraph;
  if (selector === '&') return conditions;
  const shared = sharedCondition(paragraph);
  return shared === null ? [selector, ...conditions] : [shared, selector, ...conditions.slice(1)];
}

/** Puts declarations at the end of a way, into the rule that stood there last or into a new one. */
function put(into: Nested, way: readonly string[], declarations: readonly Declaration[]): void {
  let at = into;
  for (const head of way) {
    const last = at.children.at(-1);
    if (last?.heads[0] === head) at = last;
    else {
      const made = nested(head);
      at.children.push(made);
      at = made;
    }
  }
  // What stands behind nested rules comes after them.
  if (at.children.length > 0 || at.declarations.length > 0) {
    const own = nested('&');
    own.declarations = declarations;
    if (at.children.length > 0) at.children.push(own);
    else at.declarations = [...at.declarations, ...declarations];
  } else at.declarations = declarations;
}

const isSameSaid = (a: Nested, b: Nested): boolean =>
  a.children.length === 0 &&
  b.children.length === 0 &&
  a.declarations.length === b.declarations.length &&
  a.declarations.every(
    ([name, value], index) => b.declarations[index]?.[0] === name && b.declarations[index][1] === value,
  );

const isCondition = (head: string | undefined): boolean => head?.startsWith('@') === true;

/** Neighbours that say the same share one list of selectors. */
function joined(children: readonly Nested[]): readonly Nested[] {
  const found: Nested[] = [];
  for (const child of children) {
    const last = found.at(-1);
    if (last && !isCondition(last.heads[0]) && !isCondition(child.heads[0]) && isSameSaid(last, child))
      last.heads.push(...child.heads);
    else found.push(child);
  }
  return found;
}

function print({ heads, declarations, children }: Nested, indent: string): string {
  return `${indent}${heads.join(`,\n${indent}`)} {\n${printInside({ declarations, children }, `${indent}  `)}${indent}}\n`;
}

function printInside(
  { declarations, children }: Pick<Nested, 'declarations' | 'children'>,
  indent: string,
): string {
  let text = '';
  for (const [name, value] of declarations) text += `${indent}${name}: ${value};\n`;
  for (const child of joined(children)) text += print(child, indent);
  return text;
}

/** A block as text, nested in its root; what is said of the root itself has no selector of its own. */
export function printBlock(
  { selectors, paragraphs }: SheetBlock,
  rules: readonly ConditionalRule[],
  indent: string,
): string {
  const block = nested(...selectors);
  for (const paragraph of paragraphs)
    for (const saying of paragraph.sayings)
      put(block, wayTo(paragraph, saying.conditions), declarationsOf(saying, rules));
  const [selector] = selectors;
  return selector === '' || selector === PAGE ? printInside(block, indent) : print(block, indent);
}

/** The paragraphs of a block by themselves, each a rule of its own. */
export const printParagraphs = (block: SheetBlock, rules: readonly ConditionalRule[]): string[] =>
  block.paragraphs.map((paragraph) => printBlock({ ...block, paragraphs: [paragraph] }, rules, ''));

/** The rules of a block one by one, each with its whole selector. */
export const flatRules = ({ paragraphs }: SheetBlock, rules: readonly ConditionalRule[]): ConditionalRule[] =>
  paragraphs.flatMap(({ flat, sayings }) =>
    sayings.map((saying) => ({
      conditions: saying.conditions,
      rule: { selector: flat.join(', '), declarations: declarationsOf(saying, rules) },
    })),
  );
