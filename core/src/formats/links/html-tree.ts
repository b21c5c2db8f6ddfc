import { parse, type DefaultTreeAdapterTypes } from 'parse5';

type ParsedNode = DefaultTreeAdapterTypes.ChildNode;
type ParsedElement = DefaultTreeAdapterTypes.Element;

/** An element of a parsed page, as far as reading links needs it. */
export interface PageElement {
  readonly tag: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly PageNode[];
}

export type PageNode = PageElement | string;

export function isPageElement(node: PageNode): node is PageElement {
  return typeof node !== 'string';
}

/** Elements whose content is never part of a menu. */
const SKIPPED = new Set([
  'script',
  'style',
  'template',
  'noscript',
  'head',
  'iframe',
  'object',
  'textarea',
  'select',
]);

/** Deeper nesting than any page has is cut: a paste cannot exhaust the stack. */
const DEEPEST = 400;

const isElement = (node: ParsedNode): node is ParsedElement => 'tagName' in node;

function convert(node: ParsedNode, depth: number, skipped: ReadonlySet<string>): PageNode | null {
  if (node.nodeName === '#text') return (node as DefaultTreeAdapterTypes.TextNode).value;
  if (!isElement(node) || skipped.has(node.tagName)) return null;
  const attributes = Object.fromEntries(node.attrs.map(({ name, value }) => [name, value]));
  const children =
    depth >= DEEPEST
      ? []
      : node.childNodes.map((child) => convert(child, depth + 1, skipped)).filter((child) => child !== null);
  return { tag: node.tagName, attributes, children };
}

const SKIPPED_WITH_HEAD: ReadonlySet<string> = new Set([...SKIPPED].filter((tag) => tag !== 'head'));

/** Parses any text as HTML (HTML Standard, section 13.2): it never fails, garbage becomes text. */
export function parsePage(html: string, { withHead = false }: { withHead?: boolean } = {}): PageElement {
  const document = parse(html);
  const children = document.childNodes
    .map((node) => convert(node, 1, withHead ? SKIPPED_WITH_HEAD : SKIPPED))
    .filter((node) => node !== null);
  return { tag: '#document', attributes: {}, children };
}

/** All elements below (and with) one, in document order. */
export function* descendants(element: PageElement): Generator<PageElement> {
  const waiting: PageElement[] = [element];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    yield next;
    for (let index = next.children.length - 1; index >= 0; index--) {
      const child = next.children[index];
      if (child !== undefined && isPageElement(child)) waiting.push(child);
    }
  }
}

/** The text a person reads in an element, white space collapsed; alternative texts stand in for pictures. */
export function readableText(element: PageElement): string {
  const pieces: string[] = [];
  const waiting: PageNode[] = [element];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    if (!isPageElement(next)) {
      pieces.push(next);
      continue;
    }
    if (next.attributes['aria-hidden'] === 'true' || next.attributes['hidden'] !== undefined) continue;
    if (next.tag === 'svg' && next !== element) continue;
    if (next.tag === 'img') pieces.push(next.attributes['alt'] ?? '');
    if (next.tag === 'br') pieces.push(' ');
    for (let index = next.children.length - 1; index >= 0; index--) waiting.push(next.children[index] ?? '');
  }
  return pieces.join('').replace(/\s+/g, ' ').trim();
}
