import type { PictureAnswer, PictureRequest } from './read-picture.ts';

/** The colours that make up a picture, found in a worker; refused where the file is no picture. */
export function readPicture(file: Blob, most: number): Promise<PictureAnswer> {
  const worker = new Worker(new URL('./read-picture.ts', import.meta.url), { type: 'module' });
  return new Promise<PictureAnswer>((resolve) => {
    worker.addEventListener('message', (event: MessageEvent<PictureAnswer>) => {
      resolve(event.data);
    });
    worker.addEventListener('error', () => {
      resolve({ ok: false });
    });
    worker.postMessage({ file, most } satisfies PictureRequest);
  }).finally(() => {
    worker.terminate();
  });
}
