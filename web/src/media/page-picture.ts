import { fetchOnce } from './fetch-once.ts';

/** A page as it stood in a frame: its body as XML, the rules it was drawn by, and its size in px. */
export interface DrawnPage {
  readonly body: string;
  readonly css: string;
  readonly width: number;
  readonly height: number;
}

/** How large the picture is for each px of the page: twice what is shown of it, for sharp screens. */
const SHARPNESS = 2;

/** How well it is kept, of 1. */
const QUALITY = 0.85;

/** What a picture cannot show: whatever is fetched from an address. */
const FETCHED = /url\((?!["']?(?:data:|#))|<img[^>]*\ssrc="(?!data:)|<image[^>]*href="(?!data:)/i;

/** Whether all of a page can stand in a picture. */
export const canBeDrawn = ({ body, css }: DrawnPage): boolean => !FETCHED.test(body + css);

/**
 * Rules as they hold inside of a drawing: nothing runs in it, though the page it shows had its script, and everything in it
 * stands within an `svg`.
 */
const inDrawing = (css: string) =>
  css
    .replaceAll('(scripting: none)', '(width < 0px)')
    .replaceAll('(scripting: enabled)', '(width >= 0px)')
    .replaceAll(':not(svg, svg *)', ':not(svg, body svg *)');

const escapeCss = (css: string) => css.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

/** The page as a drawing that holds all it needs (SVG 2, `foreignObject`); nothing in it runs. */
function asDrawing({ body, css, width, height }: DrawnPage): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><foreignObject width="100%" height="100%"><html xmlns="http://www.w3.org/1999/xhtml"><head><style>${escapeCss(inDrawing(css))}</style></head>${body}</html></foreignObject></svg>`;
}

/** A page as a still picture, scaled; null where the browser cannot make one. */
export async function drawPage(page: DrawnPage, scale: number): Promise<Blob | null> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(asDrawing(page))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(page.width * scale * SHARPNESS);
  canvas.height = Math.round(page.height * scale * SHARPNESS);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve) => {
    canvas.toBlob(resolve, 'image/webp', QUALITY);
  });
}

const readAsData = fetchOnce(async (address): Promise<string> => {
  const response = await fetch(address);
  if (!response.ok) throw new Error(`${address} answers with ${response.status}.`);
  const blob = await response.blob();
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.addEventListener('load', () => {
      resolve(String(reader.result));
    });
    reader.addEventListener('error', () => {
      reject(reader.error ?? new Error(`${address} cannot be read.`));
    });
    reader.readAsDataURL(blob);
  });
});

/** A stylesheet's font files as data in it: a picture fetches nothing. */
export async function withFontData(css: string): Promise<string> {
  const addresses = [
    ...new Set([...css.matchAll(/url\("?([^")]+\.woff2)"?\)/g)].map((match) => match[1] ?? '')),
  ];
  let held = css;
  for (const address of addresses) {
    const given = await readAsData(address);
    for (const written of [`url(${address})`, `url("${address}")`])
      held = held.replaceAll(written, `url("${given}")`);
  }
  return held;
}
