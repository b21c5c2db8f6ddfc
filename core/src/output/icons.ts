import { drawingNodes } from '../drawings/print-drawing.ts';
import { readDrawing } from '../drawings/read-drawing.ts';
import { partKind, pieceKind } from '../kinds/catalogue.ts';
import { findIcon } from '../kinds/content.ts';
import type { Icon } from '../model/site-content.ts';
import type { DrawingName } from '../kinds/out.ts';
import type { Piece, Site } from '../kinds/site.ts';
import { partsOf } from '../kinds/placed.ts';
import { element, text, type HtmlElement, type HtmlNode } from '../print/trees.ts';
import type { CompileContext } from './context.ts';

/** Line drawings on a 24 by 24 grid, stroked with the text colour. */
const DRAWINGS: Readonly<Record<DrawingName, string>> = {
  cross: 'M5 5l14 14M19 5L5 19',
  lens: 'M10.5 4a6.5 6.5 0 1 0 0 13a6.5 6.5 0 1 0 0-13M15.5 15.5L20 20',
};

/** An icon of ours that only decorates: hidden from assistive technology. */
export function icon(className: string, drawing: DrawingName): HtmlElement {
  return element(
    'svg',
    { class: className, viewBox: '0 0 24 24', 'aria-hidden': 'true' },
    element('path', { d: DRAWINGS[drawing] }),
  );
}

/** The icons a piece draws, as often as it does. */
const drawnIcons = (site: Site, piece: Piece): readonly string[] => [
  ...(pieceKind(piece).drawn?.(piece as never) ?? []),
  ...partsOf(site, piece).flatMap((part) => partKind(part).drawn?.(part as never, site) ?? []),
];

/** How often each icon is drawn in a piece: one drawn twice is written once as a symbol. */
export function countIcons(site: Site, piece: Piece): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const id of drawnIcons(site, piece)) counts.set(id, (counts.get(id) ?? 0) + 1);
  return counts;
}

/** What of a drawing goes into the page: attributes of its root, and what is in it. */
interface Drawn {
  readonly attributes: HtmlElement['attributes'];
  readonly nodes: readonly HtmlElement[];
}

/** A drawing's root and what is in it; nothing where it cannot be read. */
function drawn(source: string, prefix: string): Drawn {
  const read = readDrawing(source);
  if (!read.ok) return { attributes: {}, nodes: [] };
  const { root } = read.value;
  return { attributes: root.attributes, nodes: drawingNodes(root, prefix) };
}

/** The grid that characters and pictures are drawn on. */
const GRID = { viewBox: '0 0 24 24' } as const;

/** An icon as a drawing: a picture or a character stands in one of its own, as large as any other icon. */
function drawnIcon({ svg, image, character }: Icon, prefix: string): Drawn {
  if (svg !== null) return drawn(svg, prefix);
  if (image !== undefined)
    return { attributes: GRID, nodes: [element('image', { href: image, width: '24', height: '24' })] };
  const letter = { x: '12', y: '12', 'font-size': '20', 'text-anchor': 'middle' };
  return {
    attributes: { ...GRID, fill: 'currentColor' },
    nodes: [element('text', { ...letter, 'dominant-baseline': 'central' }, text(character ?? ''))],
  };
}

/**
 * A drawing in place, marked as decoration: whatever it stands in carries the name. Its ids begin with its class, which no
 * other drawing of the site has.
 */
export function drawnSvg({ names }: CompileContext, source: string, className: string): HtmlElement {
  const word = className.replaceAll(names.prefix, '').replaceAll(' ', '-');
  const { attributes, nodes } = drawn(source, names.id(`${word}-`));
  return element('svg', { class: className, 'aria-hidden': 'true', ...attributes }, ...nodes);
}

const symbolId = (context: CompileContext, piece: Piece, id: string) => context.names.iconId(piece.id, id);

/** One of the site's icons: drawn in place, or a reference to its symbol where the piece draws it more than once. */
export function glyph(
  context: CompileContext,
  piece: Piece,
  counts: ReadonlyMap<string, number>,
  className: string,
  id: string,
): HtmlNode | null {
  const found = findIcon(context.site, id);
  if (!found) return null;
  const own = { class: className, 'aria-hidden': 'true' };
  if ((counts.get(id) ?? 0) > 1)
    return element('svg', own, element('use', { href: `#${symbolId(context, piece, id)}` }));
  const { attributes, nodes } = drawnIcon(found, `${symbolId(context, piece, id)}-`);
  return element('svg', { ...own, ...attributes }, ...nodes);
}

/** The symbols of the icons a piece draws more than once; null where there are none. */
export function symbols(
  context: CompileContext,
  piece: Piece,
  counts: ReadonlyMap<string, number>,
): HtmlElement | null {
  const repeated = context.site.icons.filter(({ id }) => (counts.get(id) ?? 0) > 1);
  if (repeated.length === 0) return null;
  const drawings = repeated.map((icon) => {
    const name = symbolId(context, piece, icon.id);
    const { attributes, nodes } = drawnIcon(icon, `${name}-`);
    return element('symbol', { id: name, ...attributes }, ...nodes);
  });
  return element('svg', { class: context.names.name('symbols'), 'aria-hidden': 'true' }, ...drawings);
}

/** The libraries that the drawn icons come from, each once. */
export function usedIconSets({ site, pieces }: CompileContext): string[] {
  if (site.icons.length === 0) return [];
  const drawn = pieces.flatMap((piece) => drawnIcons(site, piece));
  return [...new Set(drawn.flatMap((id) => findIcon(site, id)?.set ?? []))];
}
