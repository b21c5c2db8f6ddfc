import {
  AttributeAction,
  parse,
  SelectorType,
  type AttributeSelector,
  type PseudoSelector,
  type Selector,
} from 'css-what';
import { PARENT, SCOPE } from './own-pseudos.ts';

/** How specific a selector is: ids; classes, attributes and pseudo-classes; types and pseudo-elements. */
export type Specificity = readonly [ids: number, classes: number, types: number];

const NONE: Specificity = [0, 0, 0];

export const compareSpecificity = (a: Specificity, b: Specificity): number =>
  a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

const add = (a: Specificity, b: Specificity): Specificity => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

/** The most specific of several selectors. */
const most = (all: readonly Specificity[]): Specificity =>
  all.reduce((best, next) => (compareSpecificity(next, best) > 0 ? next : best), NONE);

/** `parent` tells how specific the rule is that one is nested in. */
function ofPseudo({ name, data }: PseudoSelector, parent: () => Specificity): Specificity {
  if (name === PARENT) return parent();
  if (name === SCOPE) return [0, 1, 0];
  if (name === 'where') return NONE;
  if (Array.isArray(data)) return most(data.map((branch) => specificityOf(branch, parent)));
  const list = typeof data === 'string' && name.startsWith('nth-') ? /\bof\s+([\s\S]+)$/.exec(data) : null;
  if (!list?.[1]) return [0, 1, 0];
  return add([0, 1, 0], most(parse(list[1]).map((branch) => specificityOf(branch, parent))));
}

/** Whether it was written as `#id`: `[id=…]` counts as any attribute does. Only of names written so the case depends on the document. */
export const isId = ({ name, action, ignoreCase }: AttributeSelector): boolean =>
  name === 'id' && action === AttributeAction.Equals && ignoreCase === 'quirks';

/** Works out the specificity of one complex selector (Selectors 4, 17). */
export function specificityOf(branch: readonly Selector[], parent: () => Specificity): Specificity {
  return branch.reduce<Specificity>((sum, token) => {
    switch (token.type) {
      case SelectorType.Attribute:
        return add(sum, isId(token) ? [1, 0, 0] : [0, 1, 0]);
      case SelectorType.Pseudo:
        return add(sum, ofPseudo(token, parent));
      case SelectorType.Tag:
      case SelectorType.PseudoElement:
        return add(sum, [0, 0, 1]);
      default:
        return sum;
    }
  }, NONE);
}
