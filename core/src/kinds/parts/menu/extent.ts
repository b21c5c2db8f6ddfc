import type { MenuItem } from '../../../model/menu-item.ts';
import type { State } from '../../../model/states.ts';
import { shownItems } from '../../content.ts';
import {
  drawnLine,
  exact,
  LEAST_TARGET,
  sumExtents,
  type Extent,
  type PartExtents,
  type SlotReader,
} from '../../extent.ts';
import { hasOwnTarget, ICON_SPACE } from './item.ts';
import { halfOf, type MenuPart } from './shape.ts';

/** The sign that says there is more, in shares of its type's size: its side, and the line along it. */
const SIGN = { side: 0.5, line: 0.15 } as const;

/** What a sign takes of a row, in px. */
function signExtent(size: number): Extent {
  return exact(Math.max(LEAST_TARGET, size * SIGN.side + drawnLine(size * SIGN.line)));
}

/** The slot a link is drawn as; a heading that opens something is drawn as a link. */
function slotOf(item: MenuItem, opens: boolean): 'link' | 'action' | 'heading' {
  if (item.role === 'action') return 'action';
  return item.role === 'heading' && !opens ? 'heading' : 'link';
}

const pictureExtent = (picture: SlotReader): Extent => ({
  ...exact(picture.pixels('width')),
  certain: !picture.isShare('width'),
});

/** What a link shows: icon, picture, label with its description beneath. */
function content(item: MenuItem, slot: string, at: PartExtents, states: readonly State[]): Extent[] {
  const beside = [
    ...(item.icon === undefined ? [] : [exact(at.slot('glyph', 1).size)]),
    ...(item.image === undefined ? [] : [pictureExtent(at.slot('picture', 1))]),
  ];
  if (item.labelHidden)
    return beside.map((one, index) => (index < beside.length - 1 ? sumExtents([one], 0, ICON_SPACE) : one));
  const label = at.words(item.label, slot, 1, states);
  const description =
    item.description === undefined ? null : at.words(item.description, 'description', 1, [], slot);
  const words =
    description === null
      ? label
      : { ...sumExtents([label, description], 0), width: Math.max(label.width, description.width) };
  return [...beside.map((one) => sumExtents([one], 0, ICON_SPACE)), words];
}

/** A link with the sign that it has more. */
function itemExtent(part: MenuPart, item: MenuItem, at: PartExtents, states: readonly State[] = []): Extent {
  if (item.role === 'divider') return exact(1);
  const opens = item.children.length > 0 && part.levels !== 1;
  const slot = slotOf(item, opens);
  const shown = content(item, slot, at, states);
  if (!opens) return at.control(shown, slot, 1);
  const sign = signExtent(at.slot('marker', 1).size);
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
  const separators = list.line('separator') * Math.max(0, items.length - 1);
  const around = 2 * list.pixels('paddingInline') + list.around();
  const extents = items.map((item) => itemExtent(part, item, at));
  const more = currentGrowth(part, items, extents, at) + separators + around;
  return sumExtents(extents, list.pixels('gap'), more);
}
