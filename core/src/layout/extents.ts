import { sectionKind, partKind } from '../kinds/catalogue.ts';
import { exact, type Extent, type PartExtents, type SlotReader } from '../kinds/extent.ts';
import { standsIn } from '../kinds/folds.ts';
import type { Part, Site } from '../kinds/site.ts';
import { findPlaced, type PlacedSection } from '../kinds/placed.ts';
import type { Level, State } from '../model/states.ts';
import { resolve } from '../resolve/resolve.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import type { Measurer } from '../text/measure.ts';
import { isLength, toPixels } from '../values/length.ts';

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

/** A reader of a slot that knows its type too. */
interface TypeReader extends SlotReader {
  readonly words: (label: string, measure: Measurer) => Extent;
}

/** Reads numbers of one slot in one band, in px. */
function readSlot(
  site: Site,
  owner: string,
  slot: string,
  band: number,
  level: Level | null,
  states: readonly State[],
): TypeReader {
  const value = (property: PropertyId) =>
    resolve(site, { owner, slot, property, level, states, band })?.value;
  const width = widthOf(site, band);
  const found = value('size');
  const size = isLength(found) ? toPixels(found, { fontSize: 16, width }) : 16;
  const pixels = (property: PropertyId) => {
    const length = value(property);
    return isLength(length) ? toPixels(length, { fontSize: size, width }) : 0;
  };
  const line = (property: PropertyId) => {
    const drawn = value(property);
    return typeof drawn === 'object' && 'line' in drawn ? (drawn.line?.width ?? 0) : 0;
  };
  return {
    size,
    pixels,
    line,
    around: () => line('lineStart') + line('lineEnd') + 2 * pixels('marginInline'),
    words: (label, measure) => {
      const family = value('family');
      const measured = measure(shownText(label, value('letters')), {
        family: typeof family === 'string' ? family : 'system',
        weight: Number(value('weight') ?? 400),
        size,
        tracking: pixels('tracking'),
      });
      const spaces = label.trim().split(/\s+/).length - 1;
      return {
        width: measured.width + spaces * pixels('wordSpace'),
        certain: measured.certain,
        unmeasured: measured.certain ? [] : [label],
      };
    },
  };
}

function partExtents(site: Site, owner: string, band: number, measure: Measurer): PartExtents {
  const read = (slot: string, level: Level | null = null, states: readonly State[] = []) =>
    readSlot(site, owner, slot, band, level, states);
  return {
    site,
    band: site.bands[band]?.id ?? '',
    slot: read,
    words: (text, slot) => read(slot).words(text, measure),
    label: (text, slot, level = null, states = []) => {
      const reader = read(slot, level, states);
      const words = reader.words(text, measure);
      const inside = Math.max(words.width + 2 * reader.pixels('paddingInline'), reader.pixels('minWidth'));
      return { ...words, width: inside + reader.around() };
    },
  };
}

/** The width a part takes in a row of one band, unfolded, in px. */
export function partExtent(site: Site, part: Part, band: number, measure: Measurer): Extent {
  return partKind(part).extent(part as never, partExtents(site, part.id, band, measure));
}

/** The least width in px at which a section stands on one line in a band; null where it never does. */
export function sectionExtent(
  site: Site,
  placed: PlacedSection,
  band: number,
  measure: Measurer,
): Extent | null {
  const { section, kind, piece, regions } = placed;
  const { extent } = sectionKind(kind);
  if (!extent) return null;
  if (section.bands?.includes(site.bands[band]?.id ?? '') === false) return exact(0);
  return extent(section as never, {
    site,
    piece,
    section,
    regions,
    slot: (slot) => readSlot(site, section.id, slot, band, null, []),
    shown: (region) =>
      region.parts.filter((part) => {
        const found = findPlaced(site, part.id);
        return found !== null && standsIn(site, found, band);
      }),
    part: (part) => partExtent(site, part, band, measure),
  });
}
