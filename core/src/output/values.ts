import { formatColour } from '../colour/colour.ts';
import { lengthTree, printLength, type LengthValue } from '../values/length.ts';
import { FOCUS_RING, type Property } from '../values/property.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import { isDerived, type DerivedSwatch } from '../model/swatch.ts';
import {
  isColourValue,
  ROLES,
  type ColourValue,
  type CornersValue,
  type LineValue,
  type PaintValue,
  type Role,
  type ShadowValue,
  type Value,
} from '../values/values.ts';
import { colourOf, findSwatch, swatchColour, swatchFamily } from '../resolve/colours.ts';
import { findStack, findTypeface, SYSTEM_FAMILY } from '../text/typefaces.ts';
import type { CompileContext } from './context.ts';
import { cssString } from '../print/css.ts';
import type { Declaration } from '../print/trees.ts';

export function lengthCss(value: LengthValue): string {
  const tree = lengthTree(value);
  return tree ? printLength(tree) : '0';
}

/** The name our own copy of a typeface has in the output, so that it never mixes with the host page's. */
export function familyName(context: CompileContext, id: string): string {
  return `${context.names.prefix}${id}`;
}

/** The system face that stands in for it; it is fitted to this site's words. */
export const fallbackName = ({ names }: CompileContext, id: string): string => names.id(id);

export function familyCss(context: CompileContext, id: string): string {
  const typeface = findTypeface(id, context.site.typefaces);
  if (!typeface) return (findStack(id) ?? findStack(SYSTEM_FAMILY))?.css ?? 'sans-serif';
  return `${familyName(context, id)}, ${fallbackName(context, id)}, ${typeface.fallback === 'serif' ? 'serif' : 'sans-serif'}`;
}

const swatchVariable = (context: CompileContext, id: string) => context.names.variable(`swatch-${id}`);
const roleVariable = (context: CompileContext, role: Role) => context.names.variable(role);

/** A colour as CSS; links stay links, as custom properties. */
export function colourCss(context: CompileContext, value: ColourValue): string {
  if ('literal' in value)
    return value.literal === 'transparent' ? 'transparent' : formatColour(colourOf(context.site, value));
  const link = `var(${'swatch' in value ? swatchVariable(context, value.swatch) : roleVariable(context, value.role)})`;
  const percent = Math.round((value.alpha ?? 1) * 1000) / 10;
  return percent === 100 ? link : `color-mix(in srgb, ${link} ${percent}%, transparent)`;
}

/** A number of px; 0 needs no unit. */
const px = (amount: number) => (amount === 0 ? '0' : `${amount}px`);

function lineCss(context: CompileContext, { line }: LineValue): string {
  return line ? `${px(line.width)} ${line.style} ${colourCss(context, line.colour)}` : 'none';
}

function shadowsCss(context: CompileContext, { shadows }: ShadowValue): string {
  if (shadows.length === 0) return 'none';
  return shadows
    .map(({ x, y, blur, spread, inset, colour }) =>
      [
        ...(inset ? ['inset'] : []),
        px(x),
        px(y),
        px(blur),
        ...(spread === undefined ? [] : [px(spread)]),
        colourCss(context, colour),
      ].join(' '),
    )
    .join(', ');
}

function paintCss(context: CompileContext, { paint }: PaintValue): string {
  if (!paint) return 'none';
  if ('image' in paint) return `url(${cssString(paint.image)})`;
  const stops = paint.gradient.stops.map(({ colour, at }) => `${colourCss(context, colour)} ${at}%`);
  return `linear-gradient(${paint.gradient.angle}deg, ${stops.join(', ')})`;
}

const UNIT_CSS = {
  ms: (value: number) => `${value}ms`,
  '%': (value: number) => String(value / 100),
} as const;

/** A value of one kind as CSS, without the names it is declared under. */
function plainCss(context: CompileContext, entry: Property, value: Value): string {
  if (typeof value === 'object') {
    if ('line' in value) return lineCss(context, value);
    if ('shadows' in value) return shadowsCss(context, value);
    if ('paint' in value) return paintCss(context, value);
    return isColourValue(value) ? colourCss(context, value) : '';
  }
  switch (entry.kind) {
    case 'family':
      return familyCss(context, String(value));
    case 'number':
      return entry.unit === undefined ? String(value) : UNIT_CSS[entry.unit](Number(value));
    case 'choice':
      return entry.choices[String(value)] ?? '';
    case 'line':
      return value === FOCUS_RING ? '2px solid currentColor' : 'none';
    default:
      return lengthCss(value);
  }
}

function cornerDeclarations(entry: Property, value: LengthValue | CornersValue): Declaration[] {
  if (typeof value !== 'object') return [['border-radius', lengthCss(value)]];
  return value.corners.map((corner, index): Declaration => [entry.css[index] ?? '', lengthCss(corner)]);
}

/** The declarations a value becomes. Names that start with `--` get the output's prefix. */
export function valueDeclarations(context: CompileContext, id: PropertyId, value: Value): Declaration[] {
  const entry = property(id);
  if (entry.kind === 'corners') return cornerDeclarations(entry, value as LengthValue | CornersValue);
  const css = plainCss(context, entry, value);
  switch (id) {
    case 'blur':
      return [['backdrop-filter', css === '0' ? 'none' : `blur(${css})`]];
    case 'paint':
      return [
        ['background-image', css],
        ...(typeof value === 'object' && 'paint' in value && value.paint && 'image' in value.paint
          ? [['background-repeat', 'no-repeat'] as const]
          : []),
      ];
    // What grows is drawn at no width where it is hidden; without growing it only fades.
    case 'markFrom':
      return [
        [context.names.variable('mark-hidden'), value === 'at once' ? '1' : '0 1'],
        ['transform-origin', css],
      ];
    default:
      return entry.css.map((name): Declaration => [
        name.startsWith('--') ? context.names.variable(name.slice(2)) : name,
        css,
      ]);
  }
}

/** A swatch as CSS: its colour, or how it is made from those it follows, so that it still follows them in the output. */
function swatchCss(context: CompileContext, id: string): string {
  const swatch = findSwatch(context.site, id);
  if (!swatch || !isDerived(swatch)) return formatColour(swatchColour(context.site, id));
  return derivedCss(context, swatch);
}

function derivedCss(context: CompileContext, { from, change, by, with: other }: DerivedSwatch): string {
  const base = `var(${swatchVariable(context, from)})`;
  switch (change) {
    case 'lighter':
      return `color-mix(in oklab, ${base}, white ${by}%)`;
    case 'darker':
      return `color-mix(in oklab, ${base}, black ${by}%)`;
    case 'thinner':
      return `color-mix(in srgb, ${base} ${100 - by}%, transparent)`;
    case 'mixed':
      return `color-mix(in oklab, ${base}, var(${swatchVariable(context, other ?? from)}) ${by}%)`;
  }
}

/** The custom properties of the palette among those that are used, roles first, each after what it leads to. */
export function paletteDeclarations(context: CompileContext, used: ReadonlySet<string>): Declaration[] {
  const { site } = context;
  const roles = usedRoles(context, used);
  const named = [
    ...site.palette.map((swatch) => swatch.id).filter((id) => used.has(swatchVariable(context, id))),
    ...roles.flatMap((role) => ('swatch' in site.roles[role] ? [site.roles[role].swatch] : [])),
  ];
  const family = new Set(named.flatMap((id) => [...swatchFamily(site, id)]));
  return [
    ...site.palette
      .filter(({ id }) => family.has(id))
      .map(({ id }): Declaration => [swatchVariable(context, id), swatchCss(context, id)]),
    ...roles.map((role): Declaration => [roleVariable(context, role), colourCss(context, site.roles[role])]),
  ];
}

function usedRoles(context: CompileContext, variables: ReadonlySet<string>): Role[] {
  const used = new Set<Role>();
  const use = (role: Role) => {
    if (used.has(role)) return;
    used.add(role);
    const value = context.site.roles[role];
    if ('role' in value) use(value.role);
  };
  for (const role of ROLES) if (variables.has(roleVariable(context, role))) use(role);
  return ROLES.filter((role) => used.has(role));
}
