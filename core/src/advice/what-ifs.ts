import { runEdit, type Edit } from '../edit/operations.ts';
import type { CellValue } from '../edit/operations/look.ts';
import { shownLinks } from '../kinds/content.ts';
import { foldsBelow } from '../kinds/folds.ts';
import type { MenuPart } from '../kinds/parts/menu/shape.ts';
import { askedAt, findPiece, partsOf, sectionsOf, slotKind } from '../kinds/placed.ts';
import type { PropertyId } from '../kinds/properties/properties.ts';
import { ARRANGEMENT_IDS, ARRANGEMENTS, type Row } from '../kinds/sections/row/shape.ts';
import type { Piece, Site } from '../kinds/site.ts';
import type { SlotRef } from '../model/look.ts';
import type { LevelKey } from '../model/states.ts';
import { resolve } from '../resolve/resolve.ts';
import type { Measurer } from '../text/measure.ts';
import { widestRow } from '../layout/fit.ts';

/** A change that would let the rows of a piece stand on one line at narrower windows. */
export interface WhatIf {
  readonly label: string;
  readonly edit: Edit;
  /** The least window in px at which every row stands on one line with it, and without it. */
  readonly from: number;
  readonly instead: number;
}

/** The band whose rows are judged: the one just wider than those where something folds away. */
function judgedBand(site: Site, piece: Piece): number {
  const below = foldsBelow(site, piece);
  return below === null
    ? 0
    : Math.max(
        0,
        site.bands.findIndex((band) => band.min === below),
      );
}

/** How much gaps and paddings, and type sizes, are tried to be smaller, in px. */
const STEPS = { room: [4, 8], size: [1, 2] } as const;

/** A value made smaller in a band; nothing where it is not a plain number of px, or small enough. */
function smaller(
  site: Site,
  ref: SlotRef,
  property: PropertyId,
  level: LevelKey,
  by: number,
  { band, least }: { readonly band: number; readonly least: number },
): CellValue[] {
  if (!slotKind(site, ref)?.properties.includes(property)) return [];
  const asked = { ...ref, ...askedAt(site, ref, level), property, states: [], band };
  const value = resolve(site, asked)?.value;
  if (typeof value !== 'number' || value - by < least) return [];
  const key = band === 0 ? 'all' : (site.bands[band]?.id ?? 'all');
  return [{ ...ref, property, level, state: 'rest', band: key, value: value - by }];
}

interface Try {
  readonly label: string;
  readonly edit: Edit;
}

const looks = (label: string, cells: readonly CellValue[]): Try[] =>
  cells.length === 0 ? [] : [{ label, edit: { name: 'set-look', args: { cells: [...cells] } } }];

function menuTries(site: Site, part: MenuPart, band: number): Try[] {
  const link = { owner: part.id, slot: 'link' };
  const list = { owner: part.id, slot: 'list' };
  return [
    ...STEPS.room.flatMap((by) =>
      looks(`links ${by} px closer`, smaller(site, list, 'gap', 'all', by, { band, least: 0 })),
    ),
    ...STEPS.room.flatMap((by) =>
      looks(
        `links with ${by} px less at their sides`,
        smaller(site, link, 'paddingInline', '1', by, { band, least: 2 }),
      ),
    ),
    ...STEPS.size.flatMap((by) =>
      looks(`links ${by} px smaller`, smaller(site, link, 'size', '1', by, { band, least: 12 })),
    ),
    ...looks(
      'links with less space between letters',
      smaller(site, link, 'tracking', '1', 0.5, { band, least: 0 }),
    ),
    ...shorterLabels(site, part),
  ];
}

/** How many labels are tried shorter: the longest ones. */
const MOST_LABELS = 3;

/** Labels of several words without the last one. */
function shorterLabels(site: Site, part: MenuPart): Try[] {
  return shownLinks(site, part)
    .filter(({ id }) => site.menus.some((menu) => menu.items.some((item) => item.id === id)))
    .filter(({ label }) => /\S\s+\S/.test(label.trim()))
    .toSorted((a, b) => b.label.length - a.label.length)
    .slice(0, MOST_LABELS)
    .map(({ id, label }) => {
      const short = label
        .trim()
        .replace(/\s+(?:[&+–-]\s+)?\S+$/u, '')
        .replace(/\s+[&+–-]$/u, '');
      return {
        label: `“${label}” as “${short}”`,
        edit: { name: 'set-item', args: { id, fields: { label: short } } },
      };
    });
}

function rowTries(site: Site, row: Row, band: number): Try[] {
  const ref = { owner: row.id, slot: 'row' };
  return [
    ...STEPS.room.flatMap((by) =>
      looks(`parts of ${row.name} ${by} px closer`, smaller(site, ref, 'gap', 'all', by, { band, least: 4 })),
    ),
    ...looks(
      `${row.name} with 8 px less at its sides`,
      smaller(site, ref, 'paddingInline', 'all', 8, { band, least: 8 }),
    ),
    ...ARRANGEMENT_IDS.filter((id) => id !== row.arrangement).map((arrangement): Try => ({
      label: `${row.name}: ${ARRANGEMENTS[arrangement]}`,
      edit: { name: 'set-owner', args: { id: row.id, fields: { arrangement } } },
    })),
  ];
}

/** How many of them are worth telling, and from how many px on they help. */
const MOST = 8;
const LEAST_GAIN = 2;

/** What would let a piece fit from a narrower window on: each change by itself, the one that helps most first. */
export function whatIfs(site: Site, piece: Piece, measure: Measurer): WhatIf[] {
  const band = judgedBand(site, piece);
  const instead = Math.ceil(widestRow(site, piece, band, measure).width);
  if (!Number.isFinite(instead)) return [];
  const rows = sectionsOf(site).flatMap(({ piece: own, kind, section }) =>
    own.id === piece.id && kind === 'row' ? [section as Row] : [],
  );
  const menus = partsOf(site, piece).filter((part): part is MenuPart => part.kind === 'menu');
  const tries = [
    ...menus.flatMap((part) => menuTries(site, part, band)),
    ...rows.flatMap((row) => rowTries(site, row, band)),
  ];
  return tries
    .flatMap(({ label, edit }): WhatIf[] => {
      const ran = runEdit(site, edit);
      const changed = ran.ok ? findPiece(ran.value.site, piece.id) : null;
      if (!ran.ok || !changed) return [];
      const from = Math.ceil(widestRow(ran.value.site, changed, band, measure).width);
      return instead - from < LEAST_GAIN ? [] : [{ label, edit, from, instead }];
    })
    .toSorted((a, b) => a.from - b.from)
    .slice(0, MOST);
}
