import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve, sep } from 'node:path';
import {
  fail,
  firstPage,
  isHiddenPath,
  isZip,
  isElsewhere,
  succeed,
  textOfBytes,
  unpackZip,
  upwards,
  type PageFiles,
  type Result,
} from '@hamaca/core';
import { fetchWithFiles, FetchRefused, worldFrom, type Fetching } from '@hamaca/fetching';
import { ERRORS } from '../words.ts';

/** A page that was brought along, with the files beside it. */
export interface BroughtPage {
  readonly files: PageFiles;
  /** The path of the page among them. */
  readonly path: string;
  readonly html: string;
  /** The bytes of a file by its path; null where there is none. */
  readonly bytes: (path: string) => Uint8Array | null;
  /** The paths of all files that belong to it. */
  readonly paths: () => readonly string[];
  /** What it names and could not be had, in words. */
  readonly missing: readonly string[];
}

/** Bounds on what is read of one page. */
const MOST = { file: 32 * 1024 * 1024, files: 20_000, upwards: 4 } as const;

function fromBytes(
  path: string,
  bytes: (path: string) => Uint8Array | null,
  paths: () => readonly string[],
  { origin = null, missing = [] }: { origin?: string | null; missing?: readonly string[] } = {},
): Result<BroughtPage, string> {
  const page = bytes(path);
  if (!page) return fail(ERRORS.noPage(path));
  const texts = new Map<string, string | null>();
  const text = (of: string): string | null => {
    const known = texts.get(of);
    if (known !== undefined) return known;
    const found = bytes(of);
    const made = found ? textOfBytes(found) : null;
    texts.set(of, made);
    return made;
  };
  return succeed({ files: { text, origin }, path, html: textOfBytes(page), bytes, paths, missing });
}

function fromFolder(root: string, path: string | null): Result<BroughtPage, string> {
  const bytes = (of: string): Uint8Array | null => {
    const full = resolve(root, of);
    if (!full.startsWith(resolve(root) + sep) || !existsSync(full)) return null;
    const stats = statSync(full);
    return stats.isFile() && stats.size <= MOST.file ? readFileSync(full) : null;
  };
  const paths = () =>
    readdirSync(root, { recursive: true, withFileTypes: true })
      .slice(0, MOST.files)
      .filter((entry) => entry.isFile())
      .map((entry) => relative(root, join(entry.parentPath, entry.name)).split(sep).join('/'))
      .filter((of) => !isHiddenPath(of))
      .sort();
  const start = path ?? firstPage(paths());
  return start === null ? fail(ERRORS.noPage(root)) : fromBytes(start, bytes, paths);
}

async function fromAddress(address: string, what: Fetching): Promise<Result<BroughtPage, string>> {
  try {
    const { origin, path, files, missing } = await fetchWithFiles(address, worldFrom(process.env), { what });
    const paths = [...files.keys()].filter((of) => !isElsewhere(of));
    return fromBytes(
      path,
      (of) => files.get(of) ?? null,
      () => paths,
      { origin, missing },
    );
  } catch (error) {
    if (!(error instanceof FetchRefused)) throw error;
    return fail(ERRORS.notFetched(address, error.message));
  }
}

/** Reads a page from an address, a file, a folder with an index, or a zip. Of a file alone, only what it links to belongs to it. */
export async function bringPage(from: string, what: Fetching): Promise<Result<BroughtPage, string>> {
  return /^[a-z][a-z\d+.-]+:\/\//i.test(from) ? fromAddress(from, what) : fromDisk(from);
}

function fromDisk(from: string): Result<BroughtPage, string> {
  try {
    const stats = statSync(from);
    if (stats.isDirectory()) return fromFolder(from, null);
    if (stats.size > MOST.file) return fail(ERRORS.tooLarge(from));
    const bytes = readFileSync(from);
    if (isZip(bytes)) {
      const unpacked = unpackZip(bytes, (path) => !isHiddenPath(path));
      if (!unpacked.ok) return fail(ERRORS.notZip(from, unpacked.error));
      const files = new Map(unpacked.value.files.map((file) => [file.path, file.bytes]));
      const paths = [...files.keys()].sort();
      const start = firstPage(paths);
      if (start === null) return fail(ERRORS.noPage(from));
      return fromBytes(
        start,
        (path) => files.get(path) ?? null,
        () => paths,
      );
    }
    // Stylesheets often lie in a folder beside the page's own: the root is as far up as its links lead.
    const ups = Math.min(MOST.upwards, upwards(textOfBytes(bytes)));
    const full = resolve(from);
    let root = dirname(full);
    for (let up = 0; up < ups; up++) root = dirname(root);
    const path = relative(root, full).split(sep).join('/');
    const brought = fromFolder(root, path);
    return brought.ok ? succeed({ ...brought.value, paths: () => [path] }) : brought;
  } catch (error) {
    return fail(ERRORS.cannotRead(from, (error as Error).message));
  }
}
