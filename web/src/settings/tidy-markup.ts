import { isMarkupAttribute, isMarkupElement } from '@hamaca/core';

/** Markup as it may stand in a site, and what was left out of it, in words. */
export interface TidyMarkup {
  readonly source: string;
  readonly left: readonly string[];
}

/** Elements whose content is none of the page's text: they go with all that is in them. */
const WHOLE = new Set(
  'base embed frame frameset head iframe link math meta noscript object script style svg template title'.split(
    ' ',
  ),
);

const VOID = new Set(['br', 'hr', 'img', 'input', 'wbr']);

const escaped = (text: string) =>
  text.replace(/[&<>"\u00a0]/g, (letter) => (letter === '\u00a0' ? '&#160;' : `&#${letter.charCodeAt(0)};`));

/**
 * Markup as people write it (HTML, as browsers read it) made well-formed, without what may not stand in a site: elements
 * that run, style or frame go with their content, others give way to theirs.
 */
export function tidyMarkup(text: string): TidyMarkup {
  const { body } = new DOMParser().parseFromString(text, 'text/html');
  const left = new Set<string>();
  const write = (node: Node): string => {
    if (node instanceof Text) return escaped(node.data);
    if (!(node instanceof Element)) return '';
    const name = node.tagName.toLowerCase();
    const inside = () => [...node.childNodes].map(write).join('');
    if (!isMarkupElement(name)) {
      left.add(`<${name}>`);
      return WHOLE.has(name) ? '' : inside();
    }
    const attributes = [...node.attributes].flatMap(({ name: key, value }) => {
      if (isMarkupAttribute(name, key, value)) return [` ${key}="${escaped(value)}"`];
      left.add(`${key} of <${name}>`);
      return [];
    });
    const start = `<${name}${attributes.join('')}`;
    return VOID.has(name) ? `${start}/>` : `${start}>${inside()}</${name}>`;
  };
  return { source: [...body.childNodes].map(write).join('').trim(), left: [...left] };
}
