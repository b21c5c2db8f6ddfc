import type { Logo } from '../../document/parts/logo.ts';
import { within, type CompileContext } from '../context.ts';
import { element, rule, text, type ConditionalRule, type HtmlElement, type HtmlNode } from '../trees.ts';

/** The path of the site's front page on its own host. */
function homePath(url: string): string {
  return /^https?:\/\/[^/?#]+(\/[^?#]*)?/i.exec(url)?.[1] ?? '/';
}

/** The site's name or mark as a link to its front page; a drawing keeps the name for assistive technology. */
export function logoMarkup(context: CompileContext, part: Logo): HtmlElement {
  const attributes = { class: context.names.slotClass(part.id, 'logo'), href: homePath(context.site.url) };
  if (part.svg === null) return element('a', attributes, text(part.text));
  const drawing: HtmlNode = { node: 'drawing', cleanSvg: hideDrawing(part.svg) };
  if (part.textShown) return element('a', attributes, drawing, text(part.text));
  return element('a', { ...attributes, 'aria-label': part.text }, drawing);
}

/** Marks the drawing as decoration: its link carries the name. */
const hideDrawing = (svg: string) => (/^\s*<svg[^>]*\saria-hidden=/.test(svg) ? svg.trim() : svg.trim().replace(/^<svg/i, '<svg aria-hidden="true"'));

export function logoRules(context: CompileContext, part: Logo): ConditionalRule[] {
  const selector = within(context, `.${context.names.slotClass(part.id, 'logo')}`);
  const rules = [rule(selector, [['display', 'flex'], ['align-items', 'center'], ['cursor', 'pointer'], ['white-space', 'nowrap']])];
  if (part.svg === null) return rules;
  // The drawing's own colours are attributes, so it is not reset as a whole.
  return [...rules, rule(`${selector} svg`, [
    ['display', 'block'], ['block-size', `${part.svgHeight}px`], ['inline-size', 'auto'], ['max-inline-size', 'none'], ['margin', '0'],
    ['padding', '0'], ['border', '0'], ['transform', 'none'], ['vertical-align', 'baseline'], ['overflow', 'hidden'],
  ])];
}
