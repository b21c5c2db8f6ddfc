import type { Opener } from '../../document/parts/opener.ts';
import { within, type CompileContext } from '../context.ts';
import { icon } from '../icons.ts';
import { foldedWithScript } from '../media.ts';
import { element, rule, type ConditionalRule, type HtmlElement } from '../trees.ts';

/** A button that opens the panel by the browser's own invokers (HTML, `commandfor`); the script helps older ones. */
export function openerMarkup(context: CompileContext, part: Opener): HtmlElement | null {
  if (!context.fold) return null;
  const panel = context.names.name('panel');
  return element('button', {
    class: context.names.slotClass(part.id, 'opener'), type: 'button', command: 'show-modal', commandfor: panel, 'aria-haspopup': 'dialog',
    'aria-controls': panel, 'aria-label': part.label,
  }, icon(context.names.name('icon'), 'bars'));
}

export function openerRules(context: CompileContext, part: Opener): ConditionalRule[] {
  const selector = within(context, `.${context.names.slotClass(part.id, 'opener')}`);
  return [
    rule(selector, [['display', 'none'], ['cursor', 'pointer']]),
    ...foldedWithScript(context, [[selector, [['display', 'block']]]]),
  ];
}
