import { dominantColours, formatColour } from '@hamaca/core';

export interface PictureRequest {
  readonly file: Blob;
  readonly most: number;
}

export type PictureAnswer =
  | { readonly ok: true; readonly colours: readonly { readonly value: string; readonly share: number }[] }
  | { readonly ok: false };

/** A picture is looked at no larger than this, in px: shares of colours do not change. */
const SIDE = 320;

async function read({ file, most }: PictureRequest): Promise<PictureAnswer> {
  try {
    const picture = await createImageBitmap(file);
    const scale = Math.min(1, SIDE / Math.max(picture.width, picture.height));
    const canvas = new OffscreenCanvas(
      Math.max(1, Math.round(picture.width * scale)),
      Math.max(1, Math.round(picture.height * scale)),
    );
    const context = canvas.getContext('2d');
    if (!context) return { ok: false };
    context.drawImage(picture, 0, 0, canvas.width, canvas.height);
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
    return {
      ok: true,
      colours: dominantColours(data, most).map(({ colour, share }) => ({
        value: formatColour(colour),
        share,
      })),
    };
  } catch {
    // No picture that this browser can read: the caller says so.
    return { ok: false };
  }
}

self.addEventListener('message', (event: MessageEvent<PictureRequest>) => {
  void read(event.data).then((answer) => {
    self.postMessage(answer);
  });
});
