import { isRecord } from './json.ts';
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

/** A value in some JSON, with the way to it: whole paths of deep JSON would take long to write down. */
interface Place {
  readonly value: unknown;
  readonly key: string;
  readonly within: Place | null;
}

function pointerTo(place: Place): string {
  const path: string[] = [];
  for (let at = place; at.within; at = at.within) path.push(at.key);
  return toPointer(path.reverse());
}

/** JSON Pointer of the first text or key in some JSON that has half a character in it, or null. Works without recursion. */
export function findHalfCharacter(json: unknown): string | null {
  const open: Place[] = [{ value: json, key: '', within: null }];
  for (let at = open.pop(); at; at = open.pop()) {
    const { value } = at;
    if (typeof value === 'string' && !isWellFormed(value)) return pointerTo(at);
    if (!Array.isArray(value) && !isRecord(value)) continue;
    for (const [key, inner] of Object.entries(value)) {
      if (!isWellFormed(key)) return pointerTo(at);
      open.push({ value: inner, key, within: at });
    }
  }
  return null;
}
