import { fail, succeed, type Result } from '../base/result.ts';
import { printDrawing } from './print-drawing.ts';
import { readDrawing } from './read-drawing.ts';

/** SVG source printed anew from what drawings may hold. A refusal says why nothing can be drawn from it. */
export function cleanDrawing(source: string): Result<string, string> {
  const read = readDrawing(source.trim().replace(/^\ufeff/, ''));
  if (!read.ok) return read;
  return read.value.root.children.length > 0
    ? succeed(printDrawing(read.value.root))
    : fail('nothing that can be drawn is left of it');
}

/** Why a drawing in a document is refused, or null: it cannot be read, or holds what no drawing needs. */
export function refuseDrawing(source: string): string | null {
  const read = readDrawing(source);
  if (!read.ok) return read.error;
  const [first] = read.value.hostile;
  return first === undefined ? null : `“${first.slice(0, 60)}” may not stand in a drawing`;
}
