import { fail, succeed, type Result } from '../base/result.ts';

/** What a font file says of itself. */
export interface SfntFacts {
  /** Family name for people. */
  readonly family: string;
  /** Range of the weight axis; both ends are the same in a font of one weight. */
  readonly weights: readonly [number, number];
  readonly fallback: 'sans' | 'serif';
}

interface Table {
  readonly offset: number;
  readonly length: number;
}

/** Tables without which a font cannot be measured or shown (OpenType, section "Font tables"). */
const NEEDED = ['cmap', 'head', 'hhea', 'hmtx', 'maxp', 'name'] as const;

/** First bytes of outlines in TrueType and CFF form. */
const SIGNATURES = new Set([0x00010000, 0x74727565, 0x4f54544f]);

const MOST_TABLES = 100;
/** Bit of `fsType` that forbids to embed the font (OpenType, OS/2). */
const RESTRICTED = 0x0002;

function tablesOf(view: DataView): Result<ReadonlyMap<string, Table>, string> {
  if (view.byteLength < 12 || !SIGNATURES.has(view.getUint32(0)))
    return fail('it is no font: WOFF2, TTF or OTF is needed');
  const count = view.getUint16(4);
  if (count > MOST_TABLES || 12 + count * 16 > view.byteLength)
    return fail('its table of contents is damaged');
  const tables = new Map<string, Table>();
  for (let index = 0; index < count; index++) {
    const at = 12 + index * 16;
    const tag = String.fromCharCode(...[0, 1, 2, 3].map((byte) => view.getUint8(at + byte)));
    const table = { offset: view.getUint32(at + 8), length: view.getUint32(at + 12) };
    if (table.offset + table.length > view.byteLength) return fail(`its table ${tag.trim()} is cut short`);
    tables.set(tag, table);
  }
  const missing = NEEDED.find((tag) => !tables.has(tag));
  return missing === undefined ? succeed(tables) : fail(`its table ${missing} is missing`);
}

/** Text of a name record: UTF-16 on Windows and Unicode, one byte a letter on the old Macintosh. */
function recordText(view: DataView, platform: number, offset: number, length: number): string {
  if (offset + length > view.byteLength) return '';
  const letters: string[] = [];
  if (platform === 1)
    for (let at = 0; at < length; at++) letters.push(String.fromCharCode(view.getUint8(offset + at)));
  else
    for (let at = 0; at + 1 < length; at += 2) letters.push(String.fromCharCode(view.getUint16(offset + at)));
  return letters.join('');
}

/** Name ids that hold the family, best first: the typographic family, then the family of four styles. */
const FAMILY_NAMES = [16, 1];

function familyName(view: DataView, table: Table): string | null {
  if (table.length < 6) return null;
  const count = view.getUint16(table.offset + 2);
  const storage = table.offset + view.getUint16(table.offset + 4);
  const found = new Map<number, string>();
  for (let index = 0; index < count; index++) {
    const at = table.offset + 6 + index * 12;
    if (at + 12 > table.offset + table.length) break;
    const [platform, id, length, offset] = [
      view.getUint16(at),
      view.getUint16(at + 6),
      view.getUint16(at + 8),
      view.getUint16(at + 10),
    ];
    // Windows names go before those of the Macintosh.
    if (!FAMILY_NAMES.includes(id) || (found.has(id) && platform === 1)) continue;
    const text = recordText(view, platform, storage + offset, length)
      .replace(/[\u0000-\u001f\u007f<>"'`\\]/g, '')
      .trim();
    if (text !== '') found.set(id, text.slice(0, 80));
  }
  return FAMILY_NAMES.map((id) => found.get(id)).find((name) => name !== undefined) ?? null;
}

/** The weight axis of a variable font (OpenType, fvar); numbers are 16.16 fixed. */
function weightAxis(view: DataView, table: Table | undefined): readonly [number, number] | null {
  if (!table || table.length < 16) return null;
  const start = table.offset + view.getUint16(table.offset + 4);
  const [count, size] = [view.getUint16(table.offset + 8), view.getUint16(table.offset + 10)];
  for (let index = 0; index < count; index++) {
    const at = start + index * size;
    if (at + 16 > table.offset + table.length) return null;
    if (view.getUint32(at) === 0x77676874)
      return [view.getInt32(at + 4) / 65536, view.getInt32(at + 12) / 65536];
  }
  return null;
}

const asWeight = (value: number) => Math.min(900, Math.max(100, Math.round(value / 100) * 100));

/** Reads what a TrueType or OpenType file says of itself; a refusal says why it cannot be used. */
export function readSfnt(bytes: Uint8Array): Result<SfntFacts, string> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const tables = tablesOf(view);
  if (!tables.ok) return tables;
  const os2 = tables.value.get('OS/2');
  const hasOs2 = os2 !== undefined && os2.length >= 42;
  if (hasOs2 && (view.getUint16(os2.offset + 8) & RESTRICTED) !== 0)
    return fail('its licence forbids embedding (it says so in its own table OS/2)');
  const family = familyName(view, tables.value.get('name') as Table);
  if (family === null) return fail('it has no family name');
  const plain = hasOs2 ? asWeight(view.getUint16(os2.offset + 4)) : 400;
  const axis = weightAxis(view, tables.value.get('fvar'));
  // A variable font is often called after the one weight it starts from.
  const name = axis
    ? family.replace(/ (?:Thin|Extra ?Light|Light|Regular|Medium|Semi ?Bold|Bold|Extra ?Bold|Black)$/i, '')
    : family;
  // PANOSE: Latin text, and a style of serifs that has some (2 to 10).
  const isSerif =
    hasOs2 &&
    view.getUint8(os2.offset + 32) === 2 &&
    view.getUint8(os2.offset + 33) >= 2 &&
    view.getUint8(os2.offset + 33) <= 10;
  return succeed({
    family: name,
    weights: axis ? [asWeight(axis[0]), asWeight(axis[1])] : [plain, plain],
    fallback: isSerif ? 'serif' : 'sans',
  });
}
