import {
  findPlaced,
  regionsOf,
  type Part,
  type PartPlace,
  type Piece,
  type Region,
  type Site,
} from '@hamaca/core';
import type { StageBox } from '../../../stage/frame/protocol.ts';

/** The regions of a piece in the order they stand. */
export const regionsIn = (site: Site, piece: Piece): readonly Region[] =>
  [...regionsOf(site).values()].filter((region) => region.piece.id === piece.id);

/** Every place a part can stand in a piece, from the first to the last: the gaps between its parts. */
export function placesOf(site: Site, piece: Piece): PartPlace[] {
  return regionsIn(site, piece).flatMap((region) =>
    Array.from({ length: region.parts.length + 1 }, (_, index) => ({ region: region.id, index })),
  );
}

/** Where a part stands now. */
export function placeOf(site: Site, id: string): PartPlace | null {
  const found = findPlaced(site, id);
  return found ? { region: found.region.id, index: found.index } : null;
}

/** The place one step nearer to the start or the end, on to neighbouring regions; null at the very end. */
export function stepPlace(site: Site, id: string, step: 'before' | 'after'): PartPlace | null {
  const at = placeOf(site, id);
  const piece = findPlaced(site, id)?.piece;
  if (!at || !piece) return null;
  const places = placesOf(site, piece);
  const index = places.findIndex((place) => place.region === at.region && place.index === at.index);
  // The gap behind a part is its own place too.
  return places[step === 'before' ? index - 1 : index + 2] ?? null;
}

export interface Drop {
  readonly place: PartPlace;
  /** The line that shows it, in px of the page. */
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Width of a row's ends that count as its first and last region where nothing stands there, as a share of it. */
const END_SHARE = 0.25;

/** Half the thickness of the line, in px. */
const HALF = 1.5;

const area = (box: StageBox) => (box.right - box.left) * (box.bottom - box.top);

/** The innermost section under the pointer, or the nearest one above or below. */
function sectionUnder(site: Site, boxes: readonly StageBox[], x: number, y: number): StageBox | null {
  const ids = new Set([...regionsOf(site).values()].map((region) => region.section.id));
  const sections = boxes.filter((box) => ids.has(box.owner));
  const over = sections.filter((box) => y >= box.top && y <= box.bottom && x >= box.left && x <= box.right);
  // A panel lies over the page: the smaller box is the one that is seen.
  const [smallest] = over.sort((a, b) => area(a) - area(b));
  if (smallest) return smallest;
  return y < (sections[0]?.top ?? 0) ? (sections[0] ?? null) : (sections.at(-1) ?? null);
}

interface SeenPart {
  readonly region: Region;
  readonly index: number;
  readonly box: StageBox;
}

const seenParts = (regions: readonly Region[], boxes: readonly StageBox[]): SeenPart[] =>
  regions.flatMap((region) =>
    region.parts.flatMap((part: Part, index) => {
      const box = boxes.find((entry) => entry.owner === part.id);
      return box && box.right > box.left ? [{ region, index, box }] : [];
    }),
  );

/** The region of a row that a place along it belongs to. */
function regionAlong(regions: readonly Region[], share: number): Region | undefined {
  if (regions.length < 3) return regions[0];
  if (share < END_SHARE) return regions[0];
  return share > 1 - END_SHARE ? regions.at(-1) : regions[1];
}

/** The place a part would take where it is let go, from the boxes of sections and parts that the stage told. */
export function dropAt(site: Site, boxes: readonly StageBox[], x: number, y: number): Drop | null {
  const over = sectionUnder(site, boxes, x, y);
  const regions = [...regionsOf(site).values()].filter((region) => region.section.id === over?.owner);
  const [first] = regions;
  if (!over || !first) return null;
  const stacked = first.form === 'stack';
  const line = (region: Region, index: number, at: number): Drop => ({
    place: { region: region.id, index },
    ...(stacked
      ? { left: over.left, right: over.right, top: at - HALF, bottom: at + HALF }
      : { left: at - HALF, right: at + HALF, top: over.top, bottom: over.bottom }),
  });
  const [start, end, pointer] = stacked ? (['top', 'bottom', y] as const) : (['left', 'right', x] as const);
  const parts = seenParts(regions, boxes);
  const under = parts.find(({ box }) => pointer >= box[start] && pointer <= box[end]);
  if (under) {
    const before = pointer < (under.box[start] + under.box[end]) / 2;
    return line(under.region, under.index + (before ? 0 : 1), before ? under.box[start] : under.box[end]);
  }
  const share = (pointer - over[start]) / Math.max(1, over[end] - over[start]);
  const region = regionAlong(regions, share) ?? first;
  const own = parts.filter((part) => part.region === region);
  const next = own.find(({ box }) => pointer < box[start]);
  if (next) return line(region, next.index, next.box[start]);
  return line(region, region.parts.length, own.at(-1)?.box[end] ?? pointer);
}

/** The part an owner stands for on the stage, or null where it is a section or piece. */
export function carriedPart(site: Site, owner: string): string | null {
  return placeOf(site, owner) ? owner : null;
}
