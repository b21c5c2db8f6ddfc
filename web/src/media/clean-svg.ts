import { isCleanSvg } from '@hamaca/core';

/** SVG source without anything that runs, loads or styles; null where nothing usable is left. */
export async function cleanSvg(source: string): Promise<string | null> {
  const { default: purify } = await import('dompurify');
  const clean = purify
    .sanitize(source, {
      USE_PROFILES: { svg: true, svgFilters: false },
      FORBID_TAGS: ['style', 'a', 'image', 'use', 'animate', 'set', 'foreignObject'],
    })
    .replace(
      /\s(?:class|id|style|width|height)="[^"]*"(?=[^<]*?>)/g,
      (attribute, offset: number, whole: string) =>
        whole.lastIndexOf('<svg', offset) === 0 && whole.indexOf('>') > offset ? '' : attribute,
    );
  return isCleanSvg(clean) ? clean.replace(/>\s+</g, '><').trim() : null;
}
