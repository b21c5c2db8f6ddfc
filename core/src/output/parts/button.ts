import type { Button } from '../../kinds/parts/button.ts';
import { within, type CompileContext } from '../context.ts';
import { linkElement } from '../link.ts';
import { partClasses } from '../shown.ts';
import { rule, text, type ConditionalRule, type HtmlElement } from '../../print/trees.ts';

export function buttonMarkup(context: CompileContext, part: Button): HtmlElement {
  return linkElement(context, { class: partClasses(context, part, 'button') }, part.target, text(part.label));
}

export function buttonRules(context: CompileContext, part: Button): ConditionalRule[] {
  return [
    rule(within(context, `.${context.names.slotClass(part.id, 'button')}`), [
      ['display', 'flex'],
      ['align-items', 'center'],
      ['cursor', 'pointer'],
      ['white-space', 'nowrap'],
    ]),
  ];
}
