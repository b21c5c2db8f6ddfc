import { styleRule, text } from '../../../print/trees.ts';
import { referenceOrNone, text as textField } from '../../../model/shape/fields.ts';
import { BUTTON_STATES, CONTROL_PROPERTIES, LABEL_ICON_PROPERTIES } from '../../../model/slot.ts';
import { target } from '../../../model/target.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { CLICKABLE, FORCED_COLOURS, fragment, IN_LINE } from '../../out.ts';
import { around, iconRules, withIcon, withIconExtent } from '../../with-icon.ts';

const BUTTON_SHAPE = {
  label: textField({ label: 'label', needed: true }),
  icon: referenceOrNone('icon', { label: 'icon' }),
  target: target(),
} as const;

/** A call to action: a link drawn as a button. */
export type Button = PartOf<'button', typeof BUTTON_SHAPE>;

export const BUTTON: PartKind<'button', typeof BUTTON_SHAPE> = {
  id: 'button',
  label: 'Call to action',
  hint: 'a link drawn as a button',
  givesWay: true,
  shape: BUTTON_SHAPE,
  slots: {
    button: {
      label: 'Call to action',
      isAction: true,
      levels: [],
      states: BUTTON_STATES,
      text: 'label',
      typeStyle: 'action',
      properties: CONTROL_PROPERTIES,
      defaults: { colour: { role: 'on-accent' }, fill: { role: 'accent' } },
    },
    'button-icon': {
      label: 'Call to action’s icon',
      levels: [],
      states: BUTTON_STATES,
      text: 'icon',
      inside: 'button',
      around: around('button-icon'),
      properties: LABEL_ICON_PROPERTIES,
      defaults: { size: 18 },
    },
  },
  create: () => ({
    label: 'Get in touch',
    look: {
      button: {
        all: {
          rest: { all: { paddingInline: 16, paddingBlock: 9, radius: 6 } },
          hover: { all: { fill: { role: 'ink' } } },
        },
      },
    },
  }),
  compile: (part, out) =>
    fragment(
      [
        out.link(
          { class: out.classes('button'), ...out.folding },
          part.target,
          withIcon(
            out,
            'button-icon',
            part.icon === null ? null : out.glyph(out.class('button-icon'), part.icon),
            text(part.label),
          ),
        ),
      ],
      [
        styleRule(out.at('button'), [...IN_LINE, CLICKABLE]),
        // Forced colours drop fills: an edge tells it apart.
        styleRule(out.at('button'), [['outline', '1px solid']], FORCED_COLOURS),
        ...(part.icon === null ? [] : iconRules(out, 'button-icon')),
      ],
    ),
  hasSlot: (part, slot) => slot !== 'button-icon' || part.icon !== null,
  extent: (part, at) => {
    const label = at.words(part.label, 'button');
    return at.control(
      [part.icon === null ? label : withIconExtent(at, 'button-icon', null, label)],
      'button',
    );
  },
  texts: (part) => [part.label],
  drawn: (part) => (part.icon === null ? [] : [part.icon]),
};
