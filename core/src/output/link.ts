import type { MenuItem } from '../model/menu-item.ts';
import type { MenuPart } from '../kinds/parts/menu.ts';
import type { Target } from '../model/target.ts';
import { hrefOf } from '../links/target.ts';
import type { CompileContext } from './context.ts';
import { glyph } from './icons.ts';
import { element, text, type HtmlElement, type HtmlNode } from '../print/trees.ts';

type Attributes = HtmlElement['attributes'];

/** The attributes of a control that opens a panel by the browser's own invokers (HTML, `commandfor`). */
export function invoker(context: CompileContext, panel: string): Attributes {
  const id = context.names.slotClass(panel, 'panel');
  return {
    type: 'button',
    command: 'show-modal',
    commandfor: id,
    'aria-haspopup': 'dialog',
    'aria-controls': id,
  };
}

/** A link, or the button that opens a panel; without a target a placeholder link (HTML, section 4.5.1). */
export function linkElement(
  context: CompileContext,
  attributes: Attributes,
  target: Target,
  ...content: readonly (HtmlNode | null)[]
): HtmlElement {
  if (target.kind === 'panel' && context.panels.some((panel) => panel.id === target.panel)) {
    const { class: className, href: _none, target: _tab, rel: _rel, ...rest } = attributes;
    return element(
      'button',
      { class: className ?? null, ...invoker(context, target.panel), ...rest },
      ...content,
    );
  }
  const href = hrefOf(context.site, target);
  return element('a', href === null ? attributes : { ...attributes, href }, ...content);
}

/** What a link shows: icon, picture, label and description. */
export function itemContent(context: CompileContext, part: MenuPart, item: MenuItem): (HtmlNode | null)[] {
  if (
    item.icon === undefined &&
    item.image === undefined &&
    item.description === undefined &&
    !item.labelHidden
  )
    return [text(item.label)];
  const at = (slot: string) => context.names.slotClass(part.id, slot);
  const { description } = item;
  const label = item.labelHidden ? null : text(item.label);
  // Nothing stands behind the last one where the label is hidden.
  const alone = item.labelHidden ? ` ${context.names.name('alone')}` : '';
  return [
    item.icon === undefined
      ? null
      : glyph(context, at('glyph') + (item.image === undefined ? alone : ''), item.icon),
    item.image === undefined
      ? null
      : element('img', {
          class: at('picture') + alone,
          src: item.image,
          alt: item.imageText ?? '',
          loading: 'lazy',
        }),
    // Two lines need an element around them; a bare label needs none.
    description === undefined || item.labelHidden
      ? label
      : element(
          'span',
          {},
          text(item.label),
          element('span', { class: at('description') }, text(description)),
        ),
  ];
}

/** The name of a link where it is not its label. */
export const accessibleName = (item: MenuItem): string | null =>
  item.name ?? (item.labelHidden ? item.label : null);

/** The attributes a link takes from its item; most have none but the class. */
export function itemAttributes(item: MenuItem, className: string): Attributes {
  const attributes: Record<string, string | true | null | false> = {
    class: item.className === undefined ? className : `${className} ${item.className}`,
  };
  if (item.newTab) attributes['target'] = '_blank';
  const rel = item.newTab ? `noopener ${item.rel ?? ''}`.trim() : item.rel;
  if (rel !== undefined) attributes['rel'] = [...new Set(rel.split(' '))].join(' ');
  if (item.title !== undefined) attributes['title'] = item.title;
  const name = accessibleName(item);
  if (name !== null) attributes['aria-label'] = name;
  return attributes;
}
