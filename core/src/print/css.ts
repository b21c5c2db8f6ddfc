import type { ConditionalRule, Stylesheet } from './trees.ts';

/** A CSS string, quoted (CSSOM, "serialize a string"); never with what could end a page's `style` element. */
export function cssString(value: string): string {
  return `"${value.replace(/[\u0000-\u001f\u007f"\\<]/g, (character) => `\\${character.charCodeAt(0).toString(16)} `)}"`;
}

/** Columns that the heading of a chapter fills. */
const CHAPTER_WIDTH = 70;

/** A text as a comment on one line, which nothing in it ends early, nor the page's `style` element. */
export function cssComment(text: string, as: 'chapter' | 'note' = 'note'): string {
  const safe = text
    .replace(/[\u0000-\u001f\u007f<]/g, ' ')
    .replaceAll('*/', '* /')
    .trim();
  const line = as === 'chapter' ? ` ${'-'.repeat(Math.max(3, CHAPTER_WIDTH - safe.length))}` : '';
  return `/* ${safe}${line} */`;
}

/** A rule as text, indented below its conditions. */
function printRule({ conditions, rule: { selector, declarations } }: ConditionalRule): string {
  const indent = '  '.repeat(conditions.length);
  let lines = '';
  for (const [property, value] of declarations) lines += `${indent}  ${property}: ${value};\n`;
  return `${indent}${selector} {\n${lines}${indent}}\n`;
}

/** Neighbours under the same conditions, which share one block, as text. */
function printStatement(entries: Stylesheet): string {
  let text = '';
  let open: readonly string[] = [];
  const close = (keep: number) => {
    for (let depth = open.length; depth > keep; depth--) text += `${'  '.repeat(depth - 1)}}\n`;
  };
  for (const entry of entries) {
    const { conditions } = entry;
    let shared = 0;
    while (shared < open.length && shared < conditions.length && open[shared] === conditions[shared])
      shared++;
    close(shared);
    for (let depth = shared; depth < conditions.length; depth++)
      text += `${'  '.repeat(depth)}${conditions[depth] ?? ''} {\n`;
    open = conditions;
    text += printRule(entry);
  }
  close(0);
  return text;
}

/** Where a statement ends that begins at a place: neighbours under the same outermost condition stand in one. */
function endOf(sheet: Stylesheet, start: number): number {
  const condition = sheet[start]?.conditions[0];
  let end = start + 1;
  if (condition !== undefined) while (sheet[end]?.conditions[0] === condition) end++;
  return end;
}

/** A stylesheet as it was printed, for the next time. */
export interface PrintedCss {
  readonly sheet: Stylesheet;
  /** Its statements one after the other, and the place of the first rule of each. */
  readonly statements: readonly string[];
  readonly starts: readonly number[];
}

/**
 * Prints a stylesheet as readable text. Most rules stay the same from one edit to the next: statements of the same rules at
 * the same place are not printed again.
 */
export function printStylesheet(sheet: Stylesheet, last: PrintedCss | null = null): PrintedCss {
  const statements: string[] = [];
  const starts: number[] = [];
  const isSame = (start: number, end: number) => {
    const index = statements.length;
    if (last?.starts[index] !== start || (last.starts[index + 1] ?? last.sheet.length) !== end) return false;
    for (let place = start; place < end; place++) if (last.sheet[place] !== sheet[place]) return false;
    return true;
  };
  for (let start = 0; start < sheet.length;) {
    const end = endOf(sheet, start);
    const known = isSame(start, end) ? last?.statements[statements.length] : undefined;
    statements.push(known ?? printStatement(sheet.slice(start, end)));
    starts.push(start);
    start = end;
  }
  return { sheet, statements, starts };
}

/** A printed stylesheet as one text. */
export function cssText({ statements }: PrintedCss): string {
  let text = '';
  for (const statement of statements) text += statement;
  return text;
}

/** A stylesheet as readable text. */
export const printCss = (sheet: Stylesheet): string => cssText(printStylesheet(sheet));
