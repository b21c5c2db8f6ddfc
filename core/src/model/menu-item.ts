import type { Target } from './target.ts';

/** What a link is besides an ordinary one: a call to action, a heading over others, a line between them. */
export const ITEM_ROLES = ['action', 'heading', 'divider'] as const;
export type ItemRole = (typeof ITEM_ROLES)[number];

/** A link of a menu. Only label and target are always there; everything else is given where it is wanted. */
export interface MenuItem {
  readonly id: string;
  readonly label: string;
  readonly target: Target;
  readonly children: readonly MenuItem[];
  /** Absent for an ordinary link. */
  readonly role?: ItemRole;
  /** A line beneath the label. */
  readonly description?: string;
  /** Id of one of the site's icons. */
  readonly icon?: string;
  /** Address of a picture, or a small one as data. */
  readonly image?: string;
  /** What the picture shows; without it the picture only decorates. */
  readonly imageText?: string;
  /** Accessible name where it differs from the label. */
  readonly name?: string;
  /** Whether only icon or picture are seen; the name stays for assistive technology. */
  readonly labelHidden?: true;
  /** Tooltip. */
  readonly title?: string;
  readonly newTab?: true;
  /** Further `rel` tokens, separated by spaces. */
  readonly rel?: string;
  /** Classes of the designer's own on the link, separated by spaces. */
  readonly className?: string;
  /** Ids of the bands it is shown in; absent for all. */
  readonly bands?: readonly string[];
}

/** What a link may have besides label, target and children, in the order it is shown. */
export type ItemFields = Omit<MenuItem, 'id' | 'label' | 'target' | 'children'>;
export type ItemField = keyof ItemFields;
