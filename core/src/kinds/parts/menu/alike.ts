import { joinedRules, singleRules, styleRule, type ConditionalRule } from '../../../print/trees.ts';
import type { Boxes, LevelOfBoxes } from './boxes.ts';

/*
 * What is said of all boxes of a level is said once, of the level; each sort of them says the rest.
 */

/** One declaration of some boxes, with what it says but for which boxes they are. */
interface Said {
  readonly key: string;
  readonly rule: ConditionalRule;
}

/** What selects boxes, their items and signs, by the mark that stands for it. The longer ones first, as they may hold others. */
const marksOf = ({ box, parents, sign }: Boxes): readonly (readonly [mark: string, selector: string])[] => [
  ['\u0001', parents],
  ...(sign === null ? [] : [['\u0002', sign] as const]),
  ['\u0003', box],
];

const marked = (selector: string, boxes: Boxes): string =>
  marksOf(boxes).reduce((text, [mark, own]) => text.replaceAll(own, mark), selector);

const unmarked = (selector: string, boxes: Boxes): string =>
  marksOf(boxes).reduce((text, [mark, own]) => text.replaceAll(mark, own), selector);

function saidOf(rules: readonly ConditionalRule[], boxes: Boxes): Said[] {
  return singleRules(rules).map((single): Said => {
    const { rule, conditions } = single;
    const [declaration = []] = rule.declarations;
    const key = [marked(rule.selector, boxes), ...conditions, declaration.join(':')].join('\n');
    return { key, rule: single };
  });
}

/** The longest row of entries that two lists have in common, in the order of both. */
export function commonOf(a: readonly string[], b: readonly string[]): readonly string[] {
  const lengths = Array.from({ length: a.length + 1 }, () => new Array<number>(b.length + 1).fill(0));
  const at = (i: number, j: number) => lengths[i]?.[j] ?? 0;
  for (let i = a.length - 1; i >= 0; i--)
    for (let j = b.length - 1; j >= 0; j--)
      (lengths[i] as number[])[j] =
        a[i] === b[j] ? at(i + 1, j + 1) + 1 : Math.max(at(i + 1, j), at(i, j + 1));
  const common: string[] = [];
  for (let i = 0, j = 0; i < a.length && j < b.length;)
    if (a[i] === b[j]) {
      common.push(a[i] as string);
      i++;
      j++;
    } else if (at(i + 1, j) >= at(i, j + 1)) i++;
    else j++;
  return common;
}

/** The rules of all boxes of a level: what is the same for every sort of them stands once, in the order of each. */
export function levelRules(
  { whole, sorts }: LevelOfBoxes,
  rulesOf: (boxes: Boxes) => readonly ConditionalRule[],
): readonly ConditionalRule[] {
  const [first, ...singles] = sorts;
  if (!first || singles.length === 0) return sorts.flatMap((boxes) => rulesOf(boxes));
  const lists = sorts.map((boxes) => saidOf(rulesOf(boxes), boxes));
  const keys = lists.map((list) => list.map(({ key }) => key));
  const common = keys.slice(1).reduce<readonly string[]>(commonOf, keys[0] ?? []);
  const made: ConditionalRule[] = [];
  const places = lists.map(() => 0);
  const upTo = (key: string | null) => {
    lists.forEach((list, index) => {
      const from = places[index] ?? 0;
      const found =
        key === null ? list.length : list.findIndex((said, place) => place >= from && said.key === key);
      for (const { rule } of list.slice(from, found)) made.push(rule);
      places[index] = found + 1;
    });
  };
  for (const key of common) {
    upTo(key);
    const { rule, conditions } = (lists[0]?.[(places[0] ?? 0) - 1] as Said).rule;
    const selector = unmarked(marked(rule.selector, first), whole);
    made.push(styleRule(selector, rule.declarations, ...conditions));
  }
  upTo(null);
  return joinedRules(made);
}
