import type { ForeignAnswer, ForeignAnswers, ForeignRequest } from './foreign-page.ts';

/** A worker that has read one foreign page and answers about it. */
export interface ForeignWorker {
  readonly ask: <Kind extends ForeignRequest['kind']>(
    request: Extract<ForeignRequest, { readonly kind: Kind }>,
  ) => Promise<ForeignAnswers[Kind]>;
  readonly end: () => void;
}

/** Starts a worker for one foreign page. */
export function startForeignWorker(): ForeignWorker {
  const worker = new Worker(new URL('./foreign-page.ts', import.meta.url), { type: 'module' });
  const waiting = new Map<number, { resolve: (value: never) => void; reject: (error: Error) => void }>();
  let last = 0;
  const fail = (reason: string) => {
    for (const { reject } of waiting.values()) reject(new Error(reason));
    waiting.clear();
  };
  worker.addEventListener('message', ({ data }: MessageEvent<ForeignAnswer>) => {
    const asked = waiting.get(data.id);
    waiting.delete(data.id);
    if ('failure' in data) asked?.reject(new Error(data.failure));
    else asked?.resolve(data.value as never);
  });
  worker.addEventListener('error', ({ message }) => {
    fail(message || 'The page is too large to be read.');
  });
  return {
    ask: (request) =>
      new Promise((resolve, reject) => {
        last++;
        waiting.set(last, { resolve, reject });
        worker.postMessage({ ...request, id: last });
      }),
    end: () => {
      worker.terminate();
      fail('Stopped');
    },
  };
}
