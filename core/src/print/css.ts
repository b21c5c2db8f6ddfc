import { memoise } from '../base/memo.ts';
import type { ConditionalRule, Stylesheet } from './trees.ts';

/** A CSS string, quoted (CSSOM, "serialize a string"); never with what could end a page's `style` element. */
export function cssString(value: string): string {
  return `"${value.replace(/[\u0000-\u001f\u007f"\\<]/g, (character) => `\\${character.charCodeAt(0).toString(16)} `)}"`;
}

/** A rule as text, indented below its conditions; kept, as most rules stay the same from one edit to the next. */
const printRule = memoise(({ conditions, rule: { selector, declarations } }: ConditionalRule): string => {
  const indent = '  '.repeat(conditions.length);
  let lines = '';
  for (const [property, value] of declarations) lines += `${indent}  ${property}: ${value};\n`;
  return `${indent}${selector} {\n${lines}${indent}}\n`;
});

/** A stylesheet as readable text; neighbours under the same conditions share one block. */
export function printCss(sheet: Stylesheet): string {
  let out = '';
  let open: readonly string[] = [];
  const close = (keep: number) => {
    for (let depth = open.length; depth > keep; depth--) out += `${'  '.repeat(depth - 1)}}\n`;
  };
  for (const entry of sheet) {
    const { conditions } = entry;
    let shared = 0;
    while (shared < open.length && shared < conditions.length && open[shared] === conditions[shared])
      shared++;
    close(shared);
    for (let depth = shared; depth < conditions.length; depth++)
      out += `${'  '.repeat(depth)}${conditions[depth] ?? ''} {\n`;
    open = conditions;
    out += printRule(entry);
  }
  close(0);
  return out;
}
