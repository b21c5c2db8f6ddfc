import { findIcon, shownLinks } from '../kinds/walk.ts';
import { outputParts, type CompileContext } from './context.ts';
import { element, type Declaration, type HtmlElement, type HtmlNode } from '../print/trees.ts';

/** Line drawings on a 24 by 24 grid, stroked with the text colour. */
const DRAWINGS = {
  bars: 'M3 6h18M3 12h18M3 18h18',
  cross: 'M5 5l14 14M19 5L5 19',
  lens: 'M10.5 4a6.5 6.5 0 1 0 0 13a6.5 6.5 0 1 0 0-13M15.5 15.5L20 20',
} as const;

/** An icon that only decorates: hidden from assistive technology. */
export function icon(className: string, drawing: keyof typeof DRAWINGS): HtmlElement {
  return element(
    'svg',
    { class: className, viewBox: '0 0 24 24', 'aria-hidden': 'true' },
    element('path', { d: DRAWINGS[drawing] }),
  );
}

/** The icons that the output draws, as often as it does. */
function drawnIcons(context: CompileContext): string[] {
  return outputParts(context).flatMap((part): string[] => {
    switch (part.kind) {
      case 'menu':
        return shownLinks(context.site, part).flatMap((item) => (item.icon === undefined ? [] : [item.icon]));
      case 'social':
        return part.links.map((link) => link.icon);
      case 'text':
        return part.entries.flatMap((entry) => (entry.icon === null ? [] : [entry.icon]));
      case 'shortcut':
        return part.icon === null ? [] : [part.icon];
      default:
        return [];
    }
  });
}

/** How often each icon is drawn: one drawn twice is written once as a symbol. */
function countIcons(context: CompileContext): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const id of drawnIcons(context)) counts.set(id, (counts.get(id) ?? 0) + 1);
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
  [
    ...opening.matchAll(
      /\s(viewBox|fill|stroke|stroke-width|stroke-linecap|stroke-linejoin|preserveAspectRatio)\s*=\s*("[^"]*"|'[^']*')/gi,
    ),
  ]
    .map((match) => match[0])
    .join('');

/** A drawing in place, marked as decoration: whatever it stands in carries the name. */
export function drawnSvg(source: string, className: string): HtmlNode {
  const cleaned = source
    .trim()
    .replace(
      /^<svg([^>]*)>/i,
      (_whole, attributes: string) =>
        `<svg class="${className}" aria-hidden="true"${attributes.replace(/\s(?:class|aria-hidden|role|aria-label|id)\s*=\s*(?:"[^"]*"|'[^']*')/gi, '')}>`,
    );
  return { node: 'drawing', cleanSvg: cleaned };
}

/** What the page's own rules for drawings cannot change. The drawing's own colours are attributes, so it is not reset as a whole. */
export const DRAWN: readonly Declaration[] = [
  ['display', 'block'],
  ['flex', 'none'],
  ['inline-size', 'auto'],
  ['max-inline-size', 'none'],
  ['margin', '0'],
  ['padding', '0'],
  ['border', '0'],
  ['transform', 'none'],
  ['vertical-align', 'baseline'],
  ['overflow', 'hidden'],
];

/** A link's icon: drawn in place, or a reference to its symbol where it is drawn more than once. */
export function glyph(context: CompileContext, className: string, id: string): HtmlNode | null {
  const found = findIcon(context.site, id);
  if (!found) return null;
  if (countOf(context, id) > 1)
    return element(
      'svg',
      { class: className, 'aria-hidden': 'true' },
      element('use', { href: `#${symbolId(context, id)}` }),
    );
  const { opening, inner } = splitSvg(found.svg);
  return {
    node: 'drawing',
    cleanSvg: `<svg class="${className}" aria-hidden="true"${keptAttributes(opening)}>${inner}</svg>`,
  };
}

/** The symbols of the icons drawn more than once; null where there are none. */
export function symbols(context: CompileContext): HtmlElement | null {
  if (context.site.icons.length === 0) return null;
  const repeated = context.site.icons.filter(({ id }) => countOf(context, id) > 1);
  if (repeated.length === 0) return null;
  const drawings = repeated.map(({ id, svg }): HtmlNode => {
    const { opening, inner } = splitSvg(svg);
    return {
      node: 'drawing',
      cleanSvg: `<symbol id="${symbolId(context, id)}"${keptAttributes(opening)}>${inner}</symbol>`,
    };
  });
  return element('svg', { class: context.names.name('symbols'), 'aria-hidden': 'true' }, ...drawings);
}

/** The libraries that the drawn icons come from, each once. */
export function usedIconSets(context: CompileContext): string[] {
  if (context.site.icons.length === 0) return [];
  const sets = drawnIcons(context).flatMap((id) => findIcon(context.site, id)?.set ?? []);
  return [...new Set(sets)];
}
