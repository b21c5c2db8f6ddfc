/** How a swatch follows another: nearer to white or black, thinned, or mixed with a third one. */
export const DERIVATIONS = ['lighter', 'darker', 'thinner', 'mixed'] as const;

export type Derivation = (typeof DERIVATIONS)[number];

/** A named colour; `value` is a CSS colour literal. */
export interface OwnSwatch {
  readonly id: string;
  readonly name: string;
  readonly value: string;
}

/** A named colour that follows another one, changed by `by` per cent. */
export interface DerivedSwatch {
  readonly id: string;
  readonly name: string;
  /** Id of the swatch it follows. */
  readonly from: string;
  readonly change: Derivation;
  readonly by: number;
  /** Id of the swatch it is mixed with; only where it is mixed. */
  readonly with?: string;
}

export type Swatch = OwnSwatch | DerivedSwatch;

export function isDerived(swatch: Swatch): swatch is DerivedSwatch {
  return 'from' in swatch;
}
