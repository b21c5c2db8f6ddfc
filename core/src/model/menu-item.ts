import { TOKENS } from '../values/url.ts';
import { OWN_ATTRIBUTES } from './own-attributes.ts';
import type { Infer } from './shape/field.ts';
import { bands, choice, id, itemPicture, items, literal, optional, reference, text } from './shape/fields.ts';
import { target } from './target.ts';

/** What a link is besides an ordinary one: a call to action, a heading over others, a line between them. */
export const ITEM_ROLES = ['action', 'heading', 'divider'] as const;
export type ItemRole = (typeof ITEM_ROLES)[number];

/** What a link may have besides label, target and children, in the order it is shown. */
const MORE_FIELDS = {
  role: optional(
    choice(
      { action: 'call to action', heading: 'heading', divider: 'divider' },
      { hint: 'absent for an ordinary link' },
    ),
  ),
  description: optional(text({ min: 1, hint: 'a line beneath the label' })),
  icon: optional(reference('icon', { hint: 'one of the site’s icons' })),
  image: optional(itemPicture({ hint: 'address of a picture, or a small one as data' })),
  imageText: optional(
    text({ min: 1, hint: 'what the picture shows; without it the picture only decorates' }),
  ),
  name: optional(text({ min: 1, hint: 'accessible name where it differs from the label' })),
  /** Whether only icon or picture are seen; the name stays for assistive technology. */
  labelHidden: optional(literal(true)),
  title: optional(text({ min: 1, hint: 'tooltip' })),
  newTab: optional(literal(true)),
  rel: optional(
    text({
      pattern: { test: TOKENS, allowed: 'words such as nofollow, separated by single spaces' },
      hint: 'further rel tokens, separated by spaces',
    }),
  ),
  ...OWN_ATTRIBUTES,
  bands: bands({ hint: 'the bands it is shown in; absent for all' }),
} as const;

const OWN_FIELDS = { id: id(), label: text(), target: target(), ...MORE_FIELDS } as const;

/** A link of a menu. Only label and target are always there; everything else is given where it is wanted. */
export interface MenuItem extends Infer<typeof OWN_FIELDS> {
  readonly children: readonly MenuItem[];
}

export const ITEM_SHAPE = { ...OWN_FIELDS, children: items<MenuItem>() } as const;

export type ItemFields = Infer<typeof MORE_FIELDS>;
export type ItemField = keyof ItemFields;
export const ITEM_FIELDS = Object.keys(MORE_FIELDS) as ItemField[];
