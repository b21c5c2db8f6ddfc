/** Longest side of a picture that is kept in the site, in px: twice what a menu shows. */
const SIDE = 160;
/** What a document takes, in characters. */
const LONGEST = 60_000;

/** Draws on a canvas of a size and answers it as data, as good as its length allows; null where it is too long all the same. */
export function encodePicture(
  width: number,
  height: number,
  draw: (context: CanvasRenderingContext2D) => void,
): string | null {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d');
  if (!context) return null;
  draw(context);
  for (const quality of [0.9, 0.7, 0.5]) {
    const data = canvas.toDataURL('image/webp', quality);
    if (data.length < LONGEST) return data;
  }
  return null;
}

/** Draws a picture within a square and answers it as data; null where it is too long. */
function encode(picture: ImageBitmap, side: number): string | null {
  const scale = Math.min(1, side / Math.max(picture.width, picture.height));
  const width = Math.max(1, Math.round(picture.width * scale));
  const height = Math.max(1, Math.round(picture.height * scale));
  return encodePicture(width, height, (context) => {
    context.drawImage(picture, 0, 0, width, height);
  });
}

/** A picture as data small enough to be kept in the site, no larger than `side` px; null where the file is no picture. */
export async function shrinkPicture(file: File, side: number = SIDE): Promise<string | null> {
  try {
    const picture = await createImageBitmap(file);
    for (let wanted = side; wanted >= 40; wanted = Math.floor(wanted * 0.7)) {
      const data = encode(picture, wanted);
      if (data !== null) return data;
    }
    return null;
  } catch {
    // No picture that this browser can read: the caller says so.
    return null;
  }
}
