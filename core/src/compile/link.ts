import type { Target } from '../document/target.ts';
import { hrefOf } from '../links/target.ts';
import type { CompileContext } from './context.ts';
import { element, text, type HtmlElement } from './trees.ts';

/** A link with its label; without a target it is a placeholder link (HTML, section 4.5.1). */
export function linkElement(context: CompileContext, className: string, label: string, target: Target): HtmlElement {
  return element('a', { class: className, href: hrefOf(context.site, target) }, text(label));
}
