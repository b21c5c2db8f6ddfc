import { Gunzip, Unzip, UnzipInflate, type UnzipFile } from 'fflate';
import { fail, succeed, type Result } from '../../base/result.ts';
import { LIMITS } from '../../values/limits.ts';

/** Bounds on what is unpacked: bytes of a gzip file, bytes and entries of an archive. */
export const UNPACK_LIMITS = { gzip: 64 * 1024 * 1024, zip: 256 * 1024 * 1024, entries: 60_000 } as const;

export const isGzip = (bytes: Uint8Array) => bytes[0] === 0x1f && bytes[1] === 0x8b;
export const isZip = (bytes: Uint8Array) =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;

const megabytes = (bytes: number) => `${Math.round(bytes / 1024 / 1024)} MB`;

/** Unpacks a gzip file (RFC 1952), stopping at the bound whatever it claims to hold. */
export function unpackGzip(bytes: Uint8Array, most: number = UNPACK_LIMITS.gzip): Result<Uint8Array, string> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  let members = 0;
  const stream = new Gunzip((chunk) => {
    size += chunk.length;
    if (size <= most) chunks.push(chunk);
  });
  stream.onmember = () => {
    members++;
  };
  const PIECE = 1 << 14;
  try {
    for (let at = 0; at < bytes.length && size <= most; at += PIECE)
      stream.push(bytes.subarray(at, at + PIECE), at + PIECE >= bytes.length);
  } catch (error) {
    return fail(`the gzip file is broken or cut short: ${(error as Error).message}`);
  }
  if (size > most) return fail(`it unpacks to more than ${megabytes(most)}, which is more than is read`);
  // The last four bytes give the length of what was packed (RFC 1952, section 2.3.1); several members add up.
  const claimed =
    bytes.length < 18 ? -1 : new DataView(bytes.buffer, bytes.byteOffset).getUint32(bytes.length - 4, true);
  if (members < 2 && claimed !== size % 2 ** 32) return fail('the gzip file is cut short');
  return succeed(joined(chunks, size));
}

/** A file of an archive: its path there, with `/` between folders. */
export interface ArchiveFile {
  readonly path: string;
  readonly bytes: Uint8Array;
}

/** What an archive holds, and what of it was left out and why. */
export interface Archive {
  readonly files: readonly ArchiveFile[];
  readonly skipped: readonly string[];
}

/** A path inside an archive or folder; null where it leads out of it. */
export function safePath(path: string): string | null {
  const parts = path.replaceAll('\\', '/').split('/');
  if (path.startsWith('/') || /^[a-z]:/i.test(path) || parts.includes('..') || path.includes('\0'))
    return null;
  return parts.filter((part) => part !== '' && part !== '.').join('/');
}

/** Bytes of an archive that are unpacked before it is looked again whether that is too much. */
const ZIP_STEP = 1 << 14;

/** Longest end of an archive: the record that ends it and its comment (APPNOTE 6.3, section 4.3.16). */
const LONGEST_END = 22 + 0xffff;

/** Whether an archive has the record that ends it; one that was cut short has none. */
function hasEnd(bytes: Uint8Array): boolean {
  for (let at = bytes.length - 22; at >= Math.max(0, bytes.length - LONGEST_END); at--)
    if (bytes[at] === 0x50 && bytes[at + 1] === 0x4b && bytes[at + 2] === 5 && bytes[at + 3] === 6)
      return true;
  return false;
}

/** A file of an archive while it is being unpacked. */
interface OpenFile {
  readonly path: string;
  readonly chunks: Uint8Array[];
  size: number;
  whole: boolean;
}

/**
 * Unpacks the files of a ZIP archive that `wanted` asks for. What comes out is counted while it does, whatever the archive
 * claims; paths that lead out of the archive are left out and named.
 */
export function unpackZip(bytes: Uint8Array, wanted: (path: string) => boolean): Result<Archive, string> {
  if (!hasEnd(bytes)) return fail('the archive is broken or cut short');
  const skipped: string[] = [];
  const files: OpenFile[] = [];
  let size = 0;
  // In an object, as it changes while what is pushed comes out.
  const found: { refusal: string | null } = { refusal: null };
  const take = (file: UnzipFile, path: string) => {
    const open: OpenFile = { path, chunks: [], size: 0, whole: false };
    files.push(open);
    if (files.length > UNPACK_LIMITS.entries)
      found.refusal = `it holds more than ${UNPACK_LIMITS.entries} files`;
    file.ondata = (error, chunk, final) => {
      if (error) throw error;
      open.size += chunk.length;
      size += chunk.length;
      open.whole = final;
      if (open.size > LIMITS.file)
        found.refusal ??= `“${path}” in it is larger than ${megabytes(LIMITS.file)}`;
      if (size > UNPACK_LIMITS.zip)
        found.refusal ??= `it unpacks to more than ${megabytes(UNPACK_LIMITS.zip)}`;
      if (found.refusal === null) open.chunks.push(chunk);
    };
    if (found.refusal === null) file.start();
  };
  const stream = new Unzip((file) => {
    if (found.refusal !== null || file.name.endsWith('/')) return;
    const path = safePath(file.name);
    if (path === null) {
      if (skipped.length < 20) skipped.push(file.name.slice(0, 80));
    } else if (wanted(path)) take(file, path);
  });
  stream.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length && found.refusal === null; at += ZIP_STEP)
      stream.push(bytes.subarray(at, at + ZIP_STEP), at + ZIP_STEP >= bytes.length);
  } catch (error) {
    return fail(found.refusal ?? `the archive is broken or cut short: ${(error as Error).message}`);
  }
  if (found.refusal !== null) return fail(found.refusal);
  if (files.some(({ whole }) => !whole)) return fail('the archive is broken or cut short');
  return succeed({
    files: files.map(({ path, chunks, size: of }) => ({ path, bytes: joined(chunks, of) })),
    skipped,
  });
}

function joined(chunks: readonly Uint8Array[], size: number): Uint8Array {
  const whole = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.length;
  }
  return whole;
}
