import type { MenuItem } from '../../../model/menu-item.ts';
import { shownItems } from '../../content.ts';
import { exact, LEAST_TARGET, sumExtents, type Extent, type PartExtents } from '../../extent.ts';
import { hasOwnTarget, ICON_SPACE } from './item.ts';
import type { MenuPart } from './shape.ts';

/** The slot a link is drawn as. */
function slotOf(item: MenuItem): 'link' | 'action' | 'heading' {
  if (item.role === 'action') return 'action';
  return item.role === 'heading' && item.children.length === 0 ? 'heading' : 'link';
}

/** Icon and picture beside the label, with the space behind each. */
function besideLabel(item: MenuItem, slot: string, at: PartExtents): number {
  const shown = [
    ...(item.icon === undefined ? [] : [at.slot('glyph', 1).size]),
    ...(item.image === undefined ? [] : [at.slot('picture', 1).pixels('width')]),
  ];
  const pieces = shown.length + (item.labelHidden ? 0 : 1);
  const spaces = item.labelHidden ? Math.max(0, shown.length - 1) : shown.length;
  // A flex row sets its gap between icon, picture and label.
  const gaps = Math.max(0, pieces - 1) * at.slot(slot, 1).pixels('gap');
  return shown.reduce((sum, width) => sum + width, 0) + spaces * ICON_SPACE + gaps;
}

/** A link's label with what stands beside and beneath it. */
function itemExtent(item: MenuItem, at: PartExtents): Extent {
  if (item.role === 'divider') return exact(1);
  const slot = slotOf(item);
  const padding = 2 * at.slot(slot, 1).pixels('paddingInline');
  const label = item.labelHidden ? exact(padding) : at.label(item.label, slot, 1);
  const description =
    item.description === undefined || item.labelHidden
      ? exact(0)
      : sumExtents([at.label(item.description, 'description', 1), exact(padding)], 0);
  const wider = description.width > label.width ? description : label;
  return {
    width: wider.width + besideLabel(item, slot, at),
    certain: label.certain && description.certain,
    unmeasured: [...label.unmeasured, ...description.unmeasured],
  };
}

/** How much wider the widest-growing link gets as the current page: a bolder current link must still fit. */
function currentGrowth(items: readonly MenuItem[], at: PartExtents): number {
  const growth = items
    .filter((item) => item.role === undefined && !item.labelHidden)
    .map(({ label }) => at.label(label, 'link', 1, ['current']).width - at.label(label, 'link', 1).width);
  return Math.max(0, ...growth);
}

/** The width of a placement's row of links. */
export function menuExtent(part: MenuPart, at: PartExtents): Extent {
  const marker = Math.max(LEAST_TARGET, at.slot('marker', 1).size);
  const items = shownItems(at.site, part).filter((item) => item.bands?.includes(at.band) !== false);
  const extents = items.map((item): Extent => {
    const extent = itemExtent(item, at);
    if (item.children.length === 0 || part.levels === 1 || item.role === 'divider') return extent;
    // A parent without a target carries its marker inside, behind the link's own gap.
    return sumExtents([extent, exact(marker)], hasOwnTarget(item) ? 0 : at.slot('link', 1).pixels('gap'));
  });
  const list = at.slot('list');
  const separators = list.line('separator') * Math.max(0, items.length - 1);
  const around = 2 * list.pixels('paddingInline') + list.around();
  return sumExtents(
    [sumExtents(extents, list.pixels('gap')), exact(currentGrowth(items, at) + separators + around)],
    0,
  );
}
