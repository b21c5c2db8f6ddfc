import { formatColour, parseColour } from '../colour/colour.ts';
import { fail, succeed, type Result } from '../base/result.ts';
import type { DrawingElement } from './drawing.ts';
import { printDrawing } from './print-drawing.ts';
import { readDrawing } from './read-drawing.ts';

/** What paints in a drawing. */
const PAINTS = ['fill', 'stroke', 'stop-color', 'color'] as const;

/** What is filled black where nothing says otherwise (SVG 2, section 13.4.1). */
const FILLED: ReadonlySet<string> = new Set([
  'path',
  'rect',
  'circle',
  'ellipse',
  'polygon',
  'polyline',
  'text',
]);

const isElement = (child: DrawingElement | string): child is DrawingElement => typeof child !== 'string';

/** Whether something is filled without a word about it. */
function isFilledUnsaid({ name, attributes, children }: DrawingElement): boolean {
  if (attributes['fill'] !== undefined) return false;
  return FILLED.has(name) || children.filter(isElement).some(isFilledUnsaid);
}

/** A paint that is a colour of its own, in one way of writing; null for none, links and the text's colour. */
function ownColour(value: string | undefined): string | null {
  const parsed = value === undefined ? null : parseColour(value);
  return parsed ? formatColour(parsed) : null;
}

/** The colours a drawing is painted in, each once; what takes the text's colour is none of them. */
export function drawingColours(svg: string): readonly string[] {
  const read = readDrawing(svg);
  if (!read.ok) return [];
  const found = new Set<string>();
  const visit = ({ attributes, children }: DrawingElement) => {
    for (const paint of PAINTS) {
      const colour = ownColour(attributes[paint]);
      if (colour !== null) found.add(colour);
    }
    children.filter(isElement).forEach(visit);
  };
  visit(read.value.root);
  if (isFilledUnsaid(read.value.root)) found.add('#000000');
  return [...found];
}

/** A drawing with every colour of its own replaced by that of the text it stands in. */
export function inTextColour(svg: string): string {
  const read = readDrawing(svg);
  if (!read.ok) return svg;
  const { root } = read.value;
  const repaint = (element: DrawingElement): DrawingElement => ({
    ...element,
    attributes: Object.fromEntries(
      Object.entries(element.attributes).map(([name, value]) => [
        name,
        (PAINTS as readonly string[]).includes(name) && ownColour(value) !== null ? 'currentColor' : value,
      ]),
    ),
    children: element.children.map((child) => (isElement(child) ? repaint(child) : child)),
  });
  const painted = repaint(root);
  return printDrawing(
    isFilledUnsaid(root)
      ? { ...painted, attributes: { ...painted.attributes, fill: 'currentColor' } }
      : painted,
  );
}

/** A rectangle of a drawing, in its own units. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A drawing's view box, or that of its width and height; null where it tells neither, or one without room. */
export function viewBoxOf(svg: string): Box | null {
  const read = readDrawing(svg);
  const numbers = (read.ok ? (read.value.root.attributes['viewBox'] ?? '') : '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [x = NaN, y = NaN, width = NaN, height = NaN] = numbers;
  return numbers.length === 4 && [x, y, width, height].every(Number.isFinite) && width > 0 && height > 0
    ? { x, y, width, height }
    : null;
}

/** The share of an icon's box that is drawn on: as that of the library's. */
const INKED = 20 / 24;

const round = (value: number) => Math.round(value * 1000) / 1000;

/** The square around what is drawn, with as much room around it as other icons have. */
export function squareAround({ x, y, width, height }: Box): Box {
  const side = Math.max(width, height) / INKED;
  return {
    x: round(x + width / 2 - side / 2),
    y: round(y + height / 2 - side / 2),
    width: round(side),
    height: round(side),
  };
}

/** A drawing seen through another view box; a refusal where it cannot be read. */
export function withViewBox(svg: string, { x, y, width, height }: Box): Result<string, string> {
  const read = readDrawing(svg);
  if (!read.ok) return fail(read.error);
  const { root } = read.value;
  const { width: _width, height: _height, ...attributes } = root.attributes;
  return succeed(
    printDrawing({ ...root, attributes: { ...attributes, viewBox: [x, y, width, height].join(' ') } }),
  );
}
