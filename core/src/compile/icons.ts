import type { MenuItem } from '../document/menu-item.ts';
import { findIcon, shownLinks } from '../document/walk.ts';
import { outputParts, type CompileContext } from './context.ts';
import { element, type HtmlElement, type HtmlNode } from './trees.ts';

/** Line drawings on a 24 by 24 grid, stroked with the text colour. */
const DRAWINGS = {
  bars: 'M3 6h18M3 12h18M3 18h18',
  cross: 'M5 5l14 14M19 5L5 19',
} as const;

/** An icon that only decorates: hidden from assistive technology. */
export function icon(className: string, drawing: keyof typeof DRAWINGS): HtmlElement {
  return element('svg', { class: className, viewBox: '0 0 24 24', 'aria-hidden': 'true' }, element('path', { d: DRAWINGS[drawing] }));
}

/** All links of the header and its panels that the output holds. */
function outputLinks(context: CompileContext): MenuItem[] {
  return outputParts(context).flatMap((part) => (part.kind === 'menu' ? shownLinks(context.site, part) : []));
}

/** How often each icon is drawn: one drawn twice is written once as a symbol. */
function countIcons(context: CompileContext): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const { icon: id } of outputLinks(context)) if (id !== undefined) counts.set(id, (counts.get(id) ?? 0) + 1);
  return counts;
}

const counted = new WeakMap<CompileContext, ReadonlyMap<string, number>>();

function countOf(context: CompileContext, id: string): number {
  const counts = counted.get(context) ?? countIcons(context);
  counted.set(context, counts);
  return counts.get(id) ?? 0;
}

const symbolId = (context: CompileContext, id: string) => context.names.name(`symbol-${id}`);

/** The root element of a drawing and what is in it. */
function splitSvg(source: string): { opening: string; inner: string } {
  const match = /^\s*<svg([^>]*?)\/?>([\s\S]*?)(?:<\/svg>\s*)?$/i.exec(source);
  return { opening: match?.[1] ?? '', inner: match?.[2] ?? '' };
}

/** Attributes of a drawing's root that say how it is drawn; size, class and names are ours. */
const keptAttributes = (opening: string) =>
  [...opening.matchAll(/\s(viewBox|fill|stroke|stroke-width|stroke-linecap|stroke-linejoin|preserveAspectRatio)\s*=\s*("[^"]*"|'[^']*')/gi)].map((match) => match[0]).join('');

/** A link's icon: drawn in place, or a reference to its symbol where it is drawn more than once. */
export function glyph(context: CompileContext, className: string, id: string): HtmlNode | null {
  const found = findIcon(context.site, id);
  if (!found) return null;
  if (countOf(context, id) > 1) return element('svg', { class: className, 'aria-hidden': 'true' }, element('use', { href: `#${symbolId(context, id)}` }));
  const { opening, inner } = splitSvg(found.svg);
  return { node: 'drawing', cleanSvg: `<svg class="${className}" aria-hidden="true"${keptAttributes(opening)}>${inner}</svg>` };
}

/** The symbols of the icons drawn more than once; null where there are none. */
export function symbols(context: CompileContext): HtmlElement | null {
  if (context.site.icons.length === 0) return null;
  const repeated = context.site.icons.filter(({ id }) => countOf(context, id) > 1);
  if (repeated.length === 0) return null;
  const drawings = repeated.map(({ id, svg }): HtmlNode => {
    const { opening, inner } = splitSvg(svg);
    return { node: 'drawing', cleanSvg: `<symbol id="${symbolId(context, id)}"${keptAttributes(opening)}>${inner}</symbol>` };
  });
  return element('svg', { class: context.names.name('symbols'), 'aria-hidden': 'true' }, ...drawings);
}

/** The libraries that the drawn icons come from, each once. */
export function usedIconSets(context: CompileContext): string[] {
  if (context.site.icons.length === 0) return [];
  const sets = outputLinks(context).flatMap(({ icon: id }) => (id === undefined ? [] : (findIcon(context.site, id)?.set ?? [])));
  return [...new Set(sets)];
}
