import { describe, expect, test } from '@jest/globals';
import { seeded, whole } from '../../../../test/random-site.ts';
import { styleRule, type Declaration } from '../../../print/trees.ts';
import { commonOf, levelRules } from './alike.ts';
import type { Boxes } from './boxes.ts';

const boxes = (box: string): Boxes => ({ level: 2, box, parents: `li${box}`, sign: null, said: () => [] });
const WHOLE = boxes('.all');
const MOST = boxes('.most');
const ONE = boxes('.one');
const LEVEL = { level: 2, whole: WHOLE, sorts: [MOST, ONE] } as const;

const rulesOf = (says: (of: Boxes) => readonly (readonly [string, readonly Declaration[]])[]) =>
  levelRules(LEVEL, (of) =>
    says(of).map(([selector, declarations]) => styleRule(selector, declarations)),
  ).map(({ rule }) => [
    rule.selector,
    rule.declarations.map((declaration) => declaration.join(': ')).join('; '),
  ]);

describe('what is said of all boxes of a level', () => {
  test('stands once, and each sort says the rest', () => {
    const rules = rulesOf((of) => [
      [
        of.box,
        [
          ['position', 'absolute'],
          ['inset', of === ONE ? '0' : 'auto'],
          ['display', 'none'],
        ],
      ],
      [of.parents, [['position', 'static']]],
    ]);
    expect(rules).toEqual([
      ['.all', 'position: absolute'],
      ['.most', 'inset: auto'],
      ['.one', 'inset: 0'],
      ['.all', 'display: none'],
      ['li.all', 'position: static'],
    ]);
  });
  test('keeps the order of each: what won still wins', () => {
    const rules = rulesOf((of) =>
      of === ONE
        ? [
            [of.box, [['display', 'grid']]],
            [of.box, [['display', 'none']]],
          ]
        : [
            [of.box, [['display', 'none']]],
            [of.box, [['display', 'grid']]],
          ],
    );
    const last = (own: string) =>
      rules.filter(([selector]) => selector === '.all' || selector === own).at(-1)?.[1];
    expect(last('.one')).toMatch(/none$/);
    expect(last('.most')).toMatch(/grid$/);
  });
  test('is what all lists have in the order of each', () => {
    const random = seeded(3);
    const list = () => Array.from({ length: whole(random, 0, 9) }, () => random.pick(['a', 'b', 'c', 'd']));
    const isWithin = (part: readonly string[], all: readonly string[]) => {
      let at = 0;
      for (const entry of all) if (entry === part[at]) at++;
      return at === part.length;
    };
    for (let count = 0; count < 200; count++) {
      const [a, b] = [list(), list()];
      const common = commonOf(a, b);
      expect([isWithin(common, a), isWithin(common, b)]).toEqual([true, true]);
      for (const entry of new Set(a)) if (b.includes(entry)) expect(common.length).toBeGreaterThan(0);
    }
  });
});
