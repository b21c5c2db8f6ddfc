import type { Logo } from '../../parts/logo/logo.ts';
import type { Part } from '../../site.ts';
import { ZONES, type Row, type Zone } from './shape.ts';

/** The parts of a row from start to end. */
export const rowParts = (row: Row): readonly Part[] => ZONES.flatMap((zone) => row.zones[zone]);

/** The menu that a row's arrangement spreads or splits: the first of its middle. */
export function arrangedMenu(row: Row): Part | null {
  return row.zones.middle.find((part) => part.kind === 'menu') ?? null;
}

/** The logo that links are split around: it stands in the middle, whatever zone holds it. */
export function centredLogo(row: Row): Logo | null {
  if (row.arrangement !== 'around' || arrangedMenu(row) === null) return null;
  return rowParts(row).find((part): part is Logo => part.kind === 'logo') ?? null;
}

/** Parts of one zone that stand together. */
export interface ZoneBox {
  readonly zone: Zone;
  readonly parts: readonly Part[];
  /** Whether an element holds them; one part alone may stand in the row by itself. */
  readonly isWrapped: boolean;
}

/**
 * How a row lays out its parts: the boxes from start to end, as both the output and the fit see it. `even` asks start and
 * end to be as wide as each other, and an empty one of them to keep its place.
 */
export interface RowLayout {
  readonly start: ZoneBox | null;
  readonly middle: ZoneBox | null;
  readonly end: ZoneBox | null;
  readonly even: boolean;
  /** The logo in the centre, with the menu in halves at both sides of it, in a box of their own. */
  readonly split: { readonly logo: Logo; readonly menu: Part } | null;
}

function boxOf(zone: Zone, parts: readonly Part[], isWrapped: boolean): ZoneBox | null {
  return parts.length === 0 ? null : { zone, parts, isWrapped };
}

type Zones = Readonly<Record<Zone, readonly Part[]>>;

function splitLayout(zones: Zones, logo: Logo, menu: Part, ofPage: boolean): RowLayout {
  const others = (zone: Zone) => zones[zone].filter((part) => part !== logo && part !== menu);
  const end = [...others('middle'), ...others('end')];
  const start = others('start');
  return {
    start: boxOf('start', start, true),
    middle: null,
    end: boxOf('end', end, true),
    even: ofPage && start.length + end.length > 0,
    split: { logo, menu },
  };
}

/** The layout of a row; `isThere` says which parts come to anything at all. */
export function layoutOf(row: Row, isThere: (part: Part) => boolean): RowLayout {
  const logo = centredLogo(row);
  const menu = arrangedMenu(row);
  const zones: Zones = {
    start: row.zones.start.filter(isThere),
    middle: row.zones.middle.filter(isThere),
    end: row.zones.end.filter(isThere),
  };
  if (logo && menu) return splitLayout(zones, logo, menu, row.middleOf === 'page');
  const { start, middle, end } = zones;
  const even = row.arrangement === 'centre' && start.length + end.length > 0;
  // The middle grows: what is no menu would grow with it.
  const grows = !even && middle[0]?.kind !== 'menu';
  return {
    start: boxOf('start', start, even || start.length > 1),
    middle: boxOf('middle', middle, grows || middle.length > 1),
    end: boxOf('end', end, even || end.length > 1),
    even,
    split: null,
  };
}
