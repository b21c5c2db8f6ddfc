import { generate, parse, type CssNode, type FunctionNode } from 'css-tree';

/** What an `@import` asks for. */
export interface Import {
  readonly address: string;
  /** The layer's name, empty for one without a name; null for none. */
  readonly layer: string | null;
  readonly supports: string | null;
  /** A media query list, or nothing. */
  readonly media: string;
}

const textOf = (node: FunctionNode): string =>
  node.children
    .toArray()
    .map((child) => generate(child))
    .join('');

/** Reads an `@import` rule (CSS Cascading and Inheritance 5, 2); null where it is none. */
export function readImport(text: string): Import | null {
  let node: CssNode;
  try {
    node = parse(text, { context: 'atrule' });
  } catch {
    return null;
  }
  if (node.type !== 'Atrule' || node.prelude?.type !== 'AtrulePrelude') return null;
  let address: string | null = null;
  let layer: string | null = null;
  let supports: string | null = null;
  let media = '';
  for (const part of node.prelude.children) {
    if (part.type === 'Url' || part.type === 'String') address ??= part.value;
    else if (part.type === 'Identifier' && part.name === 'layer') layer = '';
    else if (part.type === 'Function' && part.name === 'layer') layer = textOf(part);
    else if (part.type === 'Function' && part.name === 'supports') supports = `(${textOf(part)})`;
    else if (part.type === 'MediaQueryList') media = generate(part);
  }
  return address === null ? null : { address, layer, supports, media };
}
