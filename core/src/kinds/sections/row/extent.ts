import { exact, sumExtents, type Extent, type SectionExtents } from '../../extent.ts';
import type { Part } from '../../site.ts';
import type { Row } from './shape.ts';
import { layoutOf, rowParts, type RowLayout, type ZoneBox } from './zones.ts';

/** What stands in the row side by side: boxes, parts in none, and the room that empty sides keep. */
function standing(
  layout: RowLayout,
  gap: number,
  extents: ReadonlyMap<Part, Extent | null>,
  at: SectionExtents,
): Extent[] {
  const extentOf = (part: Part) => (at.stands(part) ? (extents.get(part) ?? null) : null);
  const box = (entry: ZoneBox | null): Extent[] => {
    const parts = entry?.parts.map(extentOf).filter((extent) => extent !== null) ?? [];
    if (parts.length > 0) return entry?.isWrapped ? [sumExtents(parts, gap)] : parts;
    // A box that holds only what is fixed elsewhere still has its gap.
    if (entry?.isWrapped && entry.parts.some((part) => at.stands(part))) return [exact(0)];
    // A side that is to be as wide as the other one keeps its place.
    return layout.even && entry?.zone !== 'middle' ? [exact(0)] : [];
  };
  const { start, middle, end, split } = layout;
  if (!split) {
    const side = (entry: ZoneBox | null) => (entry || layout.even ? box(entry) : []);
    return [...side(start), ...(middle ? box(middle) : []), ...side(end)];
  }
  const halves = at.stands(split.menu)
    ? alike(([0, 1] as const).map((half) => at.part(split.menu, half)).filter((extent) => extent !== null))
    : [];
  return [
    ...box(start),
    ...halves,
    ...[extentOf(split.logo)].filter((extent) => extent !== null),
    ...box(end),
  ];
}

/** Extents each as wide as the widest of them. */
function alike(extents: readonly Extent[]): Extent[] {
  const width = Math.max(0, ...extents.map((extent) => extent.width));
  return extents.map((extent) => ({ ...extent, width }));
}

/** The least width in px at which a row stands on one line, its padding and lines included; Infinity where it never does. */
export function rowExtent(row: Row, at: SectionExtents): Extent {
  const own = at.slot('row');
  const gap = own.pixels('gap');
  // What has left the row takes no room, but its place in the arrangement stays.
  const extents = new Map(rowParts(row).map((part) => [part, at.stands(part) ? at.part(part) : null]));
  const layout = layoutOf(row, (part) => at.isThere(part));
  const inside = sumExtents(standing(layout, gap, extents, at), gap);
  if (row.contained !== null && inside.width > row.contained) return { ...inside, width: Infinity };
  return sumExtents([inside], 0, 2 * own.pixels('paddingInline') + own.lines());
}
