import type { MenuPart } from '../document/parts/menu.ts';
import type { Part } from '../document/part.ts';
import type { PropertyId } from '../document/properties.ts';
import type { Site } from '../document/site.ts';
import type { Level, State } from '../document/states.ts';
import { toPixels } from '../document/values.ts';
import { findMenu } from '../document/walk.ts';
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

function menuExtent(site: Site, part: MenuPart, band: number, measure: Measurer): Extent {
  const link = slotReader(site, part.id, 'link', band, 1);
  const marker = Math.max(LEAST_TARGET, slotReader(site, part.id, 'marker', band, 1).size);
  const gap = slotReader(site, part.id, 'list', band, null).pixels('gap');
  const shown = findMenu(site, part.menu)?.items ?? [];
  const items = shown.map((item): Extent => {
    const label = labelExtent(item.label, link, measure);
    if (item.children.length === 0 || part.levels === 1) return label;
    // A parent without a target carries its marker inside, behind the link's own gap.
    return sumExtents([label, exact(marker)], item.target.kind === 'none' ? link.pixels('gap') : 0);
  });
  const growth = currentGrowth(shown.map((item) => item.label), link, slotReader(site, part.id, 'link', band, 1, ['current']), measure);
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
