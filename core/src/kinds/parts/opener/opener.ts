import { element, styleRule, type ConditionalRule } from '../../../print/trees.ts';
import { choice, reference, referenceOrNone, text } from '../../../model/shape/fields.ts';
import { BUTTON_STATES, ICON_CONTROL_PROPERTIES, LONE_ICON_PROPERTIES } from '../../../model/slot.ts';
import { exact } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import {
  CLICKABLE,
  DRAWN_AS_TYPE,
  fragment,
  NOTHING,
  NO_SCRIPT,
  PRINT,
  type Fragment,
  type PartOut,
} from '../../out.ts';

const OPENER_SHAPE = {
  label: text({ label: 'name', needed: true, hint: 'accessible name; the icon is drawn', initial: 'Menu' }),
  icon: referenceOrNone('icon', { label: 'icon' }),
  panel: reference('panel', { label: 'opens' }),
  shows: choice(
    { needed: 'where something folds into the panel', always: 'always' },
    { label: 'shows', hint: 'where it is shown: it can be narrowed further to bands' },
  ),
} as const;

/** The control that opens a panel. */
export type Opener = PartOf<'opener', typeof OPENER_SHAPE>;

function rules(part: Opener, below: number, out: PartOut): ConditionalRule[] {
  const opener = out.at('opener');
  const hidden = [['display', 'none']] as const;
  return [
    styleRule(opener, [CLICKABLE]),
    ...(part.icon === null ? [] : [styleRule(out.at('opener-icon'), DRAWN_AS_TYPE)]),
    ...(below === Infinity ? [] : [styleRule(opener, hidden, `@media (width >= ${below}px)`)]),
    // Without scripts nothing folds, and panels stand open in the page.
    styleRule(opener, hidden, NO_SCRIPT),
    styleRule(opener, hidden, PRINT),
  ];
}

/** The button opens its panel by the browser's own invokers; the script helps browsers without. */
function compile(part: Opener, out: PartOut): Fragment {
  const below = part.shows === 'always' ? Infinity : out.neededBelow(part.panel);
  const invoker = out.invoker(part.panel);
  if (below === null || !invoker) return NOTHING;
  const button = element(
    'button',
    { class: out.classes('opener'), ...out.attributes, ...invoker, 'aria-label': part.label },
    part.icon === null ? out.icon('bars') : out.glyph(out.class('opener-icon'), part.icon),
  );
  return fragment([button], rules(part, below, out), ['panel']);
}

export const OPENER: PartKind<'opener', typeof OPENER_SHAPE> = {
  id: 'opener',
  label: 'Opener',
  hint: 'the control that opens a panel',
  shape: OPENER_SHAPE,
  slots: {
    opener: {
      label: 'Opener',
      levels: [],
      states: BUTTON_STATES,
      text: 'icon',
      properties: ICON_CONTROL_PROPERTIES,
      defaults: { colour: { role: 'ink' }, size: 24, paddingInline: 10, paddingBlock: 10 },
    },
    'opener-icon': {
      label: 'Opener’s drawing',
      levels: [],
      states: BUTTON_STATES,
      text: 'none',
      inside: 'opener',
      properties: LONE_ICON_PROPERTIES,
      defaults: {},
    },
  },
  hasSlot: (part, slot) => slot !== 'opener-icon' || part.icon !== null,
  create: ({ panels }) => ({ panel: panels[0] ?? '', shows: 'always' }),
  refused: ({ panels }) => (panels.length === 0 ? 'the site has no panel to open' : null),
  shownBelow: (part, needed) => (part.shows === 'always' ? Infinity : needed(part.panel)),
  compile,
  extent: (_part, at) => {
    const own = at.slot('opener');
    return exact(own.size + 2 * own.pixels('paddingInline') + own.around());
  },
  texts: () => [],
  drawn: (part) => (part.icon === null ? [] : [part.icon]),
};
