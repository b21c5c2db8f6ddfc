import { describe, expect, test } from '@jest/globals';
import { readSfnt } from './sfnt.ts';

interface Parts {
  readonly signature?: number;
  readonly names?: readonly (readonly [platform: number, id: number, text: string])[];
  readonly os2?: { readonly weight?: number; readonly type?: number; readonly serif?: number };
  readonly axis?: readonly [tag: string, min: number, max: number];
  readonly without?: string;
}

const bytesOf = (text: string, wide: boolean) =>
  wide
    ? [...text].flatMap((letter) => [letter.charCodeAt(0) >> 8, letter.charCodeAt(0) & 255])
    : [...text].map((letter) => letter.charCodeAt(0));
const u16 = (value: number) => [(value >> 8) & 255, value & 255];
const u32 = (value: number) => [...u16((value >>> 16) & 0xffff), ...u16(value & 0xffff)];

/** A font file with just what is read of it. */
function fontFile({
  signature = 0x00010000,
  names = [[3, 1, 'Marsh Sans']],
  os2 = {},
  axis,
  without = '',
}: Parts = {}): Uint8Array {
  const texts = names.map(([platform, , text]) => bytesOf(text, platform !== 1));
  let offset = 0;
  const records = names.flatMap(([platform, id], index) => {
    const length = texts[index]?.length ?? 0;
    const record = [...u16(platform), ...u16(1), ...u16(0), ...u16(id), ...u16(length), ...u16(offset)];
    offset += length;
    return record;
  });
  const table = new Array<number>(78).fill(0);
  [...u16(os2.weight ?? 400)].forEach((byte, index) => {
    table[4 + index] = byte;
  });
  [...u16(os2.type ?? 0)].forEach((byte, index) => {
    table[8 + index] = byte;
  });
  table[32] = 2;
  table[33] = os2.serif ?? 11;
  const tables: Record<string, number[]> = {
    'OS/2': table,
    cmap: [0],
    head: [0],
    hhea: [0],
    hmtx: [0],
    maxp: [0],
    name: [...u16(0), ...u16(names.length), ...u16(6 + names.length * 12), ...records, ...texts.flat()],
    ...(axis
      ? {
          fvar: [
            ...u32(0x00010000),
            ...u16(16),
            ...u16(2),
            ...u16(1),
            ...u16(20),
            ...u16(0),
            ...u16(0),
            ...bytesOf(axis[0], false),
            ...u32(axis[1] * 65536),
            ...u32(400 * 65536),
            ...u32(axis[2] * 65536),
            ...u32(0),
          ],
        }
      : {}),
  };
  const entries = Object.entries(tables).filter(([tag]) => tag !== without);
  let at = 12 + entries.length * 16;
  const directory = entries.flatMap(([tag, content]) => {
    const entry = [...bytesOf(tag, false), ...u32(0), ...u32(at), ...u32(content.length)];
    at += content.length;
    return entry;
  });
  return Uint8Array.from([
    ...u32(signature),
    ...u16(entries.length),
    0,
    0,
    0,
    0,
    0,
    0,
    ...directory,
    ...entries.flatMap(([, content]) => content),
  ]);
}

const read = (parts?: Parts) => {
  const found = readSfnt(fontFile(parts));
  return found.ok ? found.value : found.error;
};

describe('what a font file says of itself', () => {
  test('its family: the typographic one first, Windows before Macintosh, nothing that could be markup', () => {
    expect(read()).toEqual({ family: 'Marsh Sans', weights: [400, 400], fallback: 'sans' });
    expect(
      read({
        names: [
          [1, 1, 'Old'],
          [3, 1, 'Marsh Sans Bold'],
          [3, 16, 'Marsh Sans'],
        ],
      }),
    ).toMatchObject({ family: 'Marsh Sans' });
    expect(
      read({
        names: [
          [3, 1, 'New'],
          [1, 1, 'Old'],
        ],
      }),
    ).toMatchObject({ family: 'New' });
    expect(read({ names: [[3, 1, '</style><b>"Évil"']] })).toMatchObject({ family: '/stylebÉvil' });
    expect(read({ names: [[3, 2, 'Bold']] })).toBe('it has no family name');
  });
  test('its weights and whether it has serifs', () => {
    expect(read({ os2: { weight: 700 } })).toMatchObject({ weights: [700, 700] });
    expect(read({ os2: { weight: 5000 }, axis: ['wght', 250, 850] })).toMatchObject({ weights: [300, 900] });
    expect(read({ names: [[3, 1, 'Marsh Sans Thin']], axis: ['wght', 100, 900] })).toMatchObject({
      family: 'Marsh Sans',
    });
    expect(read({ names: [[3, 1, 'Marsh Sans Thin']], os2: { weight: 100 } })).toMatchObject({
      family: 'Marsh Sans Thin',
      weights: [100, 100],
    });
    expect(read({ axis: ['wdth', 75, 100] })).toMatchObject({ weights: [400, 400] });
    expect(read({ os2: { serif: 4 } })).toMatchObject({ fallback: 'serif' });
    expect(read({ signature: 0x4f54544f })).toMatchObject({ family: 'Marsh Sans' });
  });
  test('whether it may be used at all', () => {
    expect(read({ os2: { type: 2 } })).toMatch(/forbids embedding/);
    expect(read({ os2: { type: 8 } })).toMatchObject({ family: 'Marsh Sans' });
  });
  test.each(['cmap', 'head', 'hhea', 'hmtx', 'maxp', 'name'])(
    'without its table %s it is none',
    (without) => {
      expect(read({ without })).toBe(`its table ${without} is missing`);
    },
  );
  test('what is no font is refused, and none cut short crashes', () => {
    for (const junk of [
      new Uint8Array(),
      Uint8Array.from([1, 2, 3]),
      new TextEncoder().encode('<svg xmlns="x"><script/></svg> and more text'),
      fontFile({ signature: 0x774f4646 }),
    ])
      expect(readSfnt(junk).ok).toBe(false);
    const whole = fontFile({ axis: ['wght', 100, 900] });
    for (let length = 0; length < whole.length; length++)
      expect(() => readSfnt(whole.slice(0, length))).not.toThrow();
    for (let index = 12; index < whole.length; index += 3) {
      const broken = whole.slice();
      broken[index] = 255;
      expect(() => readSfnt(broken)).not.toThrow();
    }
  });
});
