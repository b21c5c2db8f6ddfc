import { styleRule } from '../../../print/trees.ts';
import { flag, referenceOrNone, text as textField } from '../../../model/shape/fields.ts';
import { BUTTON_STATES, CONTROL_PROPERTIES, LABEL_ICON_PROPERTIES } from '../../../model/slot.ts';
import { target } from '../../../model/target.ts';
import { LEAST_TARGET, type Extent, type PartExtents } from '../../extent.ts';
import { labelWords } from '../../label-words.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { CLICKABLE, fragment, IN_LINE, type Fragment, type PartOut } from '../../out.ts';
import { boxAround } from '../../label-box.ts';
import { iconRules, withIcon, withIconExtent } from '../../with-icon.ts';

const SHORTCUT_SHAPE = {
  label: textField({ label: 'label', needed: true }),
  labelShown: flag({
    label: 'with label',
    hint: 'whether the label stands beside the icon; hidden, it is still read out',
    when: (part) => part['icon'] !== null,
  }),
  icon: referenceOrNone('icon', { label: 'icon' }),
  target: target(),
} as const;

/** A link that is mostly an icon: account, basket, saved things. */
export type Shortcut = PartOf<'shortcut', typeof SHORTCUT_SHAPE>;

/** Room between the icon and its label in px, where no look says another. */
const GAP = 6;

const showsLabel = (part: Shortcut) => part.labelShown || part.icon === null;

/** Its label is its name where it is not shown. */
function compile(part: Shortcut, out: PartOut): Fragment {
  const drawn = part.icon === null ? null : out.glyph(out.class('symbol'), part.icon);
  // What leads nowhere yet is a picture with a name, not a link.
  const role = part.target.kind === 'none' && !showsLabel(part) ? 'img' : null;
  const attributes = {
    class: out.classes('shortcut'),
    ...out.attributes,
    role,
    'aria-label': showsLabel(part) ? null : part.label,
  };
  return fragment(
    [
      out.link(
        attributes,
        part.target,
        withIcon(out, 'symbol', drawn, showsLabel(part) ? labelWords(part.label) : null),
      ),
    ],
    [
      styleRule(out.at('shortcut'), [
        ...IN_LINE,
        ...(showsLabel(part) ? [] : ([['justify-content', 'center']] as const)),
        CLICKABLE,
      ]),
      ...(part.icon === null ? [] : iconRules(out, 'symbol', { gap: GAP, isLabelled: showsLabel(part) })),
    ],
  );
}

function extent(part: Shortcut, at: PartExtents): Extent {
  const words = at.words(part.label, 'shortcut');
  const content =
    part.icon === null ? words : withIconExtent(at, 'symbol', null, showsLabel(part) ? words : null);
  return at.control([content], 'shortcut');
}

export const SHORTCUT: PartKind<'shortcut', typeof SHORTCUT_SHAPE> = {
  id: 'shortcut',
  alsoCalled: 'icon link basket account',
  label: 'Icon link',
  hint: 'a link that is mostly an icon: account, basket, saved things',
  shape: SHORTCUT_SHAPE,
  slots: {
    shortcut: {
      label: 'Icon link',
      levels: [],
      states: BUTTON_STATES,
      text: 'label',
      typeStyle: 'menu',
      properties: CONTROL_PROPERTIES,
      defaults: {
        colour: { role: 'ink' },
        paddingInline: 6,
        paddingBlock: 6,
        minWidth: LEAST_TARGET,
        height: LEAST_TARGET,
      },
    },
    symbol: {
      label: 'Icon link’s icon',
      levels: [],
      states: BUTTON_STATES,
      text: 'icon',
      inside: 'shortcut',
      around: boxAround('symbol'),
      properties: LABEL_ICON_PROPERTIES,
      defaults: { size: 22, iconGap: GAP },
    },
  },
  create: () => ({ label: 'Account' }),
  icons: { icon: 'user' },
  hasSlot: (part, slot) => slot !== 'symbol' || part.icon !== null,
  known: (part) => part.label,
  compile,
  extent,
  texts: (part) => [part.label],
  drawn: (part) => (part.icon === null ? [] : [part.icon]),
};
