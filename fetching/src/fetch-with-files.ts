import { addressOf, readForeignPage, textOfBytes, usedFiles, type PageFiles } from '@hamaca/core';
import { fetchPage, FetchRefused, type FetchWorld } from './fetch-page.ts';

/** Bounds on what is fetched for one page: files, bytes of one and of all, at a time, imports within imports, and in all. */
export const FILE_LIMITS = {
  files: 300,
  bytes: 8 * 1024 * 1024,
  allBytes: 64 * 1024 * 1024,
  parallel: 6,
  rounds: 8,
  milliseconds: 60_000,
} as const;

/** What is fetched besides the page: its stylesheets, or also pictures and typefaces. */
export type Fetching = 'stylesheets' | 'all';

/** A page from the web with its files. */
export interface FetchedFiles {
  /** Such as `https://site.example`. */
  readonly origin: string;
  /** The path of the page among the files. */
  readonly path: string;
  readonly html: string;
  /** Bytes by path; a path is that below the origin, of other hosts the whole address. */
  readonly files: ReadonlyMap<string, Uint8Array>;
  /** What could not be had, in words. */
  readonly missing: readonly string[];
}

/** The path of a page: one with the ending of a page, in the folder that its addresses relate to. */
function pagePath({ pathname }: URL): string {
  const path = pathname.slice(1);
  if (path === '' || path.endsWith('/')) return `${path}index.html`;
  return /\.x?html?$/i.test(path) ? path : `${path}.html`;
}

/** What only scripts, frames and feeds want is no file of a page. */
const isScript = (path: string) => /\.m?js(?:$|\?)/i.test(path);

/**
 * Fetches a page and the files it names: stylesheets first, as they name others. Nothing else is asked for, and nothing of it is run.
 * Files beyond the bounds, or that do not come, are told as missing; the page itself must come. Throws `FetchRefused`.
 */
export async function fetchWithFiles(
  address: string,
  world: FetchWorld,
  { what, signal, tell }: { what: Fetching; signal?: AbortSignal; tell?: (files: number) => void },
): Promise<FetchedFiles> {
  const limit = AbortSignal.timeout(FILE_LIMITS.milliseconds);
  const bounded = signal ? AbortSignal.any([signal, limit]) : limit;
  const page = await fetchPage(address, world, signal ? { signal } : {});
  if (page.status >= 400) throw new FetchRefused(`it answers with ${page.status}`);
  const url = new URL(page.finalUrl);
  const { origin } = url;
  const path = pagePath(url);
  const files = new Map([[path, page.bytes]]);
  const missing = new Map<string, string>();
  let left = FILE_LIMITS.allBytes - page.bytes.byteLength;

  const fetchOne = async (of: string): Promise<void> => {
    if (files.size + missing.size >= FILE_LIMITS.files) {
      missing.set(of, `it has more than ${FILE_LIMITS.files} files`);
      return;
    }
    // It counts from now on, as others are fetched beside it.
    missing.set(of, 'it did not come in time');
    try {
      const found = await fetchPage(addressOf(of, origin), world, {
        signal: bounded,
        bytes: Math.min(FILE_LIMITS.bytes, left),
      });
      if (found.status >= 400) {
        missing.set(of, `it answers with ${found.status}`);
        return;
      }
      left -= found.bytes.byteLength;
      missing.delete(of);
      files.set(of, found.bytes);
      tell?.(files.size);
    } catch (error) {
      if (signal?.aborted) throw error;
      if (error instanceof FetchRefused) missing.set(of, error.message);
      else if (!bounded.aborted) throw error;
    }
  };
  const fetchAll = async (paths: Iterable<string>): Promise<void> => {
    const waiting = [...paths].filter((of) => !files.has(of) && !missing.has(of));
    const work = async (): Promise<void> => {
      for (let of = waiting.shift(); of !== undefined; of = waiting.shift()) await fetchOne(of);
    };
    await Promise.all(Array.from({ length: FILE_LIMITS.parallel }, work));
  };

  const html = textOfBytes(page.bytes);
  /** Reads the page with what is there; answers it and what it asked for in vain. */
  const read = () => {
    const asked = new Set<string>();
    const text = (of: string): string | null => {
      const bytes = files.get(of);
      if (bytes) return textOfBytes(bytes);
      asked.add(of);
      return null;
    };
    return { page: readForeignPage({ text, origin } satisfies PageFiles, path, html), asked };
  };
  let now = read();
  for (let round = 0; round < FILE_LIMITS.rounds; round++) {
    const wanted = [...now.asked].filter((of) => !missing.has(of));
    if (wanted.length === 0) break;
    await fetchAll(wanted);
    now = read();
  }
  if (what === 'all') await fetchAll(usedFiles(now.page).filter((of) => !isScript(of)));
  return {
    origin,
    path,
    html,
    files,
    missing: [...missing].map(([of, reason]) => `${addressOf(of, origin)}: ${reason}`),
  };
}
