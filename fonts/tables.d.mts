import type { FontMetrics } from '@hamaca/core';

/**
 * A typeface's measures from its TrueType or OpenType bytes; `weights` is the range it has, `subsets` are the bytes of
 * further files that hold other letters of it.
 */
export declare function measureFace(
  bytes: Uint8Array,
  family: string,
  weights: readonly [number, number],
  subsets?: readonly Uint8Array[],
): Promise<FontMetrics>;
/** The TrueType or OpenType bytes in a WOFF2 file; throws where it is damaged. */
export declare function unfoldWoff2(bytes: Uint8Array): Promise<Uint8Array>;
/** A WOFF2 file of TrueType or OpenType bytes. */
export declare function foldWoff2(bytes: Uint8Array): Promise<Uint8Array>;
