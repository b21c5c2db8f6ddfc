import { inside, isRecord, own } from '../base/json.ts';

type Raw = Record<string, unknown>;
type Change = (thing: Raw) => Raw;

/** Where pieces keep their sections, in any format. */
const SECTIONS = ['rows', 'blocks', 'sections'];

/** Each object of a list changed; what is no list, and what is no object in it, stays for the loader to refuse. */
export const eachOf = (list: unknown, change: Change): unknown =>
  Array.isArray(list) ? list.map((entry: unknown) => (isRecord(entry) ? change(entry) : entry)) : list;

/** The lists of parts of a section changed: those of its zones, or its own. */
function changeSection(section: Raw, change: Change): Raw {
  const { zones, parts } = section;
  return {
    ...section,
    ...(isRecord(zones)
      ? {
          zones: Object.fromEntries(
            Object.entries(zones).map(([zone, list]) => [zone, eachOf(list, change)]),
          ),
        }
      : {}),
    ...(parts === undefined ? {} : { parts: eachOf(parts, change) }),
  };
}

/** Every part in a list of pieces changed, by the places parts stand in: nothing else is one, whatever it looks like. */
export const changeParts = (pieces: unknown, change: Change): unknown =>
  eachOf(pieces, (piece) => ({
    ...piece,
    ...Object.fromEntries(
      SECTIONS.filter((key) => Object.hasOwn(piece, key)).map((key) => [
        key,
        eachOf(piece[key], (section) => changeSection(section, change)),
      ]),
    ),
  }));

/** A record with a value at the end of a way into it. */
export function withValue(record: Raw, [key, ...rest]: readonly string[], value: unknown): Raw {
  if (key === undefined) return record;
  const held = own(record, key);
  return {
    ...record,
    [key]: rest.length === 0 ? value : withValue(isRecord(held) ? held : {}, rest, value),
  };
}

/** Whether anything stands at the end of a way into a record. */
export function hasValue(record: Raw, way: readonly string[]): boolean {
  return way.reduce<unknown>(inside, record) !== undefined;
}
