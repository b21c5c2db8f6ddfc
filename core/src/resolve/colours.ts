import { parseColour, withAlpha, type Rgba } from '../colour/colour.ts';
import { mixColours } from '../colour/mix.ts';
import { memoise } from '../base/memo.ts';
import type { Site } from '../kinds/site.ts';
import { isDerived, type DerivedSwatch, type Swatch } from '../model/swatch.ts';
import { coloursIn, ROLES, type ColourValue, type Role, type Value } from '../values/values.ts';

/** One step of how a colour is found: a role, a swatch, the swatch that one follows, or the literal at the end. */
export type ColourStep =
  | { readonly kind: 'role'; readonly role: Role }
  | { readonly kind: 'swatch'; readonly id: string; readonly name: string }
  | { readonly kind: 'literal'; readonly literal: string };

const BLACK: Rgba = { r: 0, g: 0, b: 0, a: 1 };
const WHITE: Rgba = { r: 1, g: 1, b: 1, a: 1 };
/** Longest way from a colour to its literal: through every role and swatch there is; the loader refuses circles. */
const mostSteps = ({ palette }: Pick<Site, 'palette'>) => palette.length + ROLES.length + 1;

const swatchesById = memoise(
  (palette: Site['palette']): ReadonlyMap<string, Swatch> =>
    new Map(palette.map((swatch) => [swatch.id, swatch])),
);

export function findSwatch({ palette }: Pick<Site, 'palette'>, id: string): Swatch | null {
  return swatchesById(palette).get(id) ?? null;
}

/** The way from a colour value to its literal: role → swatch → the swatch it follows → literal. */
export function colourTrail(site: Pick<Site, 'palette' | 'roles'>, value: ColourValue): ColourStep[] {
  const steps: ColourStep[] = [];
  let at: ColourValue | null = value;
  const most = mostSteps(site);
  while (at && steps.length < most) {
    if ('role' in at) {
      steps.push({ kind: 'role', role: at.role });
      at = site.roles[at.role];
    } else if ('swatch' in at) {
      const swatch = findSwatch(site, at.swatch);
      steps.push({ kind: 'swatch', id: at.swatch, name: swatch?.name ?? at.swatch });
      at = swatch === null ? null : isDerived(swatch) ? { swatch: swatch.from } : { literal: swatch.value };
    } else {
      steps.push({ kind: 'literal', literal: at.literal });
      at = null;
    }
  }
  return steps;
}

/** What a swatch that follows another comes to, from the colours it is made of. */
function deriveColour({ change, by }: DerivedSwatch, from: Rgba, other: Rgba): Rgba {
  switch (change) {
    case 'lighter':
      return mixColours(from, WHITE, by / 100);
    case 'darker':
      return mixColours(from, BLACK, by / 100);
    case 'thinner':
      return withAlpha(from, 1 - by / 100);
    case 'mixed':
      return mixColours(from, other, by / 100);
  }
}

function computeSwatch(site: Pick<Site, 'palette'>, id: string): Rgba {
  const swatch = findSwatch(site, id);
  if (!swatch) return BLACK;
  if (!isDerived(swatch)) return parseColour(swatch.value) ?? BLACK;
  const other = swatch.with === undefined ? WHITE : swatchColour(site, swatch.with);
  return deriveColour(swatch, swatchColour(site, swatch.from), other);
}

const swatchColours = memoise((_palette: Site['palette']) => new Map<string, Rgba>());

/** The colour of a swatch now, derived ones computed, each once for a palette; black where it is gone or leads to itself. */
export function swatchColour(site: Pick<Site, 'palette'>, id: string): Rgba {
  const colours = swatchColours(site.palette);
  const known = colours.get(id);
  if (known) return known;
  // What leads back here while this is worked out finds black.
  colours.set(id, BLACK);
  const colour = computeSwatch(site, id);
  colours.set(id, colour);
  return colour;
}

/** The colour a value stands for now; black where a link leads nowhere. */
export function colourOf(site: Pick<Site, 'palette' | 'roles'>, value: ColourValue): Rgba {
  let factor = 1;
  let at: ColourValue = value;
  for (let step = 0; step <= ROLES.length; step++) {
    if ('literal' in at) return withAlpha(parseColour(at.literal) ?? BLACK, factor);
    factor *= at.alpha ?? 1;
    if ('swatch' in at) return withAlpha(swatchColour(site, at.swatch), factor);
    at = site.roles[at.role];
  }
  return BLACK;
}

/** The swatches a swatch is made of, itself first. */
export function swatchFamily(site: Pick<Site, 'palette'>, id: string): ReadonlySet<string> {
  const family = new Set([id]);
  for (const member of family) {
    const swatch = findSwatch(site, member);
    if (!swatch || !isDerived(swatch)) continue;
    family.add(swatch.from);
    if (swatch.with !== undefined) family.add(swatch.with);
  }
  return family;
}

/** Whether changing a swatch changes this value. */
export function usesSwatch(site: Site, value: Value, swatch: string): boolean {
  return coloursIn(value).some((colour) =>
    colourTrail(site, colour).some(
      (step) => step.kind === 'swatch' && swatchFamily(site, step.id).has(swatch),
    ),
  );
}

/** Whether changing a role changes this value. */
export function usesRole(site: Site, value: Value, role: Role): boolean {
  return coloursIn(value).some((colour) =>
    colourTrail(site, colour).some((step) => step.kind === 'role' && step.role === role),
  );
}
