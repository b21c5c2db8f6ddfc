import type { Logo } from '../../kinds/parts/logo.ts';
import { within, type CompileContext } from '../context.ts';
import { DRAWN, drawnSvg } from '../icons.ts';
import { partClasses } from '../shown.ts';
import {
  element,
  rule,
  text,
  type ConditionalRule,
  type HtmlElement,
  type HtmlNode,
} from '../../print/trees.ts';

/** The path of the site's front page on its own host. */
function homePath(url: string): string {
  return /^https?:\/\/[^/?#]+(\/[^?#]*)?/i.exec(url)?.[1] ?? '/';
}

/** The classes of a logo's drawings: the one at rest, and the one that takes its place while the page is scrolled. */
function drawingClasses(context: CompileContext, part: Logo) {
  const drawing = context.names.slotClass(part.id, 'drawing');
  return { drawing, second: context.names.slotClass(part.id, 'second') };
}

const hasSecond = (context: CompileContext, part: Logo) => part.second !== null && context.header.stays;

function drawings(context: CompileContext, part: Logo): HtmlNode[] {
  const { drawing, second } = drawingClasses(context, part);
  const first: HtmlNode[] =
    part.svg !== null
      ? [drawnSvg(part.svg, drawing)]
      : part.image !== null
        ? [element('img', { class: drawing, src: part.image, alt: '' })]
        : [];
  return part.second !== null && hasSecond(context, part)
    ? [...first, drawnSvg(part.second, `${drawing} ${second}`)]
    : first;
}

/** The site's name or mark as a link to its front page; a drawing keeps the name for assistive technology. */
export function logoMarkup(context: CompileContext, part: Logo): HtmlElement {
  const attributes = { class: partClasses(context, part, 'logo'), href: homePath(context.site.url) };
  const drawn = drawings(context, part);
  if (drawn.length === 0) return element('a', attributes, text(part.text));
  if (part.textShown) return element('a', attributes, ...drawn, text(part.text));
  return element('a', { ...attributes, 'aria-label': part.text }, ...drawn);
}

export function logoRules(context: CompileContext, part: Logo): ConditionalRule[] {
  const selector = within(context, `.${context.names.slotClass(part.id, 'logo')}`);
  const rules = [
    rule(selector, [
      ['display', 'flex'],
      ['align-items', 'center'],
      ['cursor', 'pointer'],
      ['white-space', 'nowrap'],
    ]),
  ];
  if (part.svg === null && part.image === null) return rules;
  const { drawing, second } = drawingClasses(context, part);
  const drawingRule = rule(within(context, `.${drawing}`), DRAWN);
  if (!hasSecond(context, part)) return [...rules, drawingRule];
  const scrolled = `${context.root}[${context.names.scrolledAttribute}] .${drawing}`;
  const away = [['display', 'none']] as const;
  return [
    ...rules,
    drawingRule,
    rule(within(context, `.${second}`), away),
    rule(`${scrolled}:not(.${second})`, away),
    rule(`${scrolled}.${second}`, [['display', 'block']]),
  ];
}
