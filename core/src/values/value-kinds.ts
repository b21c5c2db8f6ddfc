import { CHOICE } from './kinds/choice.ts';
import { COLOUR } from './kinds/colour.ts';
import { CORNERS } from './kinds/corners.ts';
import { DECLARATIONS } from './kinds/declarations.ts';
import { FAMILY } from './kinds/family.ts';
import { LENGTH } from './kinds/length.ts';
import { LINE } from './kinds/line.ts';
import { NUMBER } from './kinds/number.ts';
import { PAINT } from './kinds/paint.ts';
import { SHADOW } from './kinds/shadow.ts';
import type { Property } from './property.ts';
import type { ValueKind } from './value-kind.ts';
import type { Value } from './values.ts';

/** Every kind of value, by the name properties call it. */
export const VALUE_KINDS = Object.freeze({
  colour: COLOUR,
  family: FAMILY,
  number: NUMBER,
  length: LENGTH,
  corners: CORNERS,
  choice: CHOICE,
  line: LINE,
  shadow: SHADOW,
  paint: PAINT,
  declarations: DECLARATIONS,
} satisfies { readonly [Kind in Property['kind']]: ValueKind<Kind, Value> });

type AnyKind = ValueKind<Property['kind'], Value>;

/** The kind of a property's values. It is handed that property's entry and values alone. */
export const valueKind = (entry: Property): AnyKind => VALUE_KINDS[entry.kind] as unknown as AnyKind;
