import type { ConditionalRule, Stylesheet } from './trees.ts';

/** A CSS string, quoted (CSSOM, "serialize a string"); never with what could end a page's `style` element. */
export function cssString(value: string): string {
  return `"${value.replace(/[\u0000-\u001f\u007f"\\<]/g, (character) => `\\${character.charCodeAt(0).toString(16)} `)}"`;
}

/** A rule as text, indented below its conditions. */
function printRule({ conditions, rule: { selector, declarations } }: ConditionalRule): string {
  const indent = '  '.repeat(conditions.length);
  let lines = '';
  for (const [property, value] of declarations) lines += `${indent}  ${property}: ${value};\n`;
  return `${indent}${selector} {\n${lines}${indent}}\n`;
}

/** A stylesheet as it was printed, with the text of each of its rules for the next time. */
export interface PrintedCss {
  readonly sheet: Stylesheet;
  readonly texts: readonly string[];
  /** Its statements one after the other: neighbours under the same conditions share one. */
  readonly statements: readonly string[];
}

/**
 * Prints a stylesheet as readable text. Most rules stay the same from one edit to the next: those that are the same objects
 * at the same place are not printed again.
 */
export function printStylesheet(sheet: Stylesheet, last: PrintedCss | null = null): PrintedCss {
  const texts = sheet.map((entry, index) => {
    const known = last?.sheet[index] === entry ? last.texts[index] : undefined;
    return known ?? printRule(entry);
  });
  const statements: string[] = [];
  let text = '';
  let open: readonly string[] = [];
  const close = (keep: number) => {
    for (let depth = open.length; depth > keep; depth--) text += `${'  '.repeat(depth - 1)}}\n`;
    if (keep > 0 || text === '') return;
    statements.push(text);
    text = '';
  };
  sheet.forEach(({ conditions }, index) => {
    let shared = 0;
    while (shared < open.length && shared < conditions.length && open[shared] === conditions[shared])
      shared++;
    close(shared);
    for (let depth = shared; depth < conditions.length; depth++)
      text += `${'  '.repeat(depth)}${conditions[depth] ?? ''} {\n`;
    open = conditions;
    text += texts[index] ?? '';
  });
  close(0);
  return { sheet, texts, statements };
}

/** A stylesheet as readable text. */
export const printCss = (sheet: Stylesheet): string => printStylesheet(sheet).statements.join('');
