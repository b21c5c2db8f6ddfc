import type { PagesAnswer, PagesRequest } from './read-pages.ts';

export type ReadPages = Extract<PagesAnswer, { kind: 'done' }>;

/** Reads files as pages in a worker of its own; stopping ends the worker. */
export function runReadPages(
  request: PagesRequest,
  signal: AbortSignal,
  onProgress: (done: number, of: number) => void,
): Promise<ReadPages> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./read-pages.ts', import.meta.url), { type: 'module' });
    const end = () => {
      worker.terminate();
      signal.removeEventListener('abort', stop);
    };
    const stop = () => {
      end();
      reject(new DOMException('Stopped', 'AbortError'));
    };
    signal.addEventListener('abort', stop);
    worker.addEventListener('message', (event: MessageEvent<PagesAnswer>) => {
      if (event.data.kind === 'progress') {
        onProgress(event.data.done, event.data.of);
        return;
      }
      end();
      resolve(event.data);
    });
    worker.addEventListener('error', (event) => {
      end();
      reject(new Error(event.message));
    });
    worker.postMessage(request);
  });
}
