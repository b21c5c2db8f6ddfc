/** @jest-environment jsdom */
import { beforeEach, describe, expect, test } from '@jest/globals';
import { exchangeRules } from './sheet.ts';

const printed = (...rules: readonly string[]) => rules.map((rule) => `${rule}\n}\n`).join('');
const a = '.a {\n  color: red;';
const b = '.b {\n  gap: 1px;';
const c = '@media (width < 700px) {\n  .c {\n    gap: 2px;\n  }';
const changed = '.b {\n  gap: 9px;';

let style: HTMLStyleElement;
const texts = () => [...(style.sheet?.cssRules ?? [])].map((rule) => rule.cssText.replace(/\s+/g, ' '));
/** The same stylesheet set at once. */
function fresh(css: string): string[] {
  const other = document.createElement('style');
  other.textContent = css;
  document.head.append(other);
  const list = [...(other.sheet?.cssRules ?? [])].map((rule) => rule.cssText.replace(/\s+/g, ' '));
  other.remove();
  return list;
}

beforeEach(() => {
  style = document.createElement('style');
  document.head.replaceChildren(style);
  style.textContent = printed(a, b, c);
});

describe('a stylesheet takes another one’s place', () => {
  test.each([
    ['with one rule changed', printed(a, changed, c)],
    ['with one rule more', printed(a, b, changed, c)],
    ['with one rule less', printed(a, c)],
    ['with rules changed at both ends', printed(changed, b, a)],
    ['with nothing left', ''],
    [
      'with many more',
      printed(...Array.from({ length: 80 }, (_, index) => `.x${index} {\n  gap: ${index}px;`)),
    ],
  ])('%s, and has the rules of a fresh one', (_name, next) => {
    exchangeRules(style, printed(a, b, c), next);
    expect(texts()).toEqual(fresh(next));
  });
  test('rules that stay are the same objects', () => {
    const [first, , last] = [...(style.sheet?.cssRules ?? [])];
    exchangeRules(style, printed(a, b, c), printed(a, changed, c));
    expect(style.sheet?.cssRules[0]).toBe(first);
    expect(style.sheet?.cssRules[2]).toBe(last);
    expect(style.sheet?.cssRules[1]?.cssText).toContain('9px');
  });
  test('a rule the browser cannot read leaves the others in place', () => {
    const odd = printed(a, '.b:::odd {\n  gap: 1px;', c);
    exchangeRules(style, printed(a, b, c), odd);
    const shown = texts();
    expect(shown).toEqual(fresh(odd));
    exchangeRules(style, odd, printed(a, b, c));
    expect(texts()).toEqual(fresh(printed(a, b, c)));
  });
});
