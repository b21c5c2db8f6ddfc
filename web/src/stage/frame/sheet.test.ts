/** @jest-environment jsdom */
import { beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { statementChanges } from '../statement-changes.ts';
import { changeStatements, exchangeRules } from './sheet.ts';

const a = '.a {\n  color: red;\n}\n';
const b = '.b {\n  gap: 1px;\n}\n';
const c = '@media (width < 700px) {\n  .c {\n    gap: 2px;\n  }\n}\n';
const changed = '.b {\n  gap: 9px;\n}\n';
const odd = '.b:::odd {\n  gap: 1px;\n}\n';

const show = (before: readonly string[], now: readonly string[]) => {
  exchangeRules(style, before, statementChanges(before, now));
};

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
  style.textContent = [a, b, c].join('');
});

describe('a stylesheet takes another one’s place', () => {
  test.each([
    ['with one rule changed', [a, changed, c]],
    ['with rules changed here and there', [changed, b, changed]],
    ['with one rule more', [a, b, changed, c]],
    ['with one rule less', [a, c]],
    ['with rules changed at both ends', [changed, b, a]],
    ['with nothing left', []],
    ['with many more', Array.from({ length: 80 }, (_, index) => `.x${index} {\n  gap: ${index}px;\n}\n`)],
  ])('%s, and has the rules of a fresh one', (_name, next) => {
    show([a, b, c], next);
    expect(texts()).toEqual(fresh(next.join('')));
    expect(changeStatements([a, b, c], statementChanges([a, b, c], next))).toEqual(next);
  });
  test('rules that stay are the same objects', () => {
    const [first, , last] = [...(style.sheet?.cssRules ?? [])];
    show([a, b, c], [a, changed, c]);
    expect(style.sheet?.cssRules[0]).toBe(first);
    expect(style.sheet?.cssRules[2]).toBe(last);
    expect(style.sheet?.cssRules[1]?.cssText).toContain('9px');
  });
  test('a rule the browser cannot read leaves the others in place', () => {
    show([a, b, c], [a, odd, c]);
    expect(texts()).toEqual(fresh([a, odd, c].join('')));
    show([a, odd, c], [a, b, c]);
    expect(texts()).toEqual(fresh([a, b, c].join('')));
  });
});

test('only what differs is told, the last place first, and lists become one another whatever they hold', () => {
  const from = ['1', '2', '3', '4', '5', '6'];
  expect(statementChanges(from, ['1', 'x', 'y', '4', '5', 'z'])).toEqual([
    { from: 5, gone: 1, come: ['z'] },
    { from: 1, gone: 2, come: ['x', 'y'] },
  ]);
  expect(statementChanges(from, [...from])).toEqual([]);
  const lists = fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 8 });
  fc.assert(
    fc.property(lists, lists, (before, now) => {
      expect(changeStatements(before, statementChanges(before, now))).toEqual(now);
    }),
  );
});
