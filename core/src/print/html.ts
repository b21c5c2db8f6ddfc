import { memoiseText } from '../base/memo.ts';
import type { HtmlElement, HtmlNode } from './trees.ts';

/** Elements without content or end tag (HTML, section 13.1.2). */
const VOID = new Set([
  'area',
  'base',
  'br',
  'col',
  'embed',
  'hr',
  'img',
  'input',
  'link',
  'meta',
  'source',
  'track',
  'wbr',
]);

/** Characters that HTML text may not hold at all are replaced, as a parser would. */
const printable = (value: string) =>
  /^[\x20-\x7e]*$/.test(value)
    ? value
    : value
        .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\ufdd0-\ufdef\ufffe\uffff]/g, '\ufffd')
        .replace(/[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g, '\ufffd');

/** A character as a reference, which no parser takes for a line break of the source (HTML, section 13.5). */
const asReference = (character: string) => `&#${character.charCodeAt(0)};`;

/** What needs no escaping anywhere: most of all names, labels and paths. */
const PLAIN = /^[\w ./:#-]*$/;

/** Text as element content. */
export function escapeText(value: string): string {
  if (PLAIN.test(value)) return value;
  return printable(value)
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('\u00a0', '&#160;')
    .replaceAll('\r', asReference);
}

/** Text as a double-quoted attribute value. */
export function escapeAttribute(value: string): string {
  if (PLAIN.test(value)) return value;
  return escapeText(value)
    .replaceAll('"', '&quot;')
    .replace(/[\r\n\t]/g, asReference);
}

/** Attributes that come first, in this order. What is for scripts and assistive technology comes last, of others as they are. */
const FIRST = ['class', 'id', 'type', 'href', 'target', 'rel', 'src', 'alt', 'title'];
const LAST = ['role', 'aria-', 'data-'];

function attributeRank(name: string): number {
  const first = FIRST.indexOf(name);
  return first === -1 ? FIRST.length + LAST.findIndex((start) => name.startsWith(start)) + 1 : first;
}

/** The names of attributes in the order in which all of our elements have them. */
const inOrder = (attributes: HtmlElement['attributes']): readonly string[] =>
  orderOf(Object.keys(attributes).join(' '));

const orderOf = memoiseText(
  (names: string): readonly string[] =>
    names.split(' ').sort((one, other) => attributeRank(one) - attributeRank(other)),
  2000,
);

function printAttributes(
  attributes: HtmlElement['attributes'],
  names: readonly string[] = Object.keys(attributes),
): string {
  let printed = '';
  for (const name of names) {
    const value = attributes[name];
    if (value === true || (value === '' && name.startsWith('data-'))) printed += ` ${name}`;
    else if (typeof value === 'string') printed += ` ${name}="${escapeAttribute(value)}"`;
  }
  return printed;
}

const IN_TEXT = new Set(['span', 'bdi', 'b', 'strong', 'em', 'i', 'small']);

/** What stands on the line of the text around it, as white space around it would show. */
const isInline = (node: HtmlNode): boolean =>
  node.node !== 'element' || node.tag === 'svg' || (IN_TEXT.has(node.tag) && node.children.every(isInline));

/** A drawing and what is in it stands on one line; what holds nothing closes itself, as in XML. */
function printForeign({ tag, attributes, children }: HtmlElement): string {
  const start = `<${tag}${printAttributes(attributes)}`;
  if (children.length === 0) return `${start}/>`;
  let text = `${start}>`;
  for (const child of children) text += child.node === 'text' ? escapeText(child.text) : printForeign(child);
  return `${text}</${tag}>`;
}

/** Elements whose first line break is left out by parsers (HTML, section 13.2.6.4.7), so that one more is written. */
const DROPS_FIRST_BREAK = new Set(['pre', 'textarea', 'listing']);

/** An element with just the blanks it has. */
function printKept({ tag, attributes, children }: HtmlElement): string {
  let text = `<${tag}${printAttributes(attributes)}>`;
  if (VOID.has(tag)) return text;
  const [first] = children;
  if (DROPS_FIRST_BREAK.has(tag) && first?.node === 'text' && first.text.startsWith('\n')) text += '\n';
  for (const child of children) text += child.node === 'text' ? escapeText(child.text) : printKept(child);
  return `${text}</${tag}>`;
}

/** Longest line of markup but for drawings and texts, in characters. */
const LONGEST_LINE = 160;

/** A start tag on a line, or with each attribute on one of its own where it is too long for that. */
function startTag({ tag, attributes }: HtmlElement, indent: string): string {
  const names = inOrder(attributes);
  const text = `<${tag}${printAttributes(attributes, names)}>`;
  if (indent.length + text.length <= LONGEST_LINE) return text;
  const lines = names
    .map((name) => printAttributes(attributes, [name]).trim())
    .filter((printed) => printed !== '');
  return `<${tag}\n${lines.map((line) => `${indent}  ${line}\n`).join('')}${indent}>`;
}

function printElement(node: HtmlElement, indent: string): string {
  const { tag, children } = node;
  if (tag === 'svg') return printForeign(node);
  if (node.keepsBlanks) return printKept(node);
  let text = startTag(node, indent);
  if (VOID.has(tag)) return text;
  // Drawings and text stand on their element's line, so that no white space is added where it would show.
  if (children.every(isInline)) {
    for (const child of children) text += printNode(child, '');
    return `${text}</${tag}>`;
  }
  const inner = `${indent}  `;
  for (const child of children) text += `\n${inner}${printNode(child, inner)}`;
  return `${text}\n${indent}</${tag}>`;
}

const printNode = (node: HtmlNode, indent: string): string =>
  node.node === 'text' ? escapeText(node.text) : printElement(node, indent);

/** One element as markup on one line. */
export const printMarkup = (node: HtmlElement): string => printElement(node, '');

/** A tree of markup as indented HTML with a final line break. The same tree gives the same bytes. */
export function printHtml(nodes: readonly HtmlNode[]): string {
  let text = '';
  for (const node of nodes) text += `${printNode(node, '')}\n`;
  return text;
}
