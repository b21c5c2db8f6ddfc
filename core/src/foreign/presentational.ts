import type { Element } from 'domhandler';
import { lineage } from './tree.ts';

/** An attribute by which browsers draw an element, and the properties it sets (HTML, section 15). */
interface Hint {
  readonly elements: RegExp;
  readonly attribute: string;
  readonly properties: RegExp;
}

const HINTS: readonly Hint[] = [
  { elements: /./, attribute: 'hidden', properties: /^display$/ },
  { elements: /./, attribute: 'dir', properties: /^(?:direction|unicode-bidi)$/ },
  {
    elements: /^(?:body|table|t(?:r|d|h|head|body|foot))$/,
    attribute: 'bgcolor',
    properties: /^background-color$/,
  },
  {
    elements: /^(?:body|table|t(?:r|d|h|head|body|foot))$/,
    attribute: 'background',
    properties: /^background-image$/,
  },
  { elements: /^body$/, attribute: 'text', properties: /^color$/ },
  { elements: /^(?:font|hr)$/, attribute: 'color', properties: /^color$/ },
  { elements: /^font$/, attribute: 'face', properties: /^font-family$/ },
  { elements: /^font$/, attribute: 'size', properties: /^font-size$/ },
  {
    elements: /^(?:div|p|h[1-6]|t(?:r|d|h|head|body|foot)|caption)$/,
    attribute: 'align',
    properties: /^text-align$/,
  },
  { elements: /^(?:img|table|iframe)$/, attribute: 'align', properties: /^(?:float|vertical-align)$/ },
  { elements: /^t(?:r|d|h|head|body|foot)$/, attribute: 'valign', properties: /^vertical-align$/ },
  {
    elements: /^(?:img|table|td|th|col|hr|iframe|video|canvas|embed|object|input)$/,
    attribute: 'width',
    properties: /^width$/,
  },
  {
    elements: /^(?:img|table|td|th|tr|iframe|video|canvas|embed|object|input)$/,
    attribute: 'height',
    properties: /^height$/,
  },
  { elements: /^(?:img|table|object)$/, attribute: 'border', properties: /^border-.*(?:width|style)$/ },
  { elements: /^table$/, attribute: 'cellspacing', properties: /^border-spacing$/ },
  { elements: /^img$/, attribute: 'hspace', properties: /^margin-(?:left|right)$/ },
  { elements: /^img$/, attribute: 'vspace', properties: /^margin-(?:top|bottom)$/ },
  { elements: /^(?:td|th)$/, attribute: 'nowrap', properties: /^(?:white-space.*|text-wrap-mode)$/ },
  { elements: /^(?:ul|ol|li)$/, attribute: 'type', properties: /^list-style-type$/ },
  {
    elements: /^svg$|^(?:path|g|circle|rect|line|poly(?:line|gon)|use|ellipse|text)$/,
    attribute: 'fill',
    properties: /^fill$/,
  },
  {
    elements: /^svg$|^(?:path|g|circle|rect|line|poly(?:line|gon)|use|ellipse|text)$/,
    attribute: 'stroke',
    properties: /^stroke$/,
  },
];

const written = (name: string, value: string) => (value === '' ? name : `${name}="${value}"`);

/** What an element has set by attributes that browsers draw by, beneath every rule: each attribute as it is written, with its properties. */
export function presentationalHints(
  element: Element,
): readonly { readonly text: string; readonly properties: RegExp }[] {
  const own = HINTS.filter(
    ({ elements, attribute }) => elements.test(element.name) && attribute in element.attribs,
  ).map(({ attribute, properties }) => ({
    text: written(attribute, element.attribs[attribute] ?? ''),
    properties,
  }));
  // What a table says of the room in its cells is said on the table.
  const isCell = element.name === 'td' || element.name === 'th';
  const table = isCell ? [...lineage(element)].find(({ name }) => name === 'table') : undefined;
  const padding = table?.attribs['cellpadding'];
  return padding === undefined
    ? own
    : [...own, { text: written('cellpadding', padding), properties: /^padding-/ }];
}
