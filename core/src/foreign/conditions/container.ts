import { generate, parse, type CssNode } from 'css-tree';
import { judgeCondition, type Truth } from './truth.ts';

/**
 * Whether what an `@container` rule asks for holds: of styles that can be told, as far as they ask for custom properties; sizes only
 * layout knows. `valueOf` answers the value of a custom property around the element, null for none.
 */
export function judgeContainer(text: string, valueOf: (name: string) => string | null): Truth {
  let node: CssNode;
  try {
    node = parse(`@container ${text} {}`, { context: 'atrule' });
  } catch {
    return false;
  }
  if (node.type !== 'Atrule' || node.prelude?.type !== 'AtrulePrelude') return false;
  const condition = node.prelude.children.toArray().find(({ type }) => type === 'Condition');
  if (!condition) return null;
  return judgeCondition(condition, (term: CssNode): Truth => {
    if (term.type !== 'FeatureFunction' || term.feature !== 'style') return null;
    const { value } = term;
    if (value.type === 'Declaration' && value.property.startsWith('--'))
      return valueOf(value.property)?.trim() === generate(value.value).trim();
    // A name alone asks whether there is any such value; the library's types do not know that form.
    const name = (value as { readonly value?: unknown }).value;
    return typeof name === 'string' ? valueOf(name.trim()) !== null : null;
  });
}
