import { cutText, type FetchedLink, type ImportNote, type Page, type PageFile } from '@hamaca/core';
import { runReadPages } from '../workers/run-read-pages.ts';
import { ApiError } from './api.ts';

/** Most sitemaps followed from one address. */
const MOST_SITEMAPS = 60;

async function post(path: string, body: unknown, signal: AbortSignal): Promise<Response> {
  const response = await fetch(`/api/fetched/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    signal,
  });
  if (response.ok) return response;
  const problem = (await response.json().catch(() => ({}))) as { detail?: string };
  throw new ApiError(
    response.status,
    problem.detail ?? 'The server does not answer. Nothing was changed; try again in a moment.',
  );
}

export interface FetchedPage {
  readonly url: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

/** Has the server fetch an address. */
export async function fetchAddressBytes(url: string, signal: AbortSignal): Promise<FetchedPage> {
  const response = await post('page', { url }, signal);
  return {
    url: response.headers.get('fetched-url') ?? url,
    type: response.headers.get('fetched-type') ?? '',
    bytes: new Uint8Array(await response.arrayBuffer()),
  };
}

/** What was found of a site's pages. */
export interface FoundPages {
  readonly pages: readonly Page[];
  readonly notes: readonly ImportNote[];
}

type Progress = (words: string) => void;

/** Reads files as pages; sitemaps that they name are fetched too, each once, up to a bound. */
export async function readFiles(
  files: readonly { path: string; bytes: Uint8Array; type?: string }[],
  siteUrl: string,
  signal: AbortSignal,
  onProgress: Progress,
): Promise<FoundPages> {
  const read = await runReadPages({ files, siteUrl }, signal, (done, of) => {
    onProgress(
      files.length > 1 ? `reading ${done} of ${of} files` : of === 100 ? `reading, ${done} %` : 'reading',
    );
  });
  const pages = [...read.pages];
  const notes = [...read.notes];
  const seen = new Set<string>();
  const waiting = [...read.sitemaps];
  for (let url = waiting.shift(); url !== undefined; url = waiting.shift()) {
    if (seen.has(url)) continue;
    if (seen.size >= MOST_SITEMAPS) {
      notes.push({ line: 0, text: '', reason: `Only the first ${MOST_SITEMAPS} sitemaps were read.` });
      break;
    }
    seen.add(url);
    onProgress(`fetching sitemap ${seen.size}`);
    try {
      const { bytes, type } = await fetchAddressBytes(url, signal);
      const next = await runReadPages(
        { files: [{ path: url, bytes, type }], siteUrl },
        signal,
        () => undefined,
      );
      for (const page of next.pages) pages.push(page);
      notes.push(...next.notes);
      waiting.push(...next.sitemaps.filter((address) => !seen.has(address)));
    } catch (error) {
      if (signal.aborted) throw error;
      notes.push({ line: 0, text: cutText(url, 80), reason: (error as Error).message });
    }
  }
  return { pages, notes };
}

/** Reads a sitemap or a page from an address. */
export async function readAddress(
  url: string,
  siteUrl: string,
  signal: AbortSignal,
  onProgress: Progress,
): Promise<FoundPages> {
  onProgress('fetching');
  const fetched = await fetchAddressBytes(url, signal);
  const found = await readFiles(
    [{ path: fetched.url, bytes: fetched.bytes, type: fetched.type }],
    siteUrl,
    signal,
    onProgress,
  );
  if (!/text\/html/i.test(fetched.type)) return found;
  // A page at an address has just that path, whatever its file would be called.
  const path = new URL(fetched.url).pathname;
  return { ...found, pages: found.pages.map((page) => ({ ...page, path })) };
}

/** Reads an answer of one JSON a line, each as it comes. */
async function readLines<Line>(response: Response, onLine: (line: Line) => void): Promise<void> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  if (!reader) return;
  let rest = '';
  for (let chunk = await reader.read(); !chunk.done; chunk = await reader.read()) {
    const lines = (rest + chunk.value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) if (line !== '') onLine(JSON.parse(line) as Line);
  }
}

/** Has the server ask addresses for their answers; each is told as it comes. */
export async function fetchLinks(
  urls: readonly string[],
  signal: AbortSignal,
  onFound: (found: FetchedLink) => void,
): Promise<void> {
  await readLines(await post('links', { urls }, signal), onFound);
}

/** A page that the server fetched, with where its files are kept. */
export interface WholePage {
  readonly origin: string;
  readonly path: string;
  readonly files: readonly PageFile[];
  /** What could not be had, in words. */
  readonly missing: readonly string[];
}

type WholeLine =
  | { readonly kind: 'progress'; readonly files: number }
  | ({ readonly kind: 'done' } & WholePage)
  | { readonly kind: 'refused'; readonly reason: string };

/** Has the server fetch a page with the files it names, and keep them. */
export async function fetchWholePage(
  url: string,
  signal: AbortSignal,
  onProgress: (files: number) => void,
): Promise<WholePage> {
  let page: WholePage | null = null;
  await readLines<WholeLine>(await post('whole-page', { url }, signal), (line) => {
    if (line.kind === 'progress') onProgress(line.files);
    else if (line.kind === 'done') page = line;
    else throw new Error(`It could not be fetched: ${line.reason}.`);
  });
  if (!page)
    throw new Error(
      'The server stopped while it fetched the page. Nothing was changed; try again in a moment.',
    );
  return page;
}
