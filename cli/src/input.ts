import { readFileSync, statSync } from 'node:fs';
import { fail, LIMITS, succeed, type Result } from '@hamaca/core';
import { ERRORS } from './words.ts';

/** The text of a file, or of standard input for `-`; bytes that are no UTF-8 are replaced. A failure is the message. */
export function readInput(file: string): Result<string, string> {
  try {
    if (file !== '-' && statSync(file).size > LIMITS.file) return fail(ERRORS.tooLarge(file));
    return succeed(decode(readFileSync(file === '-' ? 0 : file)));
  } catch (error) {
    return fail(ERRORS.cannotRead(file, (error as Error).message));
  }
}

/** UTF-8 unless a byte order mark says UTF-16. */
function decode(bytes: Uint8Array): string {
  const encoding = bytes[0] === 0xff && bytes[1] === 0xfe ? 'utf-16le' : bytes[0] === 0xfe && bytes[1] === 0xff ? 'utf-16be' : 'utf-8';
  return new TextDecoder(encoding).decode(bytes);
}
