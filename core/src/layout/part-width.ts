import type { MenuPart } from '../kinds/parts/menu.ts';
import type { Part } from '../kinds/part.ts';
import type { Image } from '../kinds/parts/image.ts';
import type { Logo } from '../kinds/parts/logo.ts';
import type { Search } from '../kinds/parts/search.ts';
import type { Text } from '../kinds/parts/text.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import type { Site } from '../model/site.ts';
import type { Level, State } from '../model/states.ts';
import { isLength, toPixels } from '../values/length.ts';
import type { MenuItem } from '../model/menu-item.ts';
import { shownItems } from '../kinds/walk.ts';
import { resolve } from '../resolve/resolve.ts';
import type { Measurer } from '../text/measure.ts';

/** A width in px. `certain` is false where a label could not be measured and was estimated; `unmeasured` names those. */
export interface Extent {
  readonly width: number;
  readonly certain: boolean;
  readonly unmeasured: readonly string[];
}

/** The page's width that lengths which grow with it are judged at: the narrowest of a band, where a row is tightest. */
export function widthOf(site: Site, band: number): number {
  return Math.max(320, site.bands[band]?.min ?? 0);
}

/** Capitals take other room than what was typed. */
function shownText(text: string, letters: unknown): string {
  switch (letters) {
    case 'capitals':
      return text.toUpperCase();
    case 'small':
      return text.toLowerCase();
    case 'initial capitals':
      return text.replace(
        /(^|[\s-])(\p{L})/gu,
        (_whole, before: string, letter: string) => before + letter.toUpperCase(),
      );
    default:
      return text;
  }
}

/** Reads numbers of one slot in one band, in px. */
function slotReader(
  site: Site,
  owner: string,
  slot: string,
  band: number,
  level: Level | null,
  states: readonly State[] = [],
) {
  const value = (property: PropertyId) =>
    resolve(site, { owner, slot, property, level, states, band })?.value;
  const width = widthOf(site, band);
  const size = ((found) => (isLength(found) ? toPixels(found, { fontSize: 16, width }) : 16))(value('size'));
  return {
    size,
    pixels: (property: PropertyId) => {
      const found = value(property);
      return isLength(found) ? toPixels(found, { fontSize: size, width }) : 0;
    },
    shown: (label: string) => shownText(label, value('letters')),
    words: (label: string) => label.trim().split(/\s+/).length - 1,
    /** Lines before and behind, and margins. */
    around: () => {
      const line = (id: PropertyId) =>
        ((found) => (typeof found === 'object' && 'line' in found ? (found.line?.width ?? 0) : 0))(value(id));
      const margin = value('marginInline');
      return (
        line('lineStart') +
        line('lineEnd') +
        2 * (isLength(margin) ? toPixels(margin, { fontSize: size, width }) : 0)
      );
    },
    text: () => ({
      family: ((family) => (typeof family === 'string' ? family : 'system'))(value('family')),
      weight: Number(value('weight') ?? 400),
    }),
  };
}

export type SlotReader = ReturnType<typeof slotReader>;

/** How much wider the widest-growing link gets as the current page: a bolder current link must still fit. */
function currentGrowth(
  labels: readonly string[],
  rest: SlotReader,
  current: SlotReader,
  measure: Measurer,
): number {
  const growth = labels.map(
    (label) => labelExtent(label, current, measure).width - labelExtent(label, rest, measure).width,
  );
  return Math.max(0, ...growth);
}

function labelExtent(label: string, reader: SlotReader, measure: Measurer): Extent {
  const style = { ...reader.text(), size: reader.size, tracking: reader.pixels('tracking') };
  const { width, certain } = measure(reader.shown(label), style);
  const spaced = width + reader.words(label) * reader.pixels('wordSpace');
  const inside = Math.max(spaced + 2 * reader.pixels('paddingInline'), reader.pixels('minWidth'));
  return { width: inside + reader.around(), certain, unmeasured: certain ? [] : [label] };
}

const exact = (width: number): Extent => ({ width, certain: true, unmeasured: [] });

/** Extents side by side with a gap between, and more room once. */
export function sumExtents(extents: readonly Extent[], gap: number, more = 0): Extent {
  return {
    width:
      extents.reduce((sum, extent) => sum + extent.width, 0) + gap * Math.max(0, extents.length - 1) + more,
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
function itemExtent(
  site: Site,
  part: MenuPart,
  band: number,
  item: MenuItem,
  measure: Measurer,
  states: readonly State[] = [],
): Extent {
  const reader = (slot: string) => slotReader(site, part.id, slot, band, 1, states);
  if (item.role === 'divider') return exact(1);
  const slot =
    item.role === 'action' || (item.role === 'heading' && item.children.length === 0) ? item.role : 'link';
  const label = item.labelHidden
    ? exact(2 * reader(slot).pixels('paddingInline'))
    : labelExtent(item.label, reader(slot), measure);
  const padding = 2 * reader(slot).pixels('paddingInline');
  const description =
    item.description === undefined || item.labelHidden
      ? exact(0)
      : sumExtents([labelExtent(item.description, reader('description'), measure), exact(padding)], 0);
  const wider = description.width > label.width ? description : label;
  // A flex row sets its gap between icon, picture and label.
  const shown = [
    ...(item.icon === undefined ? [] : [reader('glyph').size]),
    ...(item.image === undefined ? [] : [reader('picture').pixels('width')]),
  ];
  const pieces = shown.length + (item.labelHidden ? 0 : 1);
  const spaces = item.labelHidden ? Math.max(0, shown.length - 1) : shown.length;
  const beside =
    shown.reduce((sum, width) => sum + width, 0) +
    spaces * ICON_SPACE +
    Math.max(0, pieces - 1) * reader(slot).pixels('gap');
  return {
    ...sumExtents([wider, exact(beside)], 0),
    certain: label.certain && description.certain,
    unmeasured: [...label.unmeasured, ...description.unmeasured],
  };
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
  const plain = shown
    .filter((item) => item.role === undefined && !item.labelHidden)
    .map((item) => item.label);
  const growth = currentGrowth(plain, link, slotReader(site, part.id, 'link', band, 1, ['current']), measure);
  const list = slotReader(site, part.id, 'list', band, null);
  const between = resolve(site, {
    owner: part.id,
    slot: 'list',
    property: 'separator',
    level: null,
    states: [],
    band,
  })?.value;
  const separators =
    typeof between === 'object' && 'line' in between && between.line
      ? between.line.width * Math.max(0, items.length - 1)
      : 0;
  return sumExtents(
    [sumExtents(items, gap), exact(growth + separators + 2 * list.pixels('paddingInline') + list.around())],
    0,
  );
}

/** What a logo's drawing is wide at its height, read from its view box; null where it has none. */
export function svgRatio(svg: string): number | null {
  const box = /viewBox\s*=\s*["']\s*[-\d.e]+[\s,]+[-\d.e]+[\s,]+([\d.e]+)[\s,]+([\d.e]+)/i.exec(svg);
  const ratio = Number(box?.[1]) / Number(box?.[2]);
  return Number.isFinite(ratio) && ratio > 0 ? ratio : null;
}

function logoExtent(site: Site, part: Logo, band: number, measure: Measurer): Extent {
  const reader = slotReader(site, part.id, 'logo', band, null);
  const label = labelExtent(part.text, reader, measure);
  if (part.svg === null && part.image === null) return label;
  const ratio = part.svg === null ? null : svgRatio(part.svg);
  const height = slotReader(site, part.id, 'drawing', band, null).pixels('drawnHeight');
  const drawing: Extent = {
    width: height * (ratio ?? 1),
    certain: ratio !== null,
    unmeasured: ratio === null ? ['logo'] : [],
  };
  if (part.textShown) return sumExtents([drawing, label], reader.pixels('gap'));
  return sumExtents([drawing, exact(2 * reader.pixels('paddingInline') + reader.around())], 0);
}

function textExtent(site: Site, part: Text, band: number, measure: Measurer): Extent {
  const reader = slotReader(site, part.id, 'text', band, null);
  const contact = slotReader(site, part.id, 'contact', band, null);
  const entries = part.entries.map((entry): Extent => {
    const own = entry.target.kind === 'none' ? reader : contact;
    const { width, certain } = measure(own.shown(entry.text), {
      ...own.text(),
      size: own.size,
      tracking: own.pixels('tracking'),
    });
    // An icon is 1.2 times the text and stands 0.4 of it away.
    return {
      width:
        width + own.words(entry.text) * own.pixels('wordSpace') + (entry.icon === null ? 0 : own.size * 1.6),
      certain,
      unmeasured: certain ? [] : [entry.text],
    };
  });
  return sumExtents(
    [sumExtents(entries, reader.pixels('gap')), exact(2 * reader.pixels('paddingInline') + reader.around())],
    0,
  );
}

function searchExtent(site: Site, part: Search, band: number): Extent {
  const reader = (slot: string) => slotReader(site, part.id, slot, band, null);
  const submit = reader('submit');
  const button = submit.size + 2 * submit.pixels('paddingInline') + submit.around();
  if (!part.open) return exact(button);
  const box = reader('search');
  return exact(
    reader('field').pixels('width') +
      reader('field').around() +
      box.pixels('gap') +
      button +
      2 * box.pixels('paddingInline') +
      box.around(),
  );
}

function imageExtent(site: Site, part: Image, band: number): Extent {
  if (part.svg === null && part.image === null) return exact(0);
  const ratio = part.svg === null ? null : svgRatio(part.svg);
  const reader = slotReader(site, part.id, 'image', band, null);
  return {
    width: reader.pixels('drawnHeight') * (ratio ?? 1) + reader.around(),
    certain: ratio !== null,
    unmeasured: ratio === null ? ['image'] : [],
  };
}

/** The width a part takes in a row, unfolded, in px. */
export function partExtent(site: Site, part: Part, band: number, measure: Measurer): Extent {
  const reader = slotReader(site, part.id, part.kind === 'menu' ? 'link' : part.kind, band, null);
  switch (part.kind) {
    case 'menu':
      return menuExtent(site, part, band, measure);
    case 'opener':
      return exact(reader.size + 2 * reader.pixels('paddingInline') + reader.around());
    case 'button':
      return labelExtent(part.label, reader, measure);
    case 'logo':
      return logoExtent(site, part, band, measure);
    case 'text':
      return textExtent(site, part, band, measure);
    case 'search':
      return searchExtent(site, part, band);
    case 'image':
      return imageExtent(site, part, band);
    case 'rule':
      return exact(reader.pixels('thickness') + reader.around());
    case 'shortcut': {
      const icon = part.icon === null ? [] : [exact(slotReader(site, part.id, 'symbol', band, null).size)];
      const label =
        part.labelShown || part.icon === null
          ? [labelExtent(part.label, reader, measure)]
          : [exact(2 * reader.pixels('paddingInline') + reader.around())];
      return sumExtents([...icon, ...label], part.labelShown ? reader.pixels('gap') : 0);
    }
    case 'social': {
      const mark = slotReader(site, part.id, 'profile', band, null);
      const one = exact(mark.size + 2 * mark.pixels('paddingInline') + mark.around());
      return sumExtents(
        [
          sumExtents(
            part.links.map(() => one),
            reader.pixels('gap'),
          ),
          exact(reader.around()),
        ],
        0,
      );
    }
  }
}
