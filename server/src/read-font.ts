import { createHash } from 'node:crypto';
import { fail, OWN_PREFIX, readSfnt, slugify, succeed, type Result } from '@hamaca/core';
import { foldWoff2, measureFace, unfoldWoff2 } from '../../fonts/tables.mjs';
import type { StoredFont } from './store/fonts.ts';

/** Largest font file that is taken, in bytes; larger ones would not be put on a web page. */
export const MOST_FONT_BYTES = 4 * 1024 * 1024;
/** Largest a compressed font may unfold to, in bytes. */
const MOST_UNFOLDED = 24 * 1024 * 1024;

const WOFF2 = 0x774f4632;
const WOFF1 = 0x774f4646;

/** The uncompressed font in a file: WOFF2 is unfolded, TTF and OTF are taken as they are. */
async function unfold(bytes: Buffer): Promise<Result<Uint8Array, string>> {
  const signature = bytes.length >= 48 ? bytes.readUInt32BE(0) : 0;
  if (signature === WOFF1) return fail('it is an old WOFF file; WOFF2, TTF or OTF is needed');
  if (signature !== WOFF2) return succeed(bytes);
  // The header says how large it will be (WOFF 2.0, section 4.1).
  if (bytes.readUInt32BE(16) > MOST_UNFOLDED) return fail('it unfolds to more than 24 MB');
  try {
    return succeed(await unfoldWoff2(bytes));
  } catch (reason) {
    return fail(`its compressed data is damaged: ${String(reason)}`);
  }
}

/** Reads, checks, names and measures a font file; a refusal says why it cannot be used. */
export async function readFontFile(bytes: Buffer): Promise<Result<StoredFont, string>> {
  const sfnt = await unfold(bytes);
  if (!sfnt.ok) return sfnt;
  const facts = readSfnt(sfnt.value);
  if (!facts.ok) return facts;
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  const { family, weights, fallback } = facts.value;
  const id = `${OWN_PREFIX}${slugify(family, 'typeface').slice(0, 40)}-${sha256.slice(0, 8)}`;
  try {
    const metrics = await measureFace(sfnt.value, id, weights);
    const woff2 = bytes.readUInt32BE(0) === WOFF2 ? bytes : await foldWoff2(Buffer.from(sfnt.value));
    return succeed({ id, name: family, fallback, weights, sha256, metrics: JSON.stringify(metrics), woff2 });
  } catch (reason) {
    return fail(`it cannot be measured; its tables are damaged: ${String(reason)}`);
  }
}
