import {
  ownersOf,
  placedParts,
  ZONES,
  type Header,
  type PartPlace,
  type Site,
  type Zone,
} from '@hamaca/core';

/** Every place a part can stand in a header, from the first to the last: the gaps between its parts. */
export function placesOf(header: Header): Extract<PartPlace, { row: string }>[] {
  return header.rows.flatMap((row) =>
    ZONES.flatMap((zone) =>
      Array.from({ length: row.zones[zone].length + 1 }, (_, index) => ({ row: row.id, zone, index })),
    ),
  );
}

/** Where a part stands now. */
export function placeOf(site: Site, id: string): Extract<PartPlace, { row: string }> | null {
  const found = placedParts(site).find((placed) => placed.part.id === id);
  const owner = ownersOf(site).get(id);
  const [, zone, index] = /\/zones\/(\w+)\/(\d+)$/.exec(found?.path ?? '') ?? [];
  return owner?.row != null && zone !== undefined
    ? { row: owner.row, zone: zone as Zone, index: Number(index) }
    : null;
}

const isPlace = (
  a: { row: string; zone: string; index: number },
  b: { row: string; zone: string; index: number },
) => a.row === b.row && a.zone === b.zone && a.index === b.index;

/** The place one step nearer to the start or the end, on to neighbouring zones and rows; null at the very end. */
export function stepPlace(
  site: Site,
  header: Header,
  id: string,
  step: 'before' | 'after',
): PartPlace | null {
  const at = placeOf(site, id);
  if (!at) return null;
  const places = placesOf(header);
  const index = places.findIndex((place) => isPlace(place, at));
  // The gap behind a part is its own place too.
  return places[step === 'before' ? index - 1 : index + 2] ?? null;
}

/** A box on the stage, in px of the page. */
export interface Box {
  readonly owner: string;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

export interface Drop {
  readonly place: Extract<PartPlace, { row: string }>;
  /** Where the line that shows it stands. */
  readonly x: number;
  readonly top: number;
  readonly bottom: number;
}

/** Width of a row's ends that count as start and end where nothing stands there, as a share of it. */
const END_SHARE = 0.25;

/** The place a part would take where it is let go, from the boxes of rows and parts that the stage told. */
export function dropAt(site: Site, header: Header, boxes: readonly Box[], x: number, y: number): Drop | null {
  const rows = boxes.filter((box) => header.rows.some((row) => row.id === box.owner));
  const over =
    rows.find((box) => y >= box.top && y <= box.bottom) ?? (y < (rows[0]?.top ?? 0) ? rows[0] : rows.at(-1));
  const row = header.rows.find((entry) => entry.id === over?.owner);
  if (!over || !row) return null;
  const parts = ZONES.flatMap((zone) =>
    row.zones[zone].flatMap((part, index) => {
      const box = boxes.find((entry) => entry.owner === part.id);
      return box && box.right > box.left ? [{ zone, index, box }] : [];
    }),
  );
  const line = (place: { zone: Zone; index: number }, at: number): Drop => ({
    place: { row: row.id, ...place },
    x: at,
    top: over.top,
    bottom: over.bottom,
  });
  const under = parts.find(({ box }) => x >= box.left && x <= box.right);
  if (under) {
    const before = x < (under.box.left + under.box.right) / 2;
    return line(
      { zone: under.zone, index: under.index + (before ? 0 : 1) },
      before ? under.box.left : under.box.right,
    );
  }
  const share = (x - over.left) / Math.max(1, over.right - over.left);
  const zone: Zone = share < END_SHARE ? 'start' : share > 1 - END_SHARE ? 'end' : 'middle';
  const next = parts.filter((part) => part.zone === zone).find(({ box }) => x < box.left);
  const last = parts.filter((part) => part.zone === zone).at(-1);
  if (next) return line({ zone, index: next.index }, next.box.left);
  return line({ zone, index: row.zones[zone].length }, last ? last.box.right : x);
}

/** The part an owner stands for on the stage, or null where it is a row, piece or panel. */
export function carriedPart(site: Site, owner: string): string | null {
  return placeOf(site, owner) ? owner : null;
}
