import type { ForeignAnswer, ForeignAnswers, ForeignRequest } from './foreign-page.ts';

/** A worker that has read one foreign page and answers about it. */
export interface ForeignWorker {
  readonly ask: <Kind extends ForeignRequest['kind']>(
    request: Extract<ForeignRequest, { readonly kind: Kind }>,
    onProgress?: (made: number) => void,
  ) => Promise<ForeignAnswers[Kind]>;
  readonly end: () => void;
}

/** Why there is no answer where a worker was ended. */
export const STOPPED = 'Stopped';

/** Starts a worker for one foreign page. */
export function startForeignWorker(): ForeignWorker {
  const worker = new Worker(new URL('./foreign-page.ts', import.meta.url), { type: 'module' });
  const waiting = new Map<
    number,
    {
      readonly resolve: (value: never) => void;
      readonly reject: (error: Error) => void;
      readonly onProgress: ((made: number) => void) | undefined;
    }
  >();
  let last = 0;
  const fail = (reason: string) => {
    for (const { reject } of waiting.values()) reject(new Error(reason));
    waiting.clear();
  };
  worker.addEventListener('message', ({ data }: MessageEvent<ForeignAnswer>) => {
    const asked = waiting.get(data.id);
    if ('made' in data) {
      asked?.onProgress?.(data.made);
      return;
    }
    waiting.delete(data.id);
    if ('failure' in data) asked?.reject(new Error(data.failure));
    else asked?.resolve(data.value as never);
  });
  worker.addEventListener('error', ({ message }) => {
    fail(message || 'The page is too large to be read.');
  });
  return {
    ask: (request, onProgress) =>
      new Promise((resolve, reject) => {
        last++;
        waiting.set(last, { resolve, reject, onProgress });
        worker.postMessage({ ...request, id: last });
      }),
    end: () => {
      worker.terminate();
      fail(STOPPED);
    },
  };
}
