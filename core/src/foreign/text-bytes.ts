/** Characters made at once: a call takes no more arguments than a stack holds. */
const AT_ONCE = 8192;

function oneByteEach(bytes: Uint8Array): string {
  const parts: string[] = [];
  for (let at = 0; at < bytes.length; at += AT_ONCE)
    parts.push(String.fromCharCode(...bytes.subarray(at, at + AT_ONCE)));
  return parts.join('');
}

function strictUtf8(bytes: Uint8Array): string | null {
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes);
  } catch {
    // It is written in another encoding.
    return null;
  }
}

/**
 * A text in which every byte keeps its place: UTF-8 with its mark where it is that, else each byte as one character, so that what is not
 * touched is written back as it was. Selectors and values are ASCII in every encoding that pages are written in.
 */
export const textOfBytes = (bytes: Uint8Array): string => strictUtf8(bytes) ?? oneByteEach(bytes);

/** The bytes of a changed text in the way its file was read; a new file, of which there was none, is UTF-8. */
export function bytesOfText(text: string, original: Uint8Array | null): Uint8Array {
  if (original === null || strictUtf8(original) !== null) return new TextEncoder().encode(text);
  return Uint8Array.from(text, (sign) => sign.charCodeAt(0) & 255);
}
