import { GIF } from 'image-size/types/gif';
import type { IImage } from 'image-size/types/interface';
import { JPG } from 'image-size/types/jpg';
import { PNG } from 'image-size/types/png';
import { WEBP } from 'image-size/types/webp';
import { memoise } from '../base/memo.ts';

/** What a drawing is wide at its height, read from its view box; null where it has none. */
function svgRatio(svg: string): number | null {
  const box = /viewBox\s*=\s*["']\s*[-\d.e]+[\s,]+[-\d.e]+[\s,]+([\d.e]+)[\s,]+([\d.e]+)/i.exec(svg);
  const ratio = Number(box?.[1]) / Number(box?.[2]);
  return Number.isFinite(ratio) && ratio > 0 ? ratio : null;
}

/** Formats of pictures that browsers draw and that tell their size. */
const FORMATS: readonly IImage[] = [WEBP, PNG, JPG, GIF];

function readRatio(bytes: Uint8Array): number | null {
  const format = FORMATS.find((entry) => entry.validate(bytes));
  const size = format?.calculate(bytes);
  return size && size.width > 0 && size.height > 0 ? size.width / size.height : null;
}

/** What a picture kept as data is wide at its height; null where it stands elsewhere, or does not tell. */
function pictureRatio(image: string): number | null {
  const data = /^data:image\/(?:webp|png|jpeg|gif);base64,(.+)$/i.exec(image)?.[1];
  if (data === undefined) return null;
  try {
    return readRatio(Uint8Array.from(atob(data), (character) => character.charCodeAt(0)));
  } catch {
    // Cut off or no picture at all: whoever asks counts it as unknown.
    return null;
  }
}

/** What a part has as its picture: a drawing, a picture's address or data, or neither. */
interface Pictured {
  readonly svg: string | null;
  readonly image: string | null;
}

/** What a part's picture is wide at its height; null where that is not known. */
export const ratioOf = memoise(({ svg, image }: Pictured): number | null => {
  if (svg !== null) return svgRatio(svg);
  return image === null ? null : pictureRatio(image);
});
