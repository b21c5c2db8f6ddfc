import type { Rule } from '../../kinds/parts/rule.ts';
import { within, type CompileContext } from '../context.ts';
import { partClasses } from '../shown.ts';
import { element, rule, type ConditionalRule, type HtmlElement } from '../../print/trees.ts';

/** An upright line that only decorates. */
export function ruleMarkup(context: CompileContext, part: Rule): HtmlElement {
  return element('hr', { class: partClasses(context, part, 'rule'), 'aria-hidden': 'true' });
}

export function ruleRules(context: CompileContext, part: Rule): ConditionalRule[] {
  return [
    rule(within(context, `.${context.names.slotClass(part.id, 'rule')}`), [
      ['display', 'block'],
      ['flex', 'none'],
    ]),
  ];
}
