import { element, shared, styleRule, type ConditionalRule, type HtmlNode } from '../print/trees.ts';
import type { Level } from '../model/states.ts';
import { exact, sumExtents, type Extent, type PartExtents } from './extent.ts';
import { drawnAsType, type PartOut } from './out.ts';
import { ICON_PROPERTIES } from './properties/icon.ts';
import { boxAround } from './label-box.ts';

/*
 * An icon with its label: one element around both, so that where the icon stands, how far and how it lines up are said once
 * for them. Without a label in sight the icon stands alone.
 */

type Shows = keyof typeof ICON_PROPERTIES.iconShows.choices;

/** An icon and its label; either may be missing. */
export function withIcon(
  out: PartOut,
  slot: string,
  icon: HtmlNode | null,
  label: HtmlNode | null,
): HtmlNode | null {
  if (icon === null || label === null) return icon ?? label;
  const words = label.node === 'element' || !out.says(slot, 'iconShows') ? label : element('span', {}, label);
  return element('span', { class: out.class(boxAround(slot)) }, icon, words);
}

/** Takes something out of sight that is still read out. */
export const UNSEEN = [
  ['position', 'absolute'],
  ['inline-size', '1px'],
  ['block-size', '1px'],
  ['overflow', 'hidden'],
  ['clip-path', 'inset(50%)'],
  ['white-space', 'nowrap'],
] as const;

/** How the icons of a slot stand in their part. */
interface IconUse {
  /** The levels of the menu they stand at. */
  readonly levels?: readonly (Level | null)[];
  /** What lies between an icon and its label where no look says another, in px. */
  readonly gap?: number;
  /** Whether any of them has a label in sight. */
  readonly isLabelled?: boolean;
}

/** What arranges icons and their labels. */
export function iconRules(
  out: PartOut,
  slot: string,
  { levels = [null], gap = ICON_PROPERTIES.iconGap.initial, isLabelled = true }: IconUse = {},
): ConditionalRule[] {
  const isBoxed = BOXED.some((id) => out.says(slot, id));
  return [
    ...drawnAsType(out.at(slot)),
    // Padding and lines of an icon are around the drawing, not in its room.
    ...(isBoxed ? [styleRule(out.at(slot), [['box-sizing', 'content-box']])] : []),
    ...(isLabelled
      ? [
          ...shared('A drawing with its label', [
            styleRule(out.at(boxAround(slot)), [
              ['display', 'flex'],
              ['align-items', 'center'],
            ]),
          ]),
          styleRule(out.at(boxAround(slot)), [['gap', `${gap}px`]]),
          ...(out.says(slot, 'iconShows') ? levels.flatMap((level) => shownRules(out, slot, level)) : []),
        ]
      : []),
  ];
}

const BOXED = ['paddingInline', 'paddingBlock', 'lineTop', 'lineBottom', 'lineStart', 'lineEnd'] as const;

/** Which of the two is in sight. */
function shownRules(out: PartOut, slot: string, level: Level | null): ConditionalRule[] {
  const own = level === null ? `.${out.class(slot)}` : out.ofLevel(slot, level);
  const under = (rest: string) => out.within(`.${out.class(boxAround(slot))}>${rest}`);
  return out.said<Shows>(slot, level, 'iconShows').flatMap(({ value, conditions }) => {
    if (value === 'not at all') return [styleRule(under(own), [['display', 'none']], ...conditions)];
    return value === 'instead of it' ? [styleRule(under(`${own}+*`), UNSEEN, ...conditions)] : [];
  });
}

/** The width of an icon with its own box. */
function iconExtent(at: PartExtents, slot: string, level: Level | null): Extent {
  const own = at.slot(slot, level);
  return exact(own.size + 2 * own.pixels('paddingInline') + own.lines());
}

/** The width of an icon and its label; null where no label is in sight. */
export function withIconExtent(
  at: PartExtents,
  slot: string,
  level: Level | null,
  label: Extent | null,
): Extent {
  const own = at.slot(slot, level);
  const icon = iconExtent(at, slot, level);
  if (label === null) return icon;
  switch (own.word('iconShows')) {
    case 'not at all':
      return label;
    case 'instead of it':
      return icon;
  }
  const isBeside = ['before', 'behind'].includes(own.word('iconPlace'));
  if (isBeside) return sumExtents([icon, label], own.pixels('iconGap'));
  return { ...sumExtents([icon, label], 0), width: Math.max(icon.width, label.width) };
}
