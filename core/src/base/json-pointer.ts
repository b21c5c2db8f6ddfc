/** Writes one segment of a JSON Pointer (RFC 6901, section 3). */
export function escapeSegment(segment: string | number): string {
  return String(segment).replaceAll('~', '~0').replaceAll('/', '~1');
}

/** A JSON Pointer from its segments. */
export function toPointer(segments: readonly (string | number)[]): string {
  return segments.map((segment) => `/${escapeSegment(segment)}`).join('');
}

/** The segments of a JSON Pointer, or null where the text is none. */
export function parsePointer(pointer: string): string[] | null {
  if (pointer === '') return [];
  if (!pointer.startsWith('/')) return null;
  const segments = pointer.slice(1).split('/');
  if (segments.some((segment) => /~(?![01])/.test(segment))) return null;
  return segments.map((segment) => segment.replaceAll('~1', '/').replaceAll('~0', '~'));
}
