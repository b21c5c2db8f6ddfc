import type { Opener } from '../../kinds/parts/opener.ts';
import { within, type CompileContext } from '../context.ts';
import { icon } from '../icons.ts';
import { invoker } from '../link.ts';
import { foldedWithScript } from '../media.ts';
import { partClasses } from '../shown.ts';
import { element, rule, type ConditionalRule, type HtmlElement } from '../../print/trees.ts';

/** The button that opens the panel the menu folds into; the script helps browsers without invokers. */
export function openerMarkup(context: CompileContext, part: Opener): HtmlElement | null {
  if (!context.fold) return null;
  return element(
    'button',
    {
      class: partClasses(context, part, 'opener'),
      ...invoker(context, part.panel),
      'aria-label': part.label,
    },
    icon(context.names.name('icon'), 'bars'),
  );
}

export function openerRules(context: CompileContext, part: Opener): ConditionalRule[] {
  const selector = within(context, `.${context.names.slotClass(part.id, 'opener')}`);
  return [
    rule(selector, [
      ['display', 'none'],
      ['cursor', 'pointer'],
    ]),
    ...foldedWithScript(context, [[selector, [['display', 'block']]]]),
  ];
}
