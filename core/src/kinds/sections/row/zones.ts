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

/** What a zone holds besides the logo in the middle. */
export const zoneParts = (row: Row, zone: Zone) =>
  row.zones[zone].filter((part) => part !== centredLogo(row));

/** The zones that hold something. */
export const usedZones = (row: Row) => ZONES.filter((zone) => zoneParts(row, zone).length > 0);
