import { cleanDrawing, fail, type Result } from '@hamaca/core';

/** Reads an SVG file of at most so many kB as a drawing; a refusal says why. */
export async function readSvg(file: File, most: number): Promise<Result<string, string>> {
  if (file.size > most * 1000) return fail(`an SVG of at most ${most} kB is needed`);
  return cleanDrawing(await file.text());
}
