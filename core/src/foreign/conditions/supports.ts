import { generate, parse, type CssNode } from 'css-tree';
import { memoiseText } from '../../base/memo.ts';
import { readSelector } from '../selectors/read-selector.ts';
import { isTaken } from '../values/is-taken.ts';
import { judgeCondition, type Truth } from './truth.ts';

function judgeTerm(term: CssNode): Truth {
  if (term.type === 'SupportsDeclaration') {
    const { declaration } = term;
    return isTaken(declaration.property, generate(declaration.value));
  }
  if (term.type === 'FeatureFunction' && term.feature === 'selector')
    return (
      readSelector(generate(term.value), {
        nested: false,
        scoped: false,
        parentSpecificity: () => [0, 0, 0],
      }) !== null
    );
  return null;
}

/** Whether a browser of today supports what an `@supports` rule asks for. */
export const judgeSupports: (text: string) => Truth = memoiseText((text) => {
  let node: CssNode;
  try {
    node = parse(`@supports ${text} {}`, { context: 'atrule' });
  } catch {
    return false;
  }
  const condition =
    node.type === 'Atrule' && node.prelude?.type === 'AtrulePrelude' ? node.prelude.children.first : null;
  return condition ? judgeCondition(condition, judgeTerm) : false;
});
