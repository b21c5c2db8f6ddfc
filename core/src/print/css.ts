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

/** A stylesheet as it was printed, with the text of each rule for the next time. */
export interface PrintedCss {
  readonly sheet: Stylesheet;
  readonly rules: readonly string[];
  readonly text: string;
}

/**
 * Prints a stylesheet as readable text; neighbours under the same conditions share one block. Most rules stay the same from
 * one edit to the next: those that are the same objects at the same place are not printed again.
 */
export function printStylesheet(sheet: Stylesheet, last: PrintedCss | null = null): PrintedCss {
  const rules = sheet.map((entry, index) => {
    const known = last?.sheet[index] === entry ? last.rules[index] : undefined;
    return known ?? printRule(entry);
  });
  let text = '';
  let open: readonly string[] = [];
  const close = (keep: number) => {
    for (let depth = open.length; depth > keep; depth--) text += `${'  '.repeat(depth - 1)}}\n`;
  };
  sheet.forEach(({ conditions }, index) => {
    let shared = 0;
    while (shared < open.length && shared < conditions.length && open[shared] === conditions[shared])
      shared++;
    close(shared);
    for (let depth = shared; depth < conditions.length; depth++)
      text += `${'  '.repeat(depth)}${conditions[depth] ?? ''} {\n`;
    open = conditions;
    text += rules[index] ?? '';
  });
  close(0);
  return { sheet, rules, text };
}

/** A stylesheet as readable text. */
export const printCss = (sheet: Stylesheet): string => printStylesheet(sheet).text;
