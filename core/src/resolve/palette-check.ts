import { layOver, parseColour, type Rgba } from '../colour/colour.ts';
import { contrastRatio } from '../colour/contrast.ts';
import { colourDistance } from '../colour/mix.ts';
import type { Site } from '../kinds/site.ts';
import { coloursIn, ROLES, type ColourValue } from '../values/values.ts';
import { colourOf, swatchColour } from './colours.ts';
import { lookCells } from '../kinds/looks.ts';

/** An ink over a ground: what WCAG 2.2 lets it be used for. */
export type Legibility = 'text' | 'large text' | 'none';

export interface ContrastCell {
  readonly ratio: number;
  readonly legibility: Legibility;
}

export interface ContrastTable {
  readonly inks: readonly NamedInk[];
  readonly grounds: readonly NamedInk[];
  /** By ink, then by ground. */
  readonly cells: readonly (readonly ContrastCell[])[];
}

export interface NamedInk {
  readonly name: string;
  readonly value: ColourValue;
  readonly colour: Rgba;
}

const WHITE: Rgba = { r: 1, g: 1, b: 1, a: 1 };

const legibilityOf = (ratio: number): Legibility =>
  ratio >= 4.5 ? 'text' : ratio >= 3 ? 'large text' : 'none';

/** Every swatch as ink over every swatch as ground. Translucent grounds are seen over white. */
export function contrastTable(site: Site): ContrastTable {
  const named = site.palette.map((swatch): NamedInk => ({
    name: swatch.name,
    value: { swatch: swatch.id },
    colour: swatchColour(site, swatch.id),
  }));
  const cells = named.map((ink) =>
    named.map((ground): ContrastCell => {
      const behind = layOver(ground.colour, WHITE);
      const ratio = contrastRatio(layOver(ink.colour, behind), behind);
      return { ratio, legibility: legibilityOf(ratio) };
    }),
  );
  return { inks: named, grounds: named, cells };
}

/** A colour that is written out in looks or roles, and the swatch it is nearly. */
export interface LooseColour {
  /** As it is written. */
  readonly literal: string;
  /** In how many places. */
  readonly uses: number;
  /** The swatch nearest to it, where one looks about the same. */
  readonly near: { readonly swatch: string; readonly distance: number; readonly alpha: number } | null;
}

/** Farther than this in OKLab two colours are not nearly the same. */
const NEAR = 0.06;

function nearestSwatch(site: Site, colour: Rgba): LooseColour['near'] {
  const found = site.palette.flatMap((swatch) => {
    const own = swatchColour(site, swatch.id);
    // A translucent literal may be a swatch that is thinned.
    const alpha = own.a === 1 && colour.a < 1 ? colour.a : 1;
    const distance = colourDistance({ ...own, a: own.a * alpha }, colour);
    return distance <= NEAR ? [{ swatch: swatch.id, distance, alpha: Math.round(alpha * 100) / 100 }] : [];
  });
  return found.sort((one, two) => one.distance - two.distance)[0] ?? null;
}

/** All colours that are written out instead of linked, the commonest first. */
export function looseColours(site: Site): LooseColour[] {
  const counts = new Map<string, number>();
  const note = (colour: ColourValue) => {
    if ('literal' in colour && (parseColour(colour.literal)?.a ?? 0) > 0)
      counts.set(colour.literal, (counts.get(colour.literal) ?? 0) + 1);
  };
  for (const role of ROLES) note(site.roles[role]);
  for (const cell of lookCells(site)) coloursIn(cell.value).forEach(note);
  return [...counts]
    .map(([literal, uses]) => ({ literal, uses, near: nearestSwatch(site, colourOf(site, { literal })) }))
    .sort((one, two) => two.uses - one.uses);
}
