import { parseColour, withAlpha, type Rgba } from '../colour/colour.ts';
import type { Site } from '../document/site.ts';
import type { ColourValue, Role, Value } from '../document/values.ts';

/** One step of how a colour is found: a role, a swatch or the literal at the end. */
export type ColourStep =
  | { readonly kind: 'role'; readonly role: Role }
  | { readonly kind: 'swatch'; readonly id: string; readonly name: string }
  | { readonly kind: 'literal'; readonly literal: string };

const BLACK: Rgba = { r: 0, g: 0, b: 0, a: 1 };
/** Roles that lead to roles are followed this far; the loader refuses circles. */
const MOST_STEPS = 10;

export function isColourValue(value: Value): value is ColourValue {
  return typeof value === 'object';
}

/** The way from a colour value to its literal: role → swatch → literal. */
export function colourTrail(site: Site, value: ColourValue): ColourStep[] {
  const steps: ColourStep[] = [];
  let at: ColourValue | null = value;
  while (at && steps.length < MOST_STEPS) {
    if ('role' in at) {
      steps.push({ kind: 'role', role: at.role });
      at = site.roles[at.role];
    } else if ('swatch' in at) {
      const id: string = at.swatch;
      const swatch = site.palette.find((entry) => entry.id === id);
      steps.push({ kind: 'swatch', id, name: swatch?.name ?? id });
      at = swatch ? { literal: swatch.value } : null;
    } else {
      steps.push({ kind: 'literal', literal: at.literal });
      at = null;
    }
  }
  return steps;
}

/** The colour a value stands for now; black where a link leads nowhere. */
export function colourOf(site: Site, value: ColourValue): Rgba {
  let factor = 1;
  let at: ColourValue = value;
  for (let step = 0; step < MOST_STEPS; step++) {
    if ('literal' in at) return withAlpha(parseColour(at.literal) ?? BLACK, factor);
    factor *= at.alpha ?? 1;
    if ('swatch' in at) {
      const id = at.swatch;
      return withAlpha(parseColour(site.palette.find((swatch) => swatch.id === id)?.value ?? '#000') ?? BLACK, factor);
    }
    at = site.roles[at.role];
  }
  return BLACK;
}

/** Whether changing a swatch changes this value. */
export function usesSwatch(site: Site, value: Value, swatch: string): boolean {
  return isColourValue(value) && colourTrail(site, value).some((step) => step.kind === 'swatch' && step.id === swatch);
}
