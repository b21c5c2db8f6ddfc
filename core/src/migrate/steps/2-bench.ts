import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';
import { eachOf } from '../parts.ts';

type Raw = Record<string, unknown>;

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
    ? Object.fromEntries(Object.entries(zones).map(([zone, parts]) => [zone, eachOf(parts, changePart)]))
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
    pieces: eachOf(document['pieces'], (piece) =>
      piece['kind'] === 'header'
        ? { ...piece, stays: false, over: false, rows: eachOf(piece['rows'], changeRow) }
        : piece,
    ),
  }),
};
