import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';

type Raw = Record<string, unknown>;

const each = (list: unknown, change: (entry: Raw) => Raw): unknown =>
  Array.isArray(list) ? list.map((entry: unknown) => (isRecord(entry) ? change(entry) : entry)) : list;

/** A logo's height was a setting and is a look now, so that it can differ by width. */
function changeLogo({ svgHeight, ...logo }: Raw): Raw {
  const look = isRecord(logo['look']) ? logo['look'] : {};
  const height =
    logo['svg'] === null || svgHeight === undefined
      ? {}
      : { drawing: { all: { rest: { all: { drawnHeight: svgHeight } } } } };
  return { ...logo, image: null, second: null, look: { ...look, ...height } };
}

const changePart = (part: Raw): Raw => (part['kind'] === 'logo' ? changeLogo(part) : part);

const changeZones = (zones: unknown): unknown =>
  isRecord(zones)
    ? Object.fromEntries(Object.entries(zones).map(([zone, parts]) => [zone, each(parts, changePart)]))
    : zones;

const changeRow = (row: Raw): Raw => ({
  ...row,
  contained: null,
  arrangement: 'between',
  apart: 1,
  zones: changeZones(row['zones']),
});

/** Rows are arranged and contained, headers stay or lie over the page, logos have pictures, slots can share a look. */
export const BENCH_STEP: Migration = {
  from: 2,
  migrate: (document) => ({
    ...document,
    sameLooks: [],
    typefaces: [],
    pieces: each(document['pieces'], (piece) =>
      piece['kind'] === 'header'
        ? { ...piece, stays: false, over: false, rows: each(piece['rows'], changeRow) }
        : piece,
    ),
  }),
};
