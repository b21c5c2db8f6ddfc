import { formatColour } from '../colour/colour.ts';
import { property, type PropertyId } from '../document/properties.ts';
import type { Site } from '../document/site.ts';
import { readLength, ROLES, type ColourValue, type LengthValue, type Role, type Value } from '../document/values.ts';
import { colourOf } from '../resolve/colours.ts';
import { findTypeface, SYSTEM_FAMILY } from '../text/typefaces.ts';
import type { CompileContext } from './context.ts';
import type { Declaration } from './trees.ts';

const round = (amount: number) => String(Math.round(amount * 10_000) / 10_000);

export function lengthCss(value: LengthValue): string {
  const length = readLength(value);
  if (!length || length.amount === 0) return '0';
  return `${round(length.amount)}${length.unit}`;
}

/** The name our own copy of a typeface has in the output, so that it never mixes with the host page's. */
export function familyName(context: CompileContext, id: string): string {
  return `${context.names.prefix}${id}`;
}

export function familyCss(context: CompileContext, id: string): string {
  const typeface = findTypeface(id);
  if (id === SYSTEM_FAMILY || !typeface) return 'system-ui, sans-serif';
  const name = familyName(context, id);
  return `${name}, ${name}-fallback, ${typeface.fallback === 'serif' ? 'serif' : 'sans-serif'}`;
}

const swatchVariable = (context: CompileContext, id: string) => context.names.variable(`swatch-${id}`);
const roleVariable = (context: CompileContext, role: Role) => context.names.variable(role);

/** A colour as CSS; links stay links, as custom properties. */
export function colourCss(context: CompileContext, value: ColourValue): string {
  if ('literal' in value) return value.literal === 'transparent' ? 'transparent' : formatColour(colourOf(context.site, value));
  const link = `var(${'swatch' in value ? swatchVariable(context, value.swatch) : roleVariable(context, value.role)})`;
  const percent = Math.round((value.alpha ?? 1) * 1000) / 10;
  return percent === 100 ? link : `color-mix(in srgb, ${link} ${percent}%, transparent)`;
}

/** Any value of the catalogue as CSS. */
export function valueCss(context: CompileContext, id: PropertyId, value: Value): string {
  if (typeof value === 'object') return colourCss(context, value);
  const { kind } = property(id);
  if (kind === 'family') return familyCss(context, String(value));
  return kind === 'number' ? String(value) : lengthCss(value);
}

/** The custom properties of the palette that `css` uses, roles first, each after what it leads to. */
export function paletteDeclarations(context: CompileContext, css: string): Declaration[] {
  const { site } = context;
  const used = variablesIn(css);
  const roles = usedRoles(context, used);
  const swatches = site.palette.filter(({ id }) => isUsed(used, swatchVariable(context, id)) || roles.some((role) => leadsTo(site, role, id)));
  return [
    ...swatches.map(({ id, value }): Declaration => [swatchVariable(context, id), formatColour(colourOf(site, { literal: value }))]),
    ...roles.map((role): Declaration => [roleVariable(context, role), colourCss(context, site.roles[role])]),
  ];
}

const isUsed = (used: ReadonlySet<string>, variable: string) => used.has(variable);

/** The custom properties a text of CSS reads. */
const variablesIn = (css: string): ReadonlySet<string> => new Set([...css.matchAll(/var\((--[\w-]+)\)/g)].map((match) => match[1] ?? ''));

const leadsTo = (site: Site, role: Role, swatch: string) => {
  const value = site.roles[role];
  return 'swatch' in value && value.swatch === swatch;
};

function usedRoles(context: CompileContext, variables: ReadonlySet<string>): Role[] {
  const used = new Set<Role>();
  const use = (role: Role) => {
    if (used.has(role)) return;
    used.add(role);
    const value = context.site.roles[role];
    if ('role' in value) use(value.role);
  };
  for (const role of ROLES) if (isUsed(variables, roleVariable(context, role))) use(role);
  return ROLES.filter((role) => used.has(role));
}
