import type { Condition, StyleRule } from '../sheet/rules.ts';
import { addToSelectors, conditionText, fullSelector } from '../rule-text.ts';

/** A rule of an added stylesheet: declarations that stand where another rule stands, with what surrounds it. */
export interface AddedRule {
  readonly selector: string;
  readonly layer: string | null;
  readonly conditions: readonly Condition[];
  readonly declarations: readonly AddedDeclaration[];
}

export interface AddedDeclaration {
  readonly property: string;
  readonly value: string;
  readonly important: boolean;
}

/** What stands around a rule, as one text: rules with the same one share it. */
const aroundOf = ({ layer, conditions }: AddedRule): readonly string[] => [
  ...(layer === null ? [] : [`@layer ${layer}`]),
  ...conditions.map(conditionText),
];

const indent = (text: string) => text.replace(/^(?=.)/gm, '  ');

function printRule({ selector, declarations }: AddedRule): string {
  const lines = declarations.map(
    ({ property, value, important }) => `  ${property}: ${value}${important ? ' !important' : ''};`,
  );
  return `${selector} {\n${lines.join('\n')}\n}`;
}

/** Prints rules in their order; those that follow one another within the same conditions stand together. */
export function printAddedSheet(rules: readonly AddedRule[]): string {
  const blocks: { around: readonly string[]; texts: string[] }[] = [];
  for (const rule of rules) {
    const around = aroundOf(rule);
    const last = blocks.at(-1);
    if (last && last.around.join('\n') === around.join('\n')) last.texts.push(printRule(rule));
    else blocks.push({ around, texts: [printRule(rule)] });
  }
  return blocks
    .map(({ around, texts }) =>
      around.reduceRight((inner, name) => `${name} {\n${indent(inner)}\n}`, texts.join('\n')),
    )
    .map((text) => `${text}\n`)
    .join('');
}

/** The selector of a rule as it stands alone, narrowed to what lies within another one where that is asked for. */
export function selectorAlone(rule: StyleRule, within: string | null): string {
  const full = fullSelector(rule) ?? ':scope';
  if (within === null) return full;
  return addToSelectors(full, `:where(${within}, :is(${within}) *)`).join(', ');
}
