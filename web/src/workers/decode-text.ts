import { fail, isGzip, sniffEncoding, succeed, unpackGzip, type Result } from '@hamaca/core';

/** A file's bytes as text: gzip is unpacked, the encoding found out; `type` is what a server said. A failure is the reason. */
export function decodeText(bytes: Uint8Array, type = ''): Result<string, string> {
  const unpacked = isGzip(bytes) ? unpackGzip(bytes) : succeed(bytes);
  if (!unpacked.ok) return fail(unpacked.error);
  const declared = /charset=["']?([\w-]+)/i.exec(type)?.[1];
  return succeed(new TextDecoder(sniffEncoding(unpacked.value, declared)).decode(unpacked.value));
}
