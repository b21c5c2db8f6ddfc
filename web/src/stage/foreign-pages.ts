import { STAGED_NAMES, type BroughtPage, type Site, type StagedPage } from '@hamaca/core';
import { useEffect, useState } from 'react';
import { loadPageFiles, type LoadedFile } from '../store/page-files.ts';
import type { ChangedView, OpenedPage } from '../workers/foreign-page.ts';
import { startForeignWorker, STOPPED, type ForeignWorker } from '../workers/run-foreign-page.ts';
import type { ForeignContent } from './frame/protocol.ts';

/** A foreign page that was read: what the stage shows of it, and who answers about it. */
export interface ReadPage {
  readonly opened: OpenedPage;
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

/** A foreign page as it is with its changes. */
export interface ShownForeignPage {
  readonly read: ReadPage;
  readonly content: ForeignContent;
  readonly lines: OpenedPage['lines'];
  /** What its changes did; null where there are none. */
  readonly changed: ChangedView | null;
}

/** What the stage shows of a page, with the files it draws. */
function contentOf(staged: StagedPage, files: readonly LoadedFile[], script = ''): ForeignContent {
  const bytesOf = new Map(files.map(({ path, bytes }) => [path, bytes]));
  return {
    page: staged,
    names: STAGED_NAMES,
    script,
    files: staged.files.map((path) => {
      const bytes = bytesOf.get(path);
      const copy = bytes ? bytes.slice().buffer : new ArrayBuffer(0);
      return { bytes: copy, type: typeOf(path) };
    }),
  };
}

/** Reads a page in a worker of its own. */
export async function openForeignPage(
  { path, origin }: Pick<BroughtPage, 'path' | 'origin'> | { readonly path: null; readonly origin: string },
  files: readonly LoadedFile[],
  stop?: AbortSignal,
): Promise<ReadPage> {
  stop?.throwIfAborted();
  const worker = startForeignWorker();
  stop?.addEventListener('abort', worker.end);
  try {
    const opened = await worker.ask({ kind: 'open', files, path, origin: origin === '' ? null : origin });
    const own = (opened.unpacked as readonly LoadedFile[] | null) ?? files;
    return { opened, worker, files: own };
  } catch (error) {
    worker.end();
    throw error;
  }
}

/** So many pages stay read. */
const MOST = 3;
const read = new Map<string, { readonly page: Promise<ReadPage>; readonly controller: AbortController }>();

const keyOf = ({ path, origin, files }: BroughtPage) => JSON.stringify([path, origin, files]);

/** Ends what is being worked out of a page; it is read anew when it is wanted again. */
function endReading(page: BroughtPage): void {
  read.get(keyOf(page))?.controller.abort(new Error(STOPPED));
  read.delete(keyOf(page));
}

function readOnce(page: BroughtPage): Promise<ReadPage> {
  const key = keyOf(page);
  const known = read.get(key);
  if (known) return known.page;
  const controller = new AbortController();
  const { signal } = controller;
  const made = loadPageFiles(page.files, AbortSignal.any([signal, AbortSignal.timeout(120_000)])).then(
    async (files) => openForeignPage(page, files, signal),
  );
  read.set(key, { page: made, controller });
  made.catch(() => read.delete(key));
  for (const [old, { controller: oldest }] of [...read].slice(0, Math.max(0, read.size - MOST))) {
    read.delete(old);
    oldest.abort(new Error(STOPPED));
  }
  return made;
}

/** The foreign page of a site by its id. */
export const foreignPageOf = (site: Site, id: string | null | undefined): BroughtPage | null =>
  site.foreignPages.find((page) => page.id === id) ?? null;

/** Makes the changes of a page that was read. */
async function withChanges(
  read: ReadPage,
  { changes, inPlace }: BroughtPage,
  onProgress: (made: number) => void,
): Promise<ShownForeignPage> {
  const { opened, files, worker } = read;
  // A worker that made changes before has another page until it is told that there are none.
  const changed = await worker.ask({ kind: 'change', changes, inPlace }, onProgress);
  return changes.length === 0
    ? { read, content: contentOf(opened.staged, files), lines: opened.lines, changed: null }
    : { read, content: contentOf(changed.staged, files, changed.script), lines: changed.lines, changed };
}

export interface UsedForeignPage {
  /** Null while it is on its way, or where there is none. */
  readonly shown: ShownForeignPage | null;
  readonly failure: string | null;
  /** Whether its newest changes are still being made. */
  readonly busy: boolean;
  /** How many of its changes are made, while they are. */
  readonly made: number;
  /** Whether reading it, or making its changes, was stopped. */
  readonly stopped: boolean;
  readonly stop: () => void;
  /** Begins anew. */
  readonly again: () => void;
}

/** Whether two pages have the same files and changes, so that there is the same to do; their names make no difference. */
const isSameWork = (a: BroughtPage | null, b: BroughtPage): boolean =>
  a !== null && a.files === b.files && a.changes === b.changes && a.inPlace === b.inPlace;

/** A foreign page, read once, with the changes of it. */
export function useForeignPage(page: BroughtPage | null): UsedForeignPage {
  const [state, setState] = useState<{
    readonly page: BroughtPage;
    readonly shown: ShownForeignPage | null;
    readonly failure: string | null;
  } | null>(null);
  const [made, setMade] = useState(0);
  const [stoppedAt, setStoppedAt] = useState<BroughtPage | null>(null);
  const [attempt, setAttempt] = useState(0);
  const stopped = page !== null && isSameWork(stoppedAt, page);
  const stop = () => {
    if (!page) return;
    setStoppedAt(page);
    endReading(page);
  };
  const again = () => {
    setStoppedAt(null);
    setAttempt((count) => count + 1);
  };
  useEffect(() => {
    if (!page) return;
    let isWanted = true;
    setMade(0);
    const onProgress = (count: number) => {
      if (isWanted) setMade(count);
    };
    readOnce(page)
      .then(async (read) => withChanges(read, page, onProgress))
      .then(
        (shown) => {
          if (isWanted) setState({ page, shown, failure: null });
        },
        (error: unknown) => {
          // Whoever stopped it knows.
          if (isWanted && (error as Error).message !== STOPPED)
            setState({ page, shown: null, failure: (error as Error).message });
        },
      );
    return () => {
      isWanted = false;
    };
    // Its name alone makes no other page.
  }, [page?.files, page?.changes, page?.inPlace, attempt]);
  const told = { made, stopped, stop, again };
  if (!page || state?.page.files !== page.files)
    return { ...told, shown: null, failure: null, busy: page !== null && !stopped };
  const { shown, failure } = state;
  return { ...told, shown, failure, busy: !isSameWork(state.page, page) && !stopped };
}
