import {
  cleanDrawing,
  drawingColours,
  fail,
  squareAround,
  succeed,
  viewBoxOf,
  withViewBox,
  type Box,
  type Icon,
  type Result,
} from '@hamaca/core';
import { encodePicture } from './shrink-picture.ts';

/** What an icon is drawn from: the part of it that is no name. */
export type IconSource = Pick<Icon, 'svg' | 'image' | 'character'>;

/** An icon read from a file. */
export interface ReadIcon {
  readonly source: IconSource;
  /** Whether it is drawn in a single colour, which could be that of the text instead. */
  readonly isOneColour: boolean;
}

/** Largest files, in kB. */
const MOST = { svg: 100, picture: 10_000 } as const;

/** Side of the square that ink is looked for on, and of the pictures that are kept, in px. */
const SIDE = { looked: 128, kept: 96 } as const;

/** How a picture file begins, whatever it is called. */
const PICTURES: Readonly<Record<string, readonly number[]>> = {
  'image/png': [0x89, 0x50, 0x4e, 0x47],
  'image/jpeg': [0xff, 0xd8, 0xff],
  'image/gif': [0x47, 0x49, 0x46, 0x38],
  'image/webp': [0x52, 0x49, 0x46, 0x46],
};

/** The type of a picture, told by how it begins; null for anything else. */
async function pictureType(file: Blob): Promise<string | null> {
  const start = new Uint8Array(await file.slice(0, 12).arrayBuffer());
  const found = Object.entries(PICTURES).find(([, bytes]) =>
    bytes.every((byte, index) => start[index] === byte),
  );
  return found?.[0] ?? null;
}

/** Width and height in px of something so much wider than high, the longer of them given. */
const sidesOf = (ratio: number, longest: number): [width: number, height: number] => [
  Math.max(1, Math.round(ratio >= 1 ? longest : longest * ratio)),
  Math.max(1, Math.round(ratio >= 1 ? longest / ratio : longest)),
];

/** Where something is drawn, in shares of the whole; null where nothing is. */
function inkOf(picture: CanvasImageSource, ratio: number): Box | null {
  const [width, height] = sidesOf(ratio, SIDE.looked);
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.drawImage(picture, 0, 0, width, height);
  const { data } = context.getImageData(0, 0, width, height);
  let [left, top, right, bottom] = [width, height, -1, -1];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if ((data[(y * width + x) * 4 + 3] ?? 0) > 24) {
        left = Math.min(left, x);
        right = Math.max(right, x);
        top = Math.min(top, y);
        bottom = Math.max(bottom, y);
      }
  if (right < 0) return null;
  return {
    x: left / width,
    y: top / height,
    width: (right + 1 - left) / width,
    height: (bottom + 1 - top) / height,
  };
}

/** A part of a box that is given in shares of it. */
const shareOf = (box: Box, share: Box): Box => ({
  x: box.x + share.x * box.width,
  y: box.y + share.y * box.height,
  width: share.width * box.width,
  height: share.height * box.height,
});

/** A drawing as a picture, in which nothing runs. */
async function pictureOf(svg: string, width: number, height: number): Promise<HTMLImageElement> {
  const image = new Image(width, height);
  image.src = `data:image/svg+xml,${encodeURIComponent(svg.replace('<svg', `<svg width="${width}" height="${height}"`))}`;
  await image.decode();
  return image;
}

const NOTHING_SEEN = 'nothing of it can be seen';

/** A drawing that fills its square as other icons do. */
async function readDrawnIcon(file: File): Promise<Result<ReadIcon, string>> {
  if (file.size > MOST.svg * 1000) return fail(`a drawing of at most ${MOST.svg} kB is needed`);
  const clean = cleanDrawing(await file.text());
  if (!clean.ok) return clean;
  const box = viewBoxOf(clean.value);
  if (!box) return fail('its view box is missing or without room');
  const ratio = box.width / box.height;
  if (ratio > 20 || ratio < 1 / 20) return fail('it is far longer than high, or higher than long');
  try {
    const picture = await pictureOf(clean.value, ...sidesOf(ratio, 4 * SIDE.looked));
    const ink = inkOf(picture, ratio);
    if (!ink) return fail(NOTHING_SEEN);
    const seen = withViewBox(clean.value, squareAround(shareOf(box, ink)));
    if (!seen.ok) return seen;
    return succeed({
      source: { svg: seen.value },
      isOneColour: drawingColours(seen.value).length === 1 && !seen.value.includes('url('),
    });
  } catch {
    // The browser cannot draw what could be read: it is none to be seen.
    return fail(NOTHING_SEEN);
  }
}

/** A picture cut to what is seen of it, on a square. */
async function readPictureIcon(file: Blob): Promise<Result<ReadIcon, string>> {
  if (file.size > MOST.picture * 1000)
    return fail(`a picture of at most ${MOST.picture / 1000} MB is needed`);
  try {
    const picture = await createImageBitmap(file);
    const ink = inkOf(picture, picture.width / picture.height);
    if (!ink) return fail(NOTHING_SEEN);
    const seen = shareOf({ x: 0, y: 0, width: picture.width, height: picture.height }, ink);
    const square = squareAround(seen);
    const scale = SIDE.kept / square.width;
    const image = encodePicture(SIDE.kept, SIDE.kept, (context) => {
      context.drawImage(
        picture,
        seen.x,
        seen.y,
        seen.width,
        seen.height,
        (seen.x - square.x) * scale,
        (seen.y - square.y) * scale,
        seen.width * scale,
        seen.height * scale,
      );
    });
    return image === null
      ? fail('it cannot be made small enough')
      : succeed({ source: { svg: null, image }, isOneColour: false });
  } catch {
    // No picture that this browser can read.
    return fail('it is no picture that can be read');
  }
}

/** Reads a file as an icon: SVG, or a PNG, JPEG, WebP or GIF, told by what is in it. */
export async function readIcon(file: File): Promise<Result<ReadIcon, string>> {
  if (file.size === 0) return fail('it is empty');
  const type = await pictureType(file);
  // Its name may call it something else.
  return type === null ? readDrawnIcon(file) : readPictureIcon(file.slice(0, file.size, type));
}
