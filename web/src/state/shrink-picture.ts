/** Longest side of a picture that is kept in the site, in px: twice what a menu shows. */
const SIDE = 160;
/** What a document takes, in characters. */
const LONGEST = 60_000;

/** A picture file as a small picture in data, or null where it is none. */
export async function shrinkPicture(file: File): Promise<string | null> {
  try {
    const picture = await createImageBitmap(file);
    const scale = Math.min(1, SIDE / Math.max(picture.width, picture.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(picture.width * scale));
    canvas.height = Math.max(1, Math.round(picture.height * scale));
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    for (const quality of [0.9, 0.7, 0.5]) {
      const data = canvas.toDataURL('image/webp', quality);
      if (data.length < LONGEST) return data;
    }
    return null;
  } catch {
    return null;
  }
}
