import type { CssNode } from 'css-tree';

/** Whether something holds; null where that cannot be known here. */
export type Truth = boolean | null;

export const not = (truth: Truth): Truth => (truth === null ? null : !truth);

/** Whether all hold (Media Queries 4, 3.1: three values). */
export function every(truths: readonly Truth[]): Truth {
  if (truths.includes(false)) return false;
  return truths.includes(null) ? null : true;
}

/** Whether one of them holds. */
export const some = (truths: readonly Truth[]): Truth => not(every(truths.map(not)));

/** Judges the tree of a condition, term by term: `not`, `and` and `or` are the same for media, supports and containers. */
export function judgeCondition(node: CssNode, judgeTerm: (term: CssNode) => Truth): Truth {
  if (node.type !== 'Condition') return judgeTerm(node);
  const truths: Truth[] = [];
  let isNegated = false;
  let isEither = false;
  for (const child of node.children) {
    const word = child.type === 'Identifier' ? child.name.toLowerCase() : '';
    if (word === 'not') isNegated = true;
    else if (word === 'or') isEither = true;
    else if (word !== 'and') {
      const truth = judgeCondition(child, judgeTerm);
      truths.push(isNegated ? not(truth) : truth);
      isNegated = false;
    }
  }
  return isEither ? some(truths) : every(truths);
}
