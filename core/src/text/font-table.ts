/**
 * Advances, kerning and ligatures of one typeface at one weight, in font units: enough to measure a line of text
 * as a browser sets it. Made from the font file by `fonts/build.mjs`.
 */
export interface FontTable {
  readonly weight: number;
  /** Advance by character. */
  readonly advances: Readonly<Record<string, number>>;
  /** Kerning classes: the class of a character as the left or the right one of a pair. */
  readonly left: Readonly<Record<string, number>>;
  readonly right: Readonly<Record<string, number>>;
  /** Adjustment by left class, then right class; `0` where absent. */
  readonly kerning: readonly (readonly number[])[];
  /** What a ligature is wider (or narrower) than its kerned letters, longest first. */
  readonly ligatures: readonly (readonly [string, number])[];
  /** Tables of other letters, which are never kerned with these: other scripts, or what stands in another file. */
  readonly others?: readonly FontTable[];
}

/** The measures of one typeface: vertical metrics in font units and a table a weight. */
export interface FontMetrics {
  readonly family: string;
  readonly unitsPerEm: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  readonly tables: readonly FontTable[];
}
