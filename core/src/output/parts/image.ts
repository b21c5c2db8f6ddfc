import type { Image } from '../../kinds/parts/image.ts';
import { within, type CompileContext } from '../context.ts';
import { DRAWN, drawnSvg } from '../icons.ts';
import { linkElement } from '../link.ts';
import { partClasses } from '../shown.ts';
import { element, rule, type ConditionalRule, type HtmlElement, type HtmlNode } from '../../print/trees.ts';

/** A picture or drawing in a box that is a link where it leads somewhere; null while it has neither. */
export function imageMarkup(context: CompileContext, part: Image): HtmlElement | null {
  const className = context.names.slotClass(part.id, 'image');
  const isLink = part.target.kind !== 'none';
  const drawn: HtmlNode | null =
    part.svg !== null
      ? drawnSvg(part.svg, className)
      : part.image !== null
        ? element('img', { class: className, src: part.image, alt: part.alternative, loading: 'lazy' })
        : null;
  if (!drawn) return null;
  const box = { class: partClasses(context, part, 'image-box') };
  const name = part.svg !== null && part.alternative !== '' ? part.alternative : null;
  if (isLink) return linkElement(context, { ...box, 'aria-label': name }, part.target, drawn);
  return element('span', name === null ? box : { ...box, role: 'img', 'aria-label': name }, drawn);
}

export function imageRules(context: CompileContext, part: Image): ConditionalRule[] {
  if (part.svg === null && part.image === null) return [];
  return [
    rule(within(context, `.${context.names.slotClass(part.id, 'image-box')}`), [
      ['display', 'block'],
      ...(part.target.kind === 'none' ? [] : [['cursor', 'pointer'] as const]),
    ]),
    rule(within(context, `.${context.names.slotClass(part.id, 'image')}`), DRAWN),
  ];
}
