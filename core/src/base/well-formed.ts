import { findInJson } from './json.ts';
import { toPointer } from './json-pointer.ts';

/** A surrogate without its other half (Unicode, section 3.8): no text, and nothing that can be stored or sent. */
const HALF = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** Whether a text has no half characters in it. */
export const isWellFormed = (text: string): boolean => !HALF.test(text);

/** A text of at most so many UTF-16 units, cut between characters and without half ones. */
export function cutText(text: string, most: number): string {
  const cut = text.length > most ? text.slice(0, most) : text;
  const whole = /[\ud800-\udbff]$/.test(cut) ? cut.slice(0, -1) : cut;
  return isWellFormed(whole) ? whole : whole.replace(new RegExp(HALF, 'g'), '\ufffd');
}

/** JSON Pointer of the first text in some JSON that has half a character in it, or of what has such a key; null where there is none. */
export function findHalfCharacter(json: unknown): string | null {
  const isHalf = (text: string) => !isWellFormed(text);
  const way = findInJson(json, isHalf, isHalf);
  if (way === null) return null;
  return toPointer(way.every(isWellFormed) ? way : way.slice(0, -1));
}
