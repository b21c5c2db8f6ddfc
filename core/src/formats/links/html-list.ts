import { dataAttributes } from '../../model/own-attributes.ts';
import { element, text, type HtmlElement } from '../../print/trees.ts';
import { printHtml } from '../../print/html.ts';
import type { LinkLine } from '../../links/link-line.ts';

interface Branch {
  readonly link: LinkLine;
  readonly children: Branch[];
}

function branches(links: readonly LinkLine[]): Branch[] {
  const top: Branch[] = [];
  const open: Branch[] = [];
  for (const link of links) {
    const branch: Branch = { link, children: [] };
    open.length = Math.min(open.length, link.depth - 1);
    (open.at(-1)?.children ?? top).push(branch);
    open.push(branch);
  }
  return top;
}

function itemOf({ link, children }: Branch): HtmlElement {
  const { label, href, fields = {} } = link;
  const nested = children.length > 0 ? listOf(children) : null;
  if (fields.role === 'divider') return element('li', { role: 'separator' });
  const attributes = {
    class: fields.className ?? null,
    title: fields.title ?? null,
    'aria-label': fields.name ?? null,
    rel: fields.rel ?? null,
    target: fields.newTab ? '_blank' : null,
    ...dataAttributes(fields),
  };
  return element(
    'li',
    {},
    element(href === null ? 'span' : 'a', { href, ...attributes }, text(label)),
    nested,
  );
}

const listOf = (list: readonly Branch[]): HtmlElement => element('ul', {}, ...list.map(itemOf));

/** Links as a plain nested list inside a navigation, without any look. */
export function printHtmlList(links: readonly LinkLine[], name: string): string {
  return printHtml([element('nav', { 'aria-label': name }, listOf(branches(links)))]);
}
