/** @jest-environment jsdom */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { statementChanges } from '../statement-changes.ts';
import { changeStatements, createSheet } from './sheet.ts';

const a = '.a {\n  color: red;\n}\n';
const b = '.b {\n  gap: 1px;\n}\n';
const c = '@media (width < 700px) {\n  .c {\n    gap: 2px;\n  }\n}\n';
const changed = '.b {\n  gap: 9px;\n}\n';
const odd = '.b:::odd {\n  gap: 1px;\n}\n';

/** The rules that all style elements have, one after the other. */
const rules = () => [...document.styleSheets].flatMap((one) => [...one.cssRules]);
const texts = () => rules().map((rule) => rule.cssText.replace(/\s+/g, ' '));
/** The same stylesheet in one element. */
function fresh(css: string): string[] {
  const other = document.createElement('style');
  other.textContent = css;
  document.body.append(other);
  const list = [...(other.sheet?.cssRules ?? [])].map((rule) => rule.cssText.replace(/\s+/g, ' '));
  other.remove();
  return list;
}

/** A stylesheet that shows one list of statements after the other; answers how to show one more. */
function shown(...lists: readonly (readonly string[])[]) {
  document.head.replaceChildren();
  const sheet = createSheet(document.head);
  const show = (now: readonly string[]) => {
    sheet.show(statementChanges(sheet.statements(), now));
  };
  lists.forEach(show);
  return show;
}

const many = (count: number) =>
  Array.from({ length: count }, (_, index) => `.x${index} {\n  gap: ${index}px;\n}\n`);

describe('a stylesheet takes another one’s place', () => {
  test.each([
    ['with one rule changed', [a, changed, c]],
    ['with rules changed here and there', [changed, b, changed]],
    ['with one rule more', [a, b, changed, c]],
    ['with one rule less', [a, c]],
    ['with rules changed at both ends', [changed, b, a]],
    ['with nothing left', []],
    ['with many more', many(200)],
  ])('%s, and has the rules of a fresh one', (_name, next) => {
    shown([a, b, c], next);
    expect(texts()).toEqual(fresh(next.join('')));
    expect(changeStatements([a, b, c], statementChanges([a, b, c], next))).toEqual(next);
  });
  test('rules that stay are the same objects', () => {
    const show = shown([a, b, c]);
    const [first, , last] = rules();
    show([a, changed, c]);
    expect(rules()[0]).toBe(first);
    expect(rules()[2]).toBe(last);
    expect(rules()[1]?.cssText).toContain('9px');
  });
  test('one change touches one of many style elements', () => {
    const show = shown(many(200));
    const before = [...document.styleSheets].map((one) => one.cssRules[0]);
    expect(before.length).toBeGreaterThan(3);
    show(many(200).map((one, index) => (index === 60 ? changed : one)));
    expect([...document.styleSheets].map((one) => one.cssRules[0])).toEqual(before);
    expect(texts()[60]).toContain('9px');
  });
  test('a rule the browser cannot read leaves the others in place', () => {
    const show = shown([a, b, c], [a, odd, c]);
    expect(texts()).toEqual(fresh([a, odd, c].join('')));
    show([a, b, c]);
    expect(texts()).toEqual(fresh([a, b, c].join('')));
  });
  test('whatever comes and goes, the rules are those of a fresh one', () => {
    const lists = fc.array(fc.constantFrom(a, b, c, changed, odd, ...many(30)), { maxLength: 120 });
    const cut = (list: readonly string[], at: number) => [...list.slice(0, at), ...list.slice(at + 3), a];
    fc.assert(
      fc.property(lists, fc.nat(120), lists, (first, at, last) => {
        shown(last, first);
        expect(texts()).toEqual(fresh(first.join('')));
        shown(first, cut(first, at));
        expect(texts()).toEqual(fresh(cut(first, at).join('')));
      }),
      { numRuns: 40 },
    );
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
