import { element, styleRule } from '../../../print/trees.ts';
import { BOX_STATES } from '../../../model/slot.ts';
import { exact } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { fragment } from '../../out.ts';

const RULE_SHAPE = {} as const;

/** A line that only decorates: upright between neighbours in a row, lying in a panel. */
export type Rule = PartOf<'rule', typeof RULE_SHAPE>;

export const RULE: PartKind<'rule', typeof RULE_SHAPE> = {
  id: 'rule',
  alsoCalled: 'divider separator line',
  navigates: true,
  label: 'Rule',
  hint: 'a line between neighbours',
  shape: RULE_SHAPE,
  slots: {
    rule: {
      label: 'Rule',
      levels: [],
      states: BOX_STATES,
      text: 'none',
      properties: ['fill', 'thickness', 'drawnHeight', 'marginInline', 'marginBlock', 'opacity'],
      defaults: { fill: { role: 'line' }, drawnHeight: 24, thickness: 1 },
    },
  },
  compile: (_part, out) =>
    fragment(
      [element('hr', { class: out.classes('rule'), ...out.attributes, 'aria-hidden': 'true' })],
      [
        styleRule(out.at('rule'), [['flex', 'none']]),
        // Beneath one another it lies: turned, its thickness and its room to neighbours stay what they are.
        ...out.inPanel([
          [
            out.at('rule'),
            [
              ['writing-mode', 'vertical-lr'],
              ['min-block-size', '100%'],
            ],
          ],
        ]),
      ],
    ),
  extent: (_part, at) => {
    const own = at.slot('rule');
    return exact(own.pixels('thickness') + own.around());
  },
  texts: () => [],
};
