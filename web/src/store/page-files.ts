import type { PageFile } from '@hamaca/core';
import { ApiError } from './api.ts';

/** A file of a foreign page with its content. */
export interface LoadedFile {
  readonly path: string;
  readonly bytes: Uint8Array<ArrayBuffer>;
}

const AT_ONCE = 6;

/** Does something with each of a list, a few at a time. */
async function eachOf<Item>(items: readonly Item[], work: (item: Item) => Promise<void>): Promise<void> {
  const waiting = [...items];
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      for (let item = waiting.shift(); item !== undefined; item = waiting.shift()) await work(item);
    }),
  );
}

/** Loads the files of a foreign page; one that is not there any more is left out. */
export async function loadPageFiles(
  files: readonly PageFile[],
  signal: AbortSignal,
): Promise<readonly LoadedFile[]> {
  const loaded = new Map<string, Uint8Array<ArrayBuffer>>();
  await eachOf([...new Set(files.map(({ file }) => file))], async (file) => {
    const response = await fetch(`/api/page-files/${file}`, { signal });
    if (response.ok) loaded.set(file, new Uint8Array(await response.arrayBuffer()));
  });
  return files.flatMap(({ path, file }) => {
    const bytes = loaded.get(file);
    return bytes ? [{ path, bytes }] : [];
  });
}

/** Keeps files on the server, each once by its content. */
export async function keepPageFiles(
  files: readonly LoadedFile[],
  signal: AbortSignal,
  onProgress: (kept: number) => void,
): Promise<readonly PageFile[]> {
  const kept: PageFile[] = [];
  await eachOf(files, async ({ path, bytes }) => {
    const response = await fetch('/api/page-files', { method: 'POST', body: bytes, signal });
    const told = (await response.json().catch(() => ({}))) as { file?: string; detail?: string };
    if (!response.ok || told.file === undefined)
      throw new ApiError(
        response.status,
        told.detail ?? `${path} could not be kept. Nothing was brought along.`,
      );
    kept.push({ path, file: told.file });
    onProgress(kept.length);
  });
  const order = new Map(files.map(({ path }, at) => [path, at]));
  return kept.sort((a, b) => (order.get(a.path) ?? 0) - (order.get(b.path) ?? 0));
}
