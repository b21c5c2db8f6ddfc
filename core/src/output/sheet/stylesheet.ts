import type { HtmlNode } from '../../print/trees.ts';
import type { ConditionalRule } from '../../print/trees.ts';
import { cssComment, printCss } from '../../print/css.ts';
import type { CompileContext } from '../context.ts';
import { PAGE } from './block-place.ts';
import { elementSorts } from './elements.ts';
import { flatRules, printBlock, printParagraphs } from './print-sheet.ts';
import { arrangeBlocks, rulesOf, type SheetBlock } from './sheet.ts';
import { sheetTitles, type SheetTitles } from './titles.ts';

/** A stylesheet in blocks, with what it was made of, for the next time. */
export interface MadeSheet {
  readonly context: CompileContext;
  readonly nodes: readonly HtmlNode[];
  readonly rules: readonly ConditionalRule[];
  readonly basics: number;
  readonly blocks: readonly SheetBlock[];
  /** The blocks as text, nested in the root; the page's own stand beside it. */
  readonly texts: readonly string[];
}

const isSameList = <T>(a: readonly T[], b: readonly T[], isSame: (a: T, b: T) => boolean): boolean =>
  a.length === b.length && a.every((entry, index) => isSame(entry, b[index] as T));

/** Whether two rules differ in values alone, so that they stand in the same place. Those that are shared differ in nothing. */
const isSameBesideValues = (a: ConditionalRule, b: ConditionalRule): boolean =>
  a === b ||
  (a.rule.selector === b.rule.selector &&
    isSameList(a.conditions, b.conditions, Object.is) &&
    a.shared === b.shared &&
    isSameList(
      a.rule.declarations,
      b.rule.declarations,
      ([name, value], [other, given]) => name === other && (a.shared === undefined || value === given),
    ));

const INDENT = '  ';

/** What is for all pieces comes first, then what several elements share. */
const BASICS = -2;
const SHARED = -1;

const isPage = ({ selectors }: SheetBlock): boolean => selectors[0] === PAGE;

const textOf = (block: SheetBlock, rules: readonly ConditionalRule[]): string =>
  printBlock(block, rules, isPage(block) ? '' : INDENT);

/** What of a site's rules stands where: the first of them are for all pieces, the others for one each. */
export interface SheetRules {
  readonly rules: readonly ConditionalRule[];
  /** How many of them come before those of pieces. */
  readonly basics: number;
}

/**
 * Arranges rules as blocks and prints each. Blocks stay as they were as long as nothing but values changes, and so does the
 * text of those whose rules are the same.
 */
export function makeSheet(
  context: CompileContext,
  nodes: readonly HtmlNode[],
  { rules, basics }: SheetRules,
  last: MadeSheet | undefined,
): MadeSheet {
  const isKept =
    context.pinnable &&
    last?.nodes === nodes &&
    last.context.names === context.names &&
    isSameList(rules, last.rules, isSameBesideValues);
  if (isKept) {
    const isSame = (block: SheetBlock) => rulesOf(block).every((place) => rules[place] === last.rules[place]);
    const texts = last.blocks.map((block, index) =>
      isSame(block) ? (last.texts[index] as string) : textOf(block, rules),
    );
    return { context, nodes, rules, basics, blocks: last.blocks, texts };
  }
  const { rankOf, alike } = sheetTitles(context);
  // The stage is told of every look by itself, so that an edit of one moves no other.
  const alikeKey = context.pinnable ? () => null : alike;
  const blocks = arrangeBlocks(rules, context.names, elementSorts(nodes), alikeKey, (first) => {
    if (first.shared !== null) return SHARED;
    if (first.called !== null) return rankOf(first.called);
    return first.rule < basics ? BASICS : Infinity;
  });
  return { context, nodes, rules, basics, blocks, texts: blocks.map((block) => textOf(block, rules)) };
}

/** The statements of a sheet, one a block: what stands in the page is one each as well. */
export function sheetStatements({ context, blocks, texts, rules }: MadeSheet): string[] {
  return blocks.flatMap((block, index) =>
    isPage(block) ? printParagraphs(block, rules) : [`${context.root} {\n${texts[index] ?? ''}}\n`],
  );
}

/** A sheet as one text: all blocks in one root, in chapters and paragraphs. */
export function nestedText({ context, blocks, texts, basics }: MadeSheet): string {
  const titles = sheetTitles(context, basics);
  let inside = '';
  let beside = '';
  let before: SheetBlock | null = null;
  blocks.forEach((block, index) => {
    const text = texts[index] ?? '';
    if (isPage(block)) beside += text;
    else {
      inside += heading(titles, before, block) + text;
      before = block;
    }
  });
  const around = beside === '' ? '' : `\n${cssComment('The page around it')}\n${beside}`;
  return `${context.root} {\n${inside}}\n${around}`;
}

/** What stands above a block where another chapter or paragraph begins than the one before. */
function heading({ titleOf }: SheetTitles, before: SheetBlock | null, block: SheetBlock): string {
  const own = titleOf(block);
  const last = before && titleOf(before);
  const isNew = own.chapter !== last?.chapter;
  const chapter = isNew && own.chapter !== null ? `\n${INDENT}${cssComment(own.chapter, 'chapter')}\n` : '';
  if (own.paragraph === null || (!isNew && own.paragraph === last.paragraph)) return chapter;
  return `${chapter}\n${INDENT}${cssComment(own.paragraph)}\n`;
}

/** A sheet rule by rule, for what does not know nested ones. */
export const flatText = ({ blocks, rules }: MadeSheet): string =>
  printCss(blocks.flatMap((block) => flatRules(block, rules)));
