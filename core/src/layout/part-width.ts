import type { MenuPart } from '../document/parts/menu.ts';
import type { Part } from '../document/part.ts';
import type { PropertyId } from '../document/properties.ts';
import type { Site } from '../document/site.ts';
import type { Level, State } from '../document/states.ts';
import { toPixels } from '../document/values.ts';
import type { MenuItem } from '../document/menu-item.ts';
import { shownItems } from '../document/walk.ts';
import { resolve } from '../resolve/resolve.ts';
import type { Measurer } from '../text/measure.ts';

/** A width in px. `certain` is false where a label could not be measured and was estimated; `unmeasured` names those. */
export interface Extent {
  readonly width: number;
  readonly certain: boolean;
  readonly unmeasured: readonly string[];
}

/** Reads numbers of one slot in one band, in px. */
function slotReader(site: Site, owner: string, slot: string, band: number, level: Level | null, states: readonly State[] = []) {
  const value = (property: PropertyId) => resolve(site, { owner, slot, property, level, states, band })?.value;
  const size = ((found) => (typeof found === 'number' || typeof found === 'string' ? toPixels(found, 16) : 16))(value('size'));
  return {
    size,
    pixels: (property: PropertyId) => {
      const found = value(property);
      return typeof found === 'number' || typeof found === 'string' ? toPixels(found, size) : 0;
    },
    text: () => ({ family: ((family) => (typeof family === 'string' ? family : 'system'))(value('family')), weight: Number(value('weight') ?? 400) }),
  };
}

export type SlotReader = ReturnType<typeof slotReader>;

/** How much wider the widest-growing link gets as the current page: a bolder current link must still fit. */
function currentGrowth(labels: readonly string[], rest: SlotReader, current: SlotReader, measure: Measurer): number {
  const growth = labels.map((label) => labelExtent(label, current, measure).width - labelExtent(label, rest, measure).width);
  return Math.max(0, ...growth);
}

function labelExtent(label: string, reader: SlotReader, measure: Measurer): Extent {
  const style = { ...reader.text(), size: reader.size, tracking: reader.pixels('tracking') };
  const { width, certain } = measure(label, style);
  return { width: width + 2 * reader.pixels('paddingInline'), certain, unmeasured: certain ? [] : [label] };
}

const exact = (width: number): Extent => ({ width, certain: true, unmeasured: [] });

/** Extents side by side with a gap between. */
export function sumExtents(extents: readonly Extent[], gap: number): Extent {
  return {
    width: extents.reduce((sum, extent) => sum + extent.width, 0) + gap * Math.max(0, extents.length - 1),
    certain: extents.every((extent) => extent.certain),
    unmeasured: extents.flatMap((extent) => extent.unmeasured),
  };
}

/** The least side of a control that is only an icon, in px (WCAG 2.2, success criterion 2.5.8). */
export const LEAST_TARGET = 24;

/** Space between a link's icon or picture and its label, in px. */
export const ICON_SPACE = 8;

/** Whether a parent has somewhere to lead besides opening what is nested in it. */
export const hasOwnTarget = (item: MenuItem) => item.target.kind !== 'none' && item.role !== 'heading';

/** A link's label with what stands beside and beneath it. */
function itemExtent(site: Site, part: MenuPart, band: number, item: MenuItem, measure: Measurer, states: readonly State[] = []): Extent {
  const reader = (slot: string) => slotReader(site, part.id, slot, band, 1, states);
  if (item.role === 'divider') return exact(1);
  const slot = item.role === 'action' || (item.role === 'heading' && item.children.length === 0) ? item.role : 'link';
  const label = item.labelHidden ? exact(2 * reader(slot).pixels('paddingInline')) : labelExtent(item.label, reader(slot), measure);
  const padding = 2 * reader(slot).pixels('paddingInline');
  const description = item.description === undefined || item.labelHidden ? exact(0) : sumExtents([labelExtent(item.description, reader('description'), measure), exact(padding)], 0);
  const wider = description.width > label.width ? description : label;
  // A flex row sets its gap between icon, picture and label.
  const shown = [
    ...(item.icon === undefined ? [] : [reader('glyph').size]), ...(item.image === undefined ? [] : [reader('picture').pixels('width')]),
  ];
  const pieces = shown.length + (item.labelHidden ? 0 : 1);
  const spaces = item.labelHidden ? Math.max(0, shown.length - 1) : shown.length;
  const beside = shown.reduce((sum, width) => sum + width, 0) + spaces * ICON_SPACE + Math.max(0, pieces - 1) * reader(slot).pixels('gap');
  return { ...sumExtents([wider, exact(beside)], 0), certain: label.certain && description.certain, unmeasured: [...label.unmeasured, ...description.unmeasured] };
}

function menuExtent(site: Site, part: MenuPart, band: number, measure: Measurer): Extent {
  const link = slotReader(site, part.id, 'link', band, 1);
  const marker = Math.max(LEAST_TARGET, slotReader(site, part.id, 'marker', band, 1).size);
  const gap = slotReader(site, part.id, 'list', band, null).pixels('gap');
  const bandId = site.bands[band]?.id ?? '';
  const shown = shownItems(site, part).filter((item) => item.bands?.includes(bandId) !== false);
  const items = shown.map((item): Extent => {
    const extent = itemExtent(site, part, band, item, measure);
    if (item.children.length === 0 || part.levels === 1 || item.role === 'divider') return extent;
    // A parent without a target carries its marker inside, behind the link's own gap.
    return sumExtents([extent, exact(marker)], hasOwnTarget(item) ? 0 : link.pixels('gap'));
  });
  const plain = shown.filter((item) => item.role === undefined && !item.labelHidden).map((item) => item.label);
  const growth = currentGrowth(plain, link, slotReader(site, part.id, 'link', band, 1, ['current']), measure);
  return sumExtents([sumExtents(items, gap), exact(growth)], 0);
}

/** What a logo's drawing is wide at its height, read from its view box; null where it has none. */
export function svgRatio(svg: string): number | null {
  const box = /viewBox\s*=\s*["']\s*[-\d.e]+[\s,]+[-\d.e]+[\s,]+([\d.e]+)[\s,]+([\d.e]+)/i.exec(svg);
  const ratio = Number(box?.[1]) / Number(box?.[2]);
  return Number.isFinite(ratio) && ratio > 0 ? ratio : null;
}

/** The width a part takes in a row, unfolded, in px. */
export function partExtent(site: Site, part: Part, band: number, measure: Measurer): Extent {
  const reader = slotReader(site, part.id, part.kind === 'menu' ? 'link' : part.kind, band, null);
  switch (part.kind) {
    case 'menu': return menuExtent(site, part, band, measure);
    case 'opener': return exact(reader.size + 2 * reader.pixels('paddingInline'));
    case 'button': return labelExtent(part.label, reader, measure);
    case 'logo': {
      const label = labelExtent(part.text, reader, measure);
      if (part.svg === null) return label;
      const ratio = svgRatio(part.svg);
      const drawing: Extent = { width: part.svgHeight * (ratio ?? 1), certain: ratio !== null, unmeasured: ratio === null ? ['logo'] : [] };
      return part.textShown ? sumExtents([drawing, label], reader.pixels('gap')) : sumExtents([drawing, exact(2 * reader.pixels('paddingInline'))], 0);
    }
  }
}
