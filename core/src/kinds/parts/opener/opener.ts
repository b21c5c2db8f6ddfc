import { element, styleRule, text as textNode, type ConditionalRule } from '../../../print/trees.ts';
import { choice, reference, text } from '../../../model/shape/fields.ts';
import { ICON_CONTROL_PROPERTIES, LONE_ICON_PROPERTIES } from '../../../model/slot.ts';
import type { State } from '../../../model/states.ts';
import { labelSlot } from '../../controls/labelled.ts';
import { openerDrawing, turnRules } from '../../controls/opener-drawings.ts';
import { hasDrawing, hasLabel, openerFields } from '../../controls/opener-fields.ts';
import { exact, sumExtents, type Extent, type PartExtents } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import {
  CLICKABLE,
  drawnAsType,
  fragment,
  IN_LINE,
  NOTHING,
  NO_SCRIPT,
  PRINT,
  ruled,
  type Fragment,
  type PartOut,
} from '../../out.ts';
import { FIXED_PLACES, type FixedPlace } from '../../properties/placement.ts';

const OPENER_SHAPE = {
  label: text({
    label: 'name',
    needed: true,
    hint: 'what it is called where it is read out, and its label where that is shown',
    initial: 'Menu',
  }),
  ...openerFields('its panel is', 'lines', 'none'),
  panel: reference('panel', { label: 'opens' }),
  shows: choice(
    { needed: 'where something folds into the panel', always: 'always' },
    { label: 'shows', hint: 'where it is shown: it can be narrowed further to bands' },
  ),
} as const;

/** The control that opens a panel. */
export type Opener = PartOf<'opener', typeof OPENER_SHAPE>;

/** Where it stands fixed on the page: away from what the device's own edges cover. */
function fixedRules(out: PartOut): ConditionalRule[] {
  return out.said<FixedPlace>('opener', null, 'fixedAt').flatMap(({ value, conditions }) => {
    const insets = FIXED_PLACES[value];
    return insets === null
      ? []
      : ruled([[out.at('opener'), [['position', 'fixed'], ['z-index', '90'], ...insets]]], conditions);
  });
}

function rules(part: Opener, below: number, out: PartOut): ConditionalRule[] {
  const opener = out.at('opener');
  const hidden = [['display', 'none']] as const;
  const drawing = out.at('opener-drawing');
  const open = out.opened(part.panel);
  return [
    styleRule(opener, [...(hasLabel(part) ? IN_LINE : []), CLICKABLE]),
    ...(part.icon === null
      ? open === null
        ? []
        : turnRules(part.drawing, part.turns, { drawing, turned: `${open} ${drawing}` })
      : drawnAsType(out.at('opener-icon'))),
    ...fixedRules(out),
    ...(below === Infinity ? [] : [styleRule(opener, hidden, `@media (width >= ${below}px)`)]),
    // Without scripts nothing folds, and panels stand open in the page.
    styleRule(opener, hidden, NO_SCRIPT),
    styleRule(opener, hidden, PRINT),
  ];
}

function drawn(part: Opener, out: PartOut) {
  if (part.icon !== null) return out.glyph(out.class('opener-icon'), part.icon);
  const turns = part.turns !== 'none';
  const own = turns ? `${out.name('icon')} ${out.class('opener-drawing')}` : out.name('icon');
  return openerDrawing(own, part.drawing, part.turns);
}

/** The button opens its panel by the browser's own invokers; the script helps browsers without. */
function compile(part: Opener, out: PartOut): Fragment {
  const below = part.shows === 'always' ? Infinity : out.neededBelow(part.panel);
  const invoker = out.invoker(part.panel);
  if (below === null || !invoker) return NOTHING;
  const button = element(
    'button',
    {
      class: out.classes('opener'),
      ...out.attributes,
      ...invoker,
      'aria-label': hasLabel(part) ? null : part.label,
    },
    drawn(part, out),
    hasLabel(part) ? element('span', { class: out.class('opener-label') }, textNode(part.label)) : null,
  );
  return fragment([button], rules(part, below, out), ['panel']);
}

/** Fixed on the page it takes no room in its row. */
function extent(part: Opener, at: PartExtents): Extent | null {
  const own = at.slot('opener');
  if (own.word('fixedAt') !== 'in its row') return null;
  const content = [
    ...(hasDrawing(part) ? [exact(own.size)] : []),
    ...(hasLabel(part) ? [at.words(part.label, 'opener-label')] : []),
  ];
  const inside = sumExtents(content, own.pixels('gap'));
  return { ...inside, width: inside.width + 2 * own.pixels('paddingInline') + own.around() };
}

const OPENER_STATES: readonly State[] = ['rest', 'scrolled', 'open', 'hover', 'focus', 'pressed'];

const isFixed = (part: Opener): boolean =>
  Object.values(part.look['opener']?.all?.rest ?? {}).some(
    ({ fixedAt }) => fixedAt !== undefined && fixedAt !== 'in its row',
  );

export const OPENER: PartKind<'opener', typeof OPENER_SHAPE> = {
  id: 'opener',
  alsoCalled: 'hamburger burger toggle mobile menu',
  navigates: true,
  label: 'Opener',
  hint: 'the control that opens a panel',
  shape: OPENER_SHAPE,
  slots: {
    opener: {
      label: 'Opener',
      levels: [],
      states: OPENER_STATES,
      text: 'icon',
      opens: true,
      properties: ['fixedAt', ...ICON_CONTROL_PROPERTIES, 'gap'],
      defaults: { colour: { role: 'ink' }, size: 24, paddingInline: 10, paddingBlock: 10, gap: 8 },
    },
    'opener-label': { ...labelSlot('Opener’s label', 'opener', OPENER_STATES), opens: true },
    'opener-icon': {
      label: 'Opener’s drawing',
      levels: [],
      states: OPENER_STATES,
      text: 'none',
      inside: 'opener',
      opens: true,
      properties: LONE_ICON_PROPERTIES,
      defaults: {},
    },
  },
  hasSlot: (part, slot) => {
    switch (slot) {
      case 'opener-icon':
        return part.icon !== null;
      case 'opener-label':
        return hasLabel(part);
      default:
        return true;
    }
  },
  create: ({ panels }) => ({ panel: panels[0] ?? '', shows: 'always' }),
  refused: ({ panels }) => (panels.length === 0 ? 'the site has no panel to open' : null),
  shownBelow: (part, needed) => (part.shows === 'always' ? Infinity : needed(part.panel)),
  behind: (part) => ({ boxes: [], overPage: isFixed(part) }),
  known: (part) => part.label,
  compile,
  extent,
  texts: (part) => (hasLabel(part) ? [part.label] : []),
  drawn: (part) => (part.icon === null ? [] : [part.icon]),
};
