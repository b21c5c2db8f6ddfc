import type { Shortcut } from '../../kinds/parts/shortcut.ts';
import { within, type CompileContext } from '../context.ts';
import { DRAWN, glyph } from '../icons.ts';
import { linkElement } from '../link.ts';
import { partClasses } from '../shown.ts';
import { rule, text, type ConditionalRule, type HtmlElement } from '../../print/trees.ts';

const showsLabel = (part: Shortcut) => part.labelShown || part.icon === null;

/** A link that is mostly an icon; its label is its name where it is not shown. */
export function shortcutMarkup(context: CompileContext, part: Shortcut): HtmlElement {
  const drawn =
    part.icon === null ? null : glyph(context, context.names.slotClass(part.id, 'symbol'), part.icon);
  // What leads nowhere yet is a picture with a name, not a link.
  const role = part.target.kind === 'none' && !showsLabel(part) ? 'img' : null;
  const attributes = {
    class: partClasses(context, part, 'shortcut'),
    role,
    'aria-label': showsLabel(part) ? null : part.label,
  };
  return linkElement(context, attributes, part.target, drawn, showsLabel(part) ? text(part.label) : null);
}

export function shortcutRules(context: CompileContext, part: Shortcut): ConditionalRule[] {
  const at = (slot: string) => within(context, `.${context.names.slotClass(part.id, slot)}`);
  return [
    rule(at('shortcut'), [
      ['display', 'flex'],
      ['align-items', 'center'],
      ['cursor', 'pointer'],
      ['white-space', 'nowrap'],
    ]),
    // Its size is its font size.
    ...(part.icon === null
      ? []
      : [rule(at('symbol'), [...DRAWN, ['inline-size', '1em'], ['block-size', '1em']])]),
  ];
}
