import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';

type Raw = Record<string, unknown>;

const ZONES = ['start', 'middle', 'end'];

const records = (list: unknown): Raw[] => (Array.isArray(list) ? list.filter(isRecord) : []);

/** The parts of a header, row by row, zone by zone. */
const headerParts = (header: Raw): Raw[] =>
  records(header['rows']).flatMap((row) => {
    const zones = isRecord(row['zones']) ? row['zones'] : {};
    return ZONES.flatMap((zone) => records(zones[zone]));
  });

/** Every id in a document, whatever has it. */
function idsIn(value: unknown, ids = new Set<string>()): Set<string> {
  const waiting: unknown[] = [value];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    if (typeof next !== 'object' || next === null) continue;
    if (isRecord(next) && typeof next['id'] === 'string') ids.add(next['id']);
    waiting.push(...(Object.values(next) as unknown[]));
  }
  return ids;
}

/** What a header's first menu folds into. */
interface Folding {
  readonly menu: unknown;
  readonly band: unknown;
  readonly panel: unknown;
  readonly berth: string;
}

/** Folding belonged to the header: its first menu went into the panel that its first opener opens. */
function foldingOf(header: Raw, pieces: readonly Raw[], free: (wanted: string) => string): Folding | null {
  const parts = headerParts(header);
  const panel = parts.find((part) => part['kind'] === 'opener')?.['panel'];
  const menu = parts.find((part) => part['kind'] === 'menu')?.['id'];
  const isThere = pieces.some((piece) => piece['kind'] === 'panel' && piece['id'] === panel);
  if (typeof header['foldBand'] !== 'string' || !isThere || menu === undefined) return null;
  return { menu, band: header['foldBand'], panel, berth: free(`${String(panel)}-berth`) };
}

function changePart(part: Raw, folding: Folding | null): Raw {
  if (part['kind'] === 'opener') return { ...part, shows: 'needed' };
  return folding && part['id'] === folding.menu
    ? { ...part, folds: { from: folding.band, berth: folding.berth } }
    : part;
}

function changeHeader(header: Raw, folding: Folding | null): Raw {
  const { foldBand: _fold, rows, ...kept } = header;
  const changeRow = (row: Raw): Raw => {
    const zones = isRecord(row['zones']) ? row['zones'] : {};
    return {
      ...row,
      zones: Object.fromEntries(
        Object.entries(zones).map(([zone, parts]) => [
          zone,
          Array.isArray(parts)
            ? parts.map((part: unknown) => (isRecord(part) ? changePart(part, folding) : part))
            : parts,
        ]),
      ),
    };
  };
  return {
    ...kept,
    rows: Array.isArray(rows) ? rows.map((row: unknown) => (isRecord(row) ? changeRow(row) : row)) : rows,
  };
}

function changePanel(panel: Raw, foldings: readonly Folding[], free: (wanted: string) => string): Raw {
  const { parts, look, ...kept } = panel;
  const berths = foldings
    .filter((folding) => folding.panel === panel['id'])
    .map(({ berth }) => ({ kind: 'berth', id: berth, look: {} }));
  const block = {
    id: free(`${String(panel['id'])}-block`),
    name: 'Content',
    flow: 'stack',
    align: 'wide',
    parts: [...berths, ...(Array.isArray(parts) ? (parts as unknown[]) : [])],
    look: {},
  };
  return { ...kept, blocks: [block], look };
}

/** Parts fold by themselves, into berths of panels; panels hold blocks of parts; openers say where they show. */
export const PIECES_STEP: Migration = {
  from: 3,
  migrate: (document) => {
    if (!Array.isArray(document['pieces'])) return document;
    const ids = idsIn(document);
    const free = (wanted: string) => {
      let name = wanted.slice(0, 60);
      for (let count = 2; ids.has(name); count++) name = `${wanted.slice(0, 60)}-${count}`;
      ids.add(name);
      return name;
    };
    const pieces = document['pieces'] as readonly unknown[];
    const all = records(pieces);
    const foldings = new Map<Raw, Folding>();
    for (const piece of all) {
      const folding = piece['kind'] === 'header' ? foldingOf(piece, all, free) : null;
      if (folding) foldings.set(piece, folding);
    }
    return {
      ...document,
      pieces: pieces.map((piece) => {
        if (!isRecord(piece)) return piece;
        if (piece['kind'] === 'header') return changeHeader(piece, foldings.get(piece) ?? null);
        return piece['kind'] === 'panel' ? changePanel(piece, [...foldings.values()], free) : piece;
      }),
    };
  },
};
