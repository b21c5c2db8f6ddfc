import type { MenuItem } from '../../../model/menu-item.ts';
import type { State } from '../../../model/states.ts';
import { shownItems } from '../../content.ts';
import {
  exact,
  LEAST_TARGET,
  sumExtents,
  type Extent,
  type PartExtents,
  type SlotReader,
} from '../../extent.ts';
import { withIconExtent } from '../../with-icon.ts';
import { hasOwnTarget, PICTURE_SPACE } from './item.ts';
import type { MenuForm } from '../../properties/placement.ts';
import { LEAST_COLUMN, LEAST_ROOM } from './forms.ts';
import { halfOf, type MenuPart } from './shape.ts';

/** What a sign takes of a row, in px: as much as its type is large, and never less than a target. */
const signExtent = (sign: SlotReader): Extent =>
  exact(Math.max(LEAST_TARGET, sign.size) + 2 * sign.pixels('marginInline'));

/** The slot a link is drawn as; a heading that opens something is drawn as a link. */
function slotOf(item: MenuItem, opens: boolean): 'link' | 'action' | 'heading' {
  if (item.role === 'action') return 'action';
  return item.role === 'heading' && !opens ? 'heading' : 'link';
}

const pictureExtent = (picture: SlotReader): Extent => ({
  ...exact(picture.pixels('width')),
  certain: !picture.isShare('width'),
});

/** A link's label with its description beneath. */
function labelExtent(item: MenuItem, slot: string, at: PartExtents, states: readonly State[]): Extent {
  const label = at.words(item.label, slot, 1, states);
  if (item.description === undefined) return label;
  const description = at.words(item.description, 'description', 1, [], slot);
  return {
    ...sumExtents([label, description], 0),
    width: Math.max(label.width, description.width),
  };
}

/** What a link shows: picture, icon and label. */
function content(item: MenuItem, slot: string, at: PartExtents, states: readonly State[]): Extent[] {
  const label = item.labelHidden ? null : labelExtent(item, slot, at, states);
  const labelled = item.icon === undefined ? label : withIconExtent(at, 'glyph', 1, label);
  if (item.image === undefined) return labelled === null ? [] : [labelled];
  const picture = pictureExtent(at.slot('picture', 1));
  return labelled === null ? [picture] : [sumExtents([picture], 0, PICTURE_SPACE), labelled];
}

/** A link with the sign that it has more. */
function itemExtent(part: MenuPart, item: MenuItem, all: PartExtents, states: readonly State[] = []): Extent {
  const at = all.of(item.id);
  if (item.role === 'divider') return exact(1);
  const opens = item.children.length > 0 && part.levels !== 1;
  const slot = slotOf(item, opens);
  const shown = content(item, slot, at, states);
  if (!opens) return at.control(shown, slot, 1);
  const opening = at.slot('submenu', 2).word('opens');
  // What stands open is as wide as its links, which lie beneath one another.
  if (opening === 'always open') return { ...at.control(shown, slot, 1), certain: false };
  if (opening === 'not at all') return at.control(shown, slot, 1);
  const sign = signExtent(at.slot('marker', 1));
  // The sign stands in the parent's own box, behind its gap.
  return at.control([...shown, sign], slot, 1);
}

/** How much wider the widest-growing link gets as the current page: a bolder current link must still fit. */
function currentGrowth(
  part: MenuPart,
  items: readonly MenuItem[],
  atRest: readonly Extent[],
  at: PartExtents,
): number {
  const growth = items.map((item, index) =>
    item.role === undefined && !item.labelHidden && hasOwnTarget(item)
      ? itemExtent(part, item, at, ['current']).width - (atRest[index]?.width ?? 0)
      : 0,
  );
  return Math.max(0, ...growth);
}

/** The width of a placement's row of links, or of one half of it. */
export function menuExtent(part: MenuPart, at: PartExtents): Extent {
  const all = shownItems(at.site, part);
  const items = (at.half === null ? all : halfOf(all, at.half)).filter(
    (item) => item.bands?.includes(at.band) !== false,
  );
  const list = at.slot('list');
  switch (list.word('menuForm') as MenuForm) {
    case 'at the bottom':
      return exact(0);
    case 'in a strip':
    case 'the rest under “more”':
      // What there is no room for scrolls, or leaves the row. Two halves share it.
      return exact(at.half === null ? LEAST_ROOM : LEAST_ROOM / 2);
    case 'in columns':
      return exact(LEAST_COLUMN);
    case 'beneath one another': {
      const widths = items.map((item) => itemExtent(part, item, at));
      const widest = Math.max(0, ...widths.map(({ width }) => width));
      return { ...sumExtents(widths, 0), width: widest + 2 * list.pixels('paddingInline') + list.around() };
    }
    case 'in a row':
  }
  const separators = list.line('separator') * Math.max(0, items.length - 1);
  const around = 2 * list.pixels('paddingInline') + list.around();
  const extents = items.map((item) => itemExtent(part, item, at));
  const more = currentGrowth(part, items, extents, at) + separators + around;
  return sumExtents(extents, list.pixels('gap'), more);
}
