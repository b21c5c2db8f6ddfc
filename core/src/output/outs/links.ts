import { opensOver } from '../../kinds/placed.ts';
import { hrefOf } from '../../links/target.ts';
import type { Target } from '../../model/target.ts';
import { element, type HtmlElement, type HtmlNode } from '../../print/trees.ts';
import type { CompileContext } from '../context.ts';

/** The attributes of a control that opens a panel by the browser's own invokers (HTML, `commandfor`). */
export function invoker(context: CompileContext, panel: string): HtmlElement['attributes'] | null {
  const found = context.pieces.find((piece) => piece.id === panel && opensOver(piece));
  if (!found) return null;
  const id = context.names.slotId(found.id, found.kind);
  return {
    type: 'button',
    command: 'show-modal',
    commandfor: id,
    'aria-haspopup': 'dialog',
    'aria-controls': id,
  };
}

/** An address, with what lies before the paths of the site's own pages. */
export function withBase({ pathBase, site }: CompileContext, href: string): string {
  if (pathBase === '') return href;
  const own = /^https?:\/\/[^/?#]+/i.exec(site.url)?.[0];
  const path = own !== undefined && href.startsWith(`${own}/`) ? href.slice(own.length) : href;
  return /^\/(?!\/)/.test(path) ? pathBase + path : href;
}

/** A link, or the button that opens a panel; without a target a placeholder link (HTML, section 4.5.1). */
export function linkElement(
  context: CompileContext,
  attributes: HtmlElement['attributes'],
  target: Target,
  content: readonly (HtmlNode | null)[],
): HtmlElement {
  const opening = target.kind === 'panel' ? invoker(context, target.panel) : null;
  if (opening) {
    const { class: className, href: _none, target: _tab, rel: _rel, ...rest } = attributes;
    return element('button', { class: className ?? null, ...opening, ...rest }, ...content);
  }
  const href = hrefOf(context.site, target);
  const led = href === null ? attributes : { ...attributes, href: withBase(context, href) };
  return element('a', led, ...content);
}
