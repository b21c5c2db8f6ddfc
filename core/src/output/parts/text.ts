import type { Text } from '../../kinds/parts/text.ts';
import { within, type CompileContext } from '../context.ts';
import { DRAWN, glyph } from '../icons.ts';
import { linkElement } from '../link.ts';
import { partClasses } from '../shown.ts';
import { element, rule, text, type ConditionalRule, type HtmlElement } from '../../print/trees.ts';

/** Short texts beside each other; those with a target are links. */
export function textMarkup(context: CompileContext, part: Text): HtmlElement {
  const at = (slot: string) => context.names.slotClass(part.id, slot);
  const entries = part.entries.map((entry) => {
    const content = [
      entry.icon === null ? null : glyph(context, at('text-icon'), entry.icon),
      text(entry.text),
    ];
    return entry.target.kind === 'none'
      ? element('span', {}, ...content)
      : linkElement(context, { class: at('contact') }, entry.target, ...content);
  });
  return element('div', { class: partClasses(context, part, 'text') }, ...entries);
}

export function textRules(context: CompileContext, part: Text): ConditionalRule[] {
  const at = (slot: string, rest = '') =>
    within(context, `.${context.names.slotClass(part.id, slot)}${rest}`);
  return [
    rule(at('text'), [
      ['display', 'flex'],
      ['flex-wrap', 'wrap'],
      ['align-items', 'center'],
    ]),
    rule(at('text', '>*'), [
      ['display', 'flex'],
      ['align-items', 'center'],
    ]),
    ...(part.entries.some((entry) => entry.target.kind !== 'none')
      ? [rule(at('contact'), [['cursor', 'pointer']])]
      : []),
    ...(part.entries.some((entry) => entry.icon !== null)
      ? [
          rule(at('text-icon'), [
            ...DRAWN,
            ['inline-size', '1.2em'],
            ['block-size', '1.2em'],
            ['margin-inline-end', '.4em'],
          ]),
        ]
      : []),
  ];
}
