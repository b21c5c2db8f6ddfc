import { element, styleRule } from '../../../print/trees.ts';
import { exact } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { fragment, NOTHING } from '../../out.ts';

const BERTH_SHAPE = {} as const;

/** The place in a panel where parts that fold away arrive. */
export type Berth = PartOf<'berth', typeof BERTH_SHAPE>;

export const BERTH: PartKind<'berth', typeof BERTH_SHAPE> = {
  id: 'berth',
  alsoCalled: 'place where a folded menu arrives',
  navigates: true,
  label: 'Berth',
  hint: 'the place where parts that fold away arrive',
  shape: BERTH_SHAPE,
  slots: {},
  onlyIn: 'over',
  // An empty element: the script sets the parts before it.
  compile: (_part, out) =>
    out.arriving.length === 0
      ? NOTHING
      : fragment(
          [element('span', { class: out.class('berth'), id: out.id(out.class('berth')) })],
          [styleRule(out.at('berth'), [['display', 'none']])],
          ['fold'],
        ),
  extent: () => exact(0),
  texts: () => [],
};
