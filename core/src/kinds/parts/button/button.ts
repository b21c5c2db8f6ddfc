import { styleRule } from '../../../print/trees.ts';
import { optional, reference, referenceOrNone, text as textField } from '../../../model/shape/fields.ts';
import { BUTTON_STATES, CONTROL_PROPERTIES, LABEL_ICON_PROPERTIES } from '../../../model/slot.ts';
import type { SiteContent } from '../../../model/site-content.ts';
import { target } from '../../../model/target.ts';
import { itemsOf } from '../../content.ts';
import { labelWords } from '../../label-words.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { CLICKABLE, FORCED_COLOURS, fragment, IN_LINE } from '../../out.ts';
import { boxAround } from '../../label-box.ts';
import { iconRules, withIcon, withIconExtent } from '../../with-icon.ts';

/** A button that draws a link of a menu says what that link says. */
const hasOwnWords = (part: Readonly<Record<string, unknown>>) => part['item'] === undefined;

const BUTTON_SHAPE = {
  item: optional(
    reference('item', { label: 'draws', hint: 'a link of a menu, which says label, icon and target' }),
  ),
  label: textField({ label: 'label', needed: true, when: hasOwnWords }),
  icon: referenceOrNone('icon', { label: 'icon', when: hasOwnWords }),
  target: target(hasOwnWords),
} as const;

/** A call to action: a link drawn as a button. */
export type Button = PartOf<'button', typeof BUTTON_SHAPE>;

/** What a button says: its own words, or those of the link it draws. */
function wordsOf(part: Button, site: SiteContent): Pick<Button, 'label' | 'icon' | 'target'> {
  const found = part.item === undefined ? undefined : itemsOf(site).get(part.item)?.item;
  return found ? { label: found.label, icon: found.icon ?? null, target: found.target } : part;
}

export const BUTTON: PartKind<'button', typeof BUTTON_SHAPE> = {
  id: 'button',
  alsoCalled: 'call to action cta',
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
      around: boxAround('button-icon'),
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
  known: (part) => part.label,
  compile: (part, out) => {
    const { label, icon, target: leadsTo } = wordsOf(part, out.site);
    const glyph = icon === null ? null : out.glyph(out.class('button-icon'), icon);
    return fragment(
      [
        out.link(
          { class: out.classes('button'), ...out.attributes },
          leadsTo,
          withIcon(out, 'button-icon', glyph, labelWords(label)),
        ),
      ],
      [
        styleRule(out.at('button'), [...IN_LINE, CLICKABLE]),
        // Forced colours drop fills: an edge tells it apart.
        styleRule(out.at('button'), [['outline', '1px solid']], FORCED_COLOURS),
        ...(icon === null ? [] : iconRules(out, 'button-icon')),
      ],
    );
  },
  hasSlot: (part, slot, site) => slot !== 'button-icon' || wordsOf(part, site).icon !== null,
  extent: (part, at) => {
    const { label, icon } = wordsOf(part, at.site);
    const words = at.words(label, 'button');
    return at.control([icon === null ? words : withIconExtent(at, 'button-icon', null, words)], 'button');
  },
  texts: (part, site) => [wordsOf(part, site).label],
  drawn: (part, site) => {
    const { icon } = wordsOf(part, site);
    return icon === null ? [] : [icon];
  },
};
