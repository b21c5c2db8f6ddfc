import type { Infer } from './shape/field.ts';
import { amount, choice, colour, id, optional, reference, text, union } from './shape/fields.ts';

/** How a swatch follows another: nearer to white or black, thinned, or mixed with a third one. */
export const DERIVATIONS = ['lighter', 'darker', 'thinner', 'mixed'] as const;

export type Derivation = (typeof DERIVATIONS)[number];

const SWATCH_SHAPES = {
  own: { id: id(), name: text({ max: 80 }), value: colour() },
  derived: {
    id: id(),
    name: text({ max: 80 }),
    from: reference('swatch', { hint: 'the swatch it follows', gone: 'kept' }),
    change: choice({ lighter: 'lighter', darker: 'darker', thinner: 'thinner', mixed: 'mixed with' }),
    by: amount({ min: 0, max: 100, hint: 'per cent' }),
    with: optional(
      reference('swatch', { hint: 'the swatch it is mixed with; only where it is mixed', gone: 'kept' }),
    ),
  },
} as const;

/** A named colour; `value` is a CSS colour literal. */
export type OwnSwatch = Infer<typeof SWATCH_SHAPES.own>;
/** A named colour that follows another one, changed by `by` per cent. */
export type DerivedSwatch = Infer<typeof SWATCH_SHAPES.derived>;

export type Swatch = OwnSwatch | DerivedSwatch;

export function isDerived(swatch: Swatch): swatch is DerivedSwatch {
  return 'from' in swatch;
}

/** A swatch as the one value of an entry of the palette. */
export const SWATCH_UNION = union<Swatch>({
  one: 'swatch',
  of: SWATCH_SHAPES,
  pick: (value) => ('from' in value ? 'derived' : 'own'),
});
