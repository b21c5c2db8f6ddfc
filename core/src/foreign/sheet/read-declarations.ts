import { parse, type CssNode } from 'css-tree';
import { placeIn, type Source } from '../source.ts';
import type { Declaration } from './rules.ts';

/** Marks before a name that only browsers of long ago read over. */
const OLD_MARK = /^[^\w\\-]/;

/** The declarations of a stretch of a source; `offset` says where the text begins in it. What is none is left out, as browsers do. */
export function readDeclarations(source: Source, text: string, offset: number): Declaration[] {
  const list: CssNode = parse(text, {
    context: 'declarationList',
    positions: true,
    parseValue: false,
    parseCustomProperty: false,
    offset,
  });
  if (list.type !== 'DeclarationList') return [];
  const declarations: Declaration[] = [];
  for (const node of list.children) {
    if (node.type !== 'Declaration' || OLD_MARK.test(node.property)) continue;
    const { property, important, value, loc } = node;
    if (!loc || (important !== true && important !== false)) continue;
    const written = value.type === 'Raw' ? value.value : '';
    const isCustom = property.startsWith('--');
    if (!isCustom && written.trim() === '') continue;
    declarations.push({
      property: isCustom ? property : property.toLowerCase(),
      value: written.trim(),
      important,
      place: placeIn(source, loc.start.offset, loc.end.offset),
    });
  }
  return declarations;
}
