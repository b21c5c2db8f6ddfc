import { formatColour, parseColour } from '../../../colour/colour.ts';
import { contrastRatio } from '../../../colour/contrast.ts';
import {
  element,
  listElement,
  styleRule,
  type ConditionalRule,
  type Declaration,
} from '../../../print/trees.ts';
import { MOST_ENTRIES } from '../../../model/limits.ts';
import type { Infer } from '../../../model/shape/field.ts';
import { address, choice, colourOrNone, id, list, reference, text } from '../../../model/shape/fields.ts';
import {
  BOX_STATES,
  BUTTON_STATES,
  ICON_CONTROL_PROPERTIES,
  LONE_ICON_PROPERTIES,
} from '../../../model/slot.ts';
import { exact, sumExtents } from '../../extent.ts';
import type { PartKind, PartOf } from '../../kind.ts';
import { CLICKABLE, drawnAsType, fragment, type Fragment, type PartOut } from '../../out.ts';

const LINK_SHAPE = {
  id: id(),
  url: address({ label: 'address', initial: 'https://' }),
  name: text({
    label: 'name',
    needed: true,
    hint: 'what assistive technology reads, such as “Our pictures on Heronet”',
    initial: 'Our profile',
  }),
  icon: reference('icon', { label: 'icon' }),
  colour: colourOrNone({ label: 'colour', hint: 'the network’s own colour, where it is known' }),
} as const;

/** One profile elsewhere, shown as a mark. */
export type SocialLink = Infer<typeof LINK_SHAPE>;

const SOCIAL_SHAPE = {
  colours: choice(
    { look: 'of the look', network: 'each its network’s', 'network-ground': 'on its network’s colour' },
    { label: 'colours', hint: 'where the colours of the marks come from' },
  ),
  name: text({ label: 'name', needed: true, hint: 'accessible name of the list', initial: 'Elsewhere' }),
  links: list(LINK_SHAPE, { label: 'links', one: 'social link', max: MOST_ENTRIES }),
} as const;

export type Social = PartOf<'social', typeof SOCIAL_SHAPE>;

const WHITE = { r: 1, g: 1, b: 1, a: 1 };
const BLACK = { r: 0, g: 0, b: 0, a: 1 };

/** A network's colour, and black or white upon it, as custom properties that the look's colours fall back from. */
function networkColours(out: PartOut, { colour }: SocialLink): Declaration[] {
  const parsed = colour === null ? null : parseColour(colour);
  if (!parsed) return [];
  const on = contrastRatio(WHITE, parsed) >= contrastRatio(BLACK, parsed) ? WHITE : BLACK;
  return [
    [out.variable('network'), formatColour(parsed)],
    [out.variable('on-network'), formatColour(on)],
  ];
}

function rules(part: Social, out: PartOut): ConditionalRule[] {
  const networks =
    part.colours === 'look'
      ? []
      : part.links.flatMap((link, index) => {
          const colours = networkColours(out, link);
          return colours.length > 0
            ? [styleRule(out.at('social', `>:nth-child(${index + 1})`), colours)]
            : [];
        });
  return [
    styleRule(out.at('social'), [
      ['display', 'flex'],
      ['flex-wrap', 'wrap'],
      ['align-items', 'center'],
    ]),
    ...(part.links.length > 0
      ? [
          styleRule(out.at('profile'), [['display', 'block'], CLICKABLE]),
          ...drawnAsType(out.at('profile-icon')),
        ]
      : []),
    ...networks,
  ];
}

/** Profiles elsewhere as a list of named icons. */
function compile(part: Social, out: PartOut): Fragment {
  const marks = part.links.map((link) =>
    element(
      'li',
      {},
      element(
        'a',
        { class: out.class('profile'), href: link.url, 'aria-label': link.name },
        out.glyph(out.class('profile-icon'), link.icon),
      ),
    ),
  );
  const list = listElement(
    { class: out.classes('social'), ...out.attributes, 'aria-label': part.name },
    ...marks,
  );
  return fragment([list], rules(part, out));
}

/** The custom property of a network's colour that goes before the look's at rest; null where the look decides. */
export function networkVariable(part: Social, slot: string, property: string): string | null {
  if (slot !== 'profile' || part.colours === 'look') return null;
  if (property === 'colour') return part.colours === 'network' ? 'network' : 'on-network';
  return property === 'fill' && part.colours === 'network-ground' ? 'network' : null;
}

export const SOCIAL: PartKind<'social', typeof SOCIAL_SHAPE> = {
  id: 'social',
  alsoCalled: 'networks profiles icons follow',
  label: 'Social links',
  hint: 'profiles elsewhere, shown as marks',
  shape: SOCIAL_SHAPE,
  slots: {
    social: {
      label: 'Row of marks',
      levels: [],
      states: BOX_STATES,
      text: 'none',
      properties: ['gap', 'marginInline', 'marginBlock'],
      defaults: { gap: 4 },
    },
    profile: {
      label: 'Social mark',
      levels: [],
      states: BUTTON_STATES,
      text: 'icon',
      properties: ICON_CONTROL_PROPERTIES,
      defaults: { colour: { role: 'ink' }, size: 20, paddingInline: 6, paddingBlock: 6 },
    },
    'profile-icon': {
      label: 'Social mark’s drawing',
      levels: [],
      states: BUTTON_STATES,
      text: 'none',
      inside: 'profile',
      properties: LONE_ICON_PROPERTIES,
      defaults: {},
    },
  },
  hasSlot: (part, slot) => slot !== 'profile-icon' || part.links.length > 0,
  variable: networkVariable,
  compile,
  extent: (part, at) => {
    const mark = at.slot('profile');
    const one = exact(mark.size + 2 * mark.pixels('paddingInline') + mark.around());
    const row = at.slot('social');
    const marks = sumExtents(
      part.links.map(() => one),
      row.pixels('gap'),
    );
    return sumExtents([marks, exact(row.around())], 0);
  },
  texts: () => [],
  drawn: (part) => part.links.map((link) => link.icon),
};
