import { STAGED_NAMES, type BroughtPage, type Site } from '@hamaca/core';
import { useEffect, useState } from 'react';
import { loadPageFiles, type LoadedFile } from '../store/page-files.ts';
import type { OpenedPage } from '../workers/foreign-page.ts';
import { startForeignWorker, type ForeignWorker } from '../workers/run-foreign-page.ts';
import type { ForeignContent } from './frame/protocol.ts';

/** A foreign page that was read: what the stage shows of it, and who answers about it. */
export interface ReadPage {
  readonly id: string;
  readonly opened: OpenedPage;
  readonly content: ForeignContent;
  readonly worker: ForeignWorker;
  /** The files it came with; of an archive, those in it that belong to the page. */
  readonly files: readonly LoadedFile[];
}

const TYPES: Readonly<Record<string, string>> = {
  svg: 'image/svg+xml',
  png: 'image/png',
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  gif: 'image/gif',
  webp: 'image/webp',
  avif: 'image/avif',
  ico: 'image/x-icon',
};

const typeOf = (path: string) =>
  TYPES[/\.(\w+)(?:\?.*)?$/.exec(path)?.[1]?.toLowerCase() ?? ''] ?? 'application/octet-stream';

/** What the stage shows of a page that was opened, with the files it draws. */
function contentOf({ staged }: OpenedPage, files: readonly LoadedFile[]): ForeignContent {
  const bytesOf = new Map(files.map(({ path, bytes }) => [path, bytes]));
  return {
    page: staged,
    names: STAGED_NAMES,
    files: staged.files.map((path) => {
      const bytes = bytesOf.get(path);
      const copy = bytes ? bytes.slice().buffer : new ArrayBuffer(0);
      return { bytes: copy, type: typeOf(path) };
    }),
  };
}

/** Reads a page in a worker of its own. */
export async function openForeignPage(
  id: string,
  { path, origin }: Pick<BroughtPage, 'path' | 'origin'> | { readonly path: null; readonly origin: string },
  files: readonly LoadedFile[],
): Promise<ReadPage> {
  const worker = startForeignWorker();
  try {
    const opened = await worker.ask({ kind: 'open', files, path, origin: origin === '' ? null : origin });
    const own = (opened.unpacked as readonly LoadedFile[] | null) ?? files;
    return { id, opened, content: contentOf(opened, own), worker, files: own };
  } catch (error) {
    worker.end();
    throw error;
  }
}

/** So many pages stay read. */
const MOST = 3;
const read = new Map<string, Promise<ReadPage>>();

function readOnce(page: BroughtPage): Promise<ReadPage> {
  const key = JSON.stringify([page.path, page.origin, page.files]);
  const known = read.get(key);
  if (known) return known;
  const made = loadPageFiles(page.files, AbortSignal.timeout(120_000)).then(async (files) =>
    openForeignPage(page.id, page, files),
  );
  read.set(key, made);
  made.catch(() => read.delete(key));
  for (const [old, reading] of [...read].slice(0, Math.max(0, read.size - MOST))) {
    read.delete(old);
    void reading.then(({ worker }) => {
      worker.end();
    });
  }
  return made;
}

/** The foreign page of a site by its id. */
export const foreignPageOf = (site: Site, id: string | null | undefined): BroughtPage | null =>
  site.foreignPages.find((page) => page.id === id) ?? null;

/** A foreign page, read once; null while it is on its way, or where there is none. */
export function useForeignPage(page: BroughtPage | null): {
  readonly read: ReadPage | null;
  readonly failure: string | null;
} {
  const [state, setState] = useState<{
    page: BroughtPage;
    read: ReadPage | null;
    failure: string | null;
  } | null>(null);
  const files = page?.files;
  useEffect(() => {
    if (!page) return;
    let isWanted = true;
    readOnce(page).then(
      (found) => {
        if (isWanted) setState({ page, read: found, failure: null });
      },
      (error: unknown) => {
        if (isWanted) setState({ page, read: null, failure: (error as Error).message });
      },
    );
    return () => {
      isWanted = false;
    };
    // Its name alone makes no other page.
  }, [files]);
  return page && state && state.page.files === files ? state : { read: null, failure: null };
}
