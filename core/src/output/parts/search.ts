import type { Search } from '../../kinds/parts/search.ts';
import { within, type CompileContext } from '../context.ts';
import { icon } from '../icons.ts';
import { partClasses } from '../shown.ts';
import { element, rule, type ConditionalRule, type HtmlElement } from '../../print/trees.ts';

/** A form that any browser sends by itself; behind an icon it unfolds without a script. */
export function searchMarkup(context: CompileContext, part: Search): HtmlElement {
  const { names } = context;
  const submit = names.slotClass(part.id, 'submit');
  const lens = () => icon(names.name('icon'), 'lens');
  const form = (className: string) =>
    element(
      'form',
      { class: className, role: 'search', action: part.action },
      element('input', {
        class: names.slotClass(part.id, 'field'),
        type: 'search',
        name: part.field,
        placeholder: part.placeholder || null,
        'aria-label': part.label,
      }),
      element('button', { class: submit, 'aria-label': part.label }, lens()),
    );
  if (part.open) return form(partClasses(context, part, 'search'));
  return element(
    'details',
    { class: partClasses(context, part, 'unfold') },
    element('summary', { class: submit, 'aria-label': part.label }, lens()),
    form(names.slotClass(part.id, 'search')),
  );
}

export function searchRules(context: CompileContext, part: Search): ConditionalRule[] {
  const at = (slot: string, rest = '') =>
    within(context, `.${context.names.slotClass(part.id, slot)}${rest}`);
  const rules = [
    rule(at('search'), [
      ['display', 'flex'],
      ['align-items', 'center'],
    ]),
    // A host page may have its own idea of placeholders.
    rule(at('field', '::placeholder'), [
      ['all', 'unset'],
      ['color', 'inherit'],
      ['opacity', '0.7'],
    ]),
    rule(at('field'), [
      ['flex', 'none'],
      ['cursor', 'text'],
    ]),
    rule(at('submit'), [
      ['display', 'block'],
      ['flex', 'none'],
      ['cursor', 'pointer'],
    ]),
  ];
  if (part.open) return rules;
  return [
    ...rules,
    rule(at('unfold'), [
      ['display', 'block'],
      ['position', 'relative'],
    ]),
    rule(at('unfold', `>.${context.names.slotClass(part.id, 'search')}`), [
      ['position', 'absolute'],
      ['inset-block-start', '100%'],
      ['inset-inline-end', '0'],
      ['z-index', '2'],
    ]),
    rule(at('unfold', ':not([open])>form'), [['display', 'none']]),
  ];
}
