import { memoise } from '../base/memo.ts';
import type { Condition, StyleRule } from './sheet/rules.ts';

/** A rule's selector with those of the rules around it put in; null where there is none. */
export const fullSelector = (rule: StyleRule): string | null => selectorText(rule).text;

const selectorText = memoise((rule: StyleRule) => ({ text: composeSelector(rule) }));

function composeSelector({ selector, parent }: StyleRule): string | null {
  const around = parent ? fullSelector(parent) : null;
  const own = selector?.replace(/\s+/g, ' ') ?? null;
  if (own === null || around === null) return own ?? around;
  const parentAsOne = around.includes(',') ? `:is(${around})` : around;
  return splitSelectors(own)
    .map((part) => (part.includes('&') ? part.replaceAll('&', parentAsOne) : `${parentAsOne} ${part}`))
    .join(', ');
}

/** A condition as it is written in a stylesheet. */
export function conditionText(condition: Condition): string {
  if (condition.kind !== 'scope') return `@${condition.kind} ${condition.text}`;
  const from = condition.from === null ? '' : ` (${condition.from})`;
  return `@scope${from}${condition.to === null ? '' : ` to (${condition.to})`}`;
}

const PSEUDO_ELEMENT = /::[\w-]+(?:\([^)]*\))?$|:(?:before|after|first-line|first-letter)$/;

/** Adds to every selector of a list, before the pseudo-element that it may end with. */
export const addToSelectors = (list: string, addition: string): string[] =>
  splitSelectors(list).map((part) => {
    const element = PSEUDO_ELEMENT.exec(part)?.[0] ?? '';
    return `${part.slice(0, part.length - element.length)}${addition}${element}`;
  });

/** The selectors of a list. */
export function splitSelectors(text: string): string[] {
  const parts: string[] = [];
  let depth = 0;
  let start = 0;
  let quote = '';
  for (let at = 0; at < text.length; at++) {
    const sign = text[at] ?? '';
    if (quote !== '') {
      if (sign === '\\') at++;
      else if (sign === quote) quote = '';
    } else if (sign === '"' || sign === "'") quote = sign;
    else if (sign === '(' || sign === '[') depth++;
    else if (sign === ')' || sign === ']') depth--;
    else if (sign === ',' && depth === 0) {
      parts.push(text.slice(start, at).trim());
      start = at + 1;
    }
  }
  parts.push(text.slice(start).trim());
  return parts;
}
