import { readFileSync, statSync } from 'node:fs';
import { fail, isGzip, LIMITS, sniffEncoding, succeed, unpackGzip, type Result } from '@hamaca/core';
import { ERRORS } from './words.ts';

/** The text of a file, or of standard input for `-`; its encoding is found out, gzip is unpacked. A failure is the message. */
export function readInput(file: string): Result<string, string> {
  try {
    if (file !== '-' && statSync(file).size > LIMITS.file) return fail(ERRORS.tooLarge(file));
    const bytes: Uint8Array = readFileSync(file === '-' ? 0 : file);
    if (!isGzip(bytes)) return succeed(decode(bytes));
    const unpacked = unpackGzip(bytes);
    return unpacked.ok ? succeed(decode(unpacked.value)) : fail(ERRORS.notGzip(file, unpacked.error));
  } catch (error) {
    return fail(ERRORS.cannotRead(file, (error as Error).message));
  }
}

const decode = (bytes: Uint8Array) => new TextDecoder(sniffEncoding(bytes)).decode(bytes);
