import type { StyleRule, Stylesheet } from './trees.ts';

/** A CSS string, quoted (CSSOM, "serialize a string"). */
export function cssString(value: string): string {
  return `"${value.replace(/[\u0000-\u001f\u007f"\\]/g, (character) => `\\${character.charCodeAt(0).toString(16)} `)}"`;
}

function printRule({ selector, declarations }: StyleRule, indent: string): string {
  const lines = declarations.map(([property, value]) => `${indent}  ${property}: ${value};\n`).join('');
  return `${indent}${selector} {\n${lines}${indent}}\n`;
}

/** A stylesheet as readable text; neighbours under the same conditions share one block. */
export function printCss(sheet: Stylesheet): string {
  let out = '';
  let open: readonly string[] = [];
  const close = (keep: number) => {
    for (let depth = open.length; depth > keep; depth--) out += `${'  '.repeat(depth - 1)}}\n`;
  };
  for (const { conditions, rule } of sheet) {
    let shared = 0;
    while (shared < open.length && shared < conditions.length && open[shared] === conditions[shared])
      shared++;
    close(shared);
    conditions.slice(shared).forEach((condition, index) => {
      out += `${'  '.repeat(shared + index)}${condition} {\n`;
    });
    open = conditions;
    out += printRule(rule, '  '.repeat(conditions.length));
  }
  close(0);
  return out;
}
